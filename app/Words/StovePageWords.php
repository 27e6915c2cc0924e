<?php

namespace App\Words;

use App\Actions\Batches\History;
use App\Files\CsvTable;
use App\House\Kitchens;
use App\Http\Shapes\ReadingsTaken;
use App\Http\Shapes\RefusedReading;
use App\Http\Shapes\StovePage;
use App\Http\Shapes\StoveWaiting;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\Probe;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use Kettle\Diary\Stage;
use Kettle\Infusion\Method;
use Kettle\Warmth\Readings;

/** The Stove as a place: what is warm, what wants warmth, what there is to warm it in; and readings as files have them. */
final readonly class StovePageWords
{
    private const SESSIONS = 12;

    private const ENDED = 5;

    private const WAITING = 24;

    private const CSV_ROWS = 20_000;

    public function __construct(private StoveWords $words, private CookerWords $cookers, private History $history, private Kitchens $kitchens, private Times $times)
    {
    }

    public function page(): StovePage
    {
        $with = ['jars.batch', 'probes.probe', 'cooker'];
        $running = StoveSession::query()->where('state', '!=', StoveSession::ENDED)->orderByDesc('id')->limit(self::SESSIONS)->with($with)->get();
        $ended = StoveSession::query()->where('state', StoveSession::ENDED)->orderByDesc('id')->limit(self::ENDED)->with($with)->get();
        $used = $running->where('speed', 1)->pluck('cooker_id')->flip();
        $busy = StoveProbe::query()->whereIn('stove_session_id', $running->pluck('id'))->pluck('probe_id')->flip();

        return new StovePage(
            sessions: array_values($running->map($this->words->card(...))->all()),
            waiting: $this->waiting(),
            cookers: array_values(Cooker::query()->orderBy('id')->get()->map(fn (Cooker $cooker) => $this->cookers->cooker($cooker, isset($used[$cooker->id])))->all()),
            probes: array_values(Probe::query()->where('kind', '!=', Probe::HAND)->orderBy('id')->limit(40)->get()->map(fn (Probe $probe) => $this->cookers->probe($probe, isset($busy[$probe->id]), null))->all()),
            ended: array_values($ended->map($this->words->card(...))->all()),
        );
    }

    /** @return list<array{line: int, reading: array<string, string>}> the rows of a CSV file in base64, as Readings takes them */
    public function csvRows(string $base64): array
    {
        $table = CsvTable::read((string) base64_decode($base64, true), ['at', 'c'], [['at', 'time', 'when'], ['c', 'f', 'temperature', 'warmth']], ['at', 'time', 'when', 'c', 'f', 'temperature', 'warmth'], self::CSV_ROWS);
        $rows = [];
        foreach ($table->rows as $line => $row) {
            $warmth = $row['c'] ?? $row['temperature'] ?? $row['warmth'] ?? '';
            $rows[] = ['line' => $line, 'reading' => ['at' => $this->zoned($row['at'] ?? $row['time'] ?? $row['when'] ?? ''), ...($warmth === '' && isset($row['f']) ? ['f' => $row['f']] : ['c' => $warmth])]];
        }

        return $rows;
    }

    /**
     * What would become of readings, without taking them.
     *
     * @param  list<mixed>  $rows
     * @return array{taken: int, doubled: int, refused: list<array{row: int, sentence: string}>}
     */
    public function tried(StoveSession $session, array $rows): array
    {
        $read = Readings::read($rows, $session->started_at->getTimestamp() - 600, $session->now());

        return ['taken' => count($read['taken']), 'doubled' => $read['doubled'], 'refused' => $read['refused']];
    }

    /**
     * @param  array{taken: int, doubled: int, refused: list<array{row: int, sentence: string}>}  $took
     * @param  list<int>  $lines of the file, by row
     */
    public function taken(array $took, array $lines = []): ReadingsTaken
    {
        return new ReadingsTaken($took['taken'], $took['doubled'], array_map(fn (array $no) => new RefusedReading($lines[$no['row']] ?? $no['row'], $no['sentence']), array_slice($took['refused'], 0, 100)));
    }

    /** A warmth without its unit is in the cook's own degrees. */
    public function asTyped(string $typed): string
    {
        return preg_match('/[cf]\s*$/i', $typed) === 1 ? $typed : $typed.($this->kitchens->plain()->fahrenheit ? ' F' : ' C');
    }

    /** @return list<StoveWaiting> */
    private function waiting(): array
    {
        $standing = StoveJar::standing()->pluck('batch_id');
        $batches = Batch::query()->whereIn('stage', [Stage::Planned, Stage::Steeping])->where('shelf->heated', true)->whereNotIn('id', $standing)
            ->orderBy('start_at')->orderBy('id')->limit(self::WAITING)->with('entries')->get();
        $presence = $this->kitchens->presence();
        $waiting = [];
        foreach ($batches as $batch) {
            $course = $this->history->course($batch, presence: $presence);
            /** @var array{name: string, id: string, hours: float|int, target_c: float|int|null} $method */
            $method = $batch->plan['method'];
            $left = $course->warmed->left((float) $method['hours']);
            if ($left <= 0 || $method['target_c'] === null || $this->history->method($batch)->has(Method::IN_PAN)) {
                continue;
            }
            $from = $batch->diary['slots'][0]['from'] ?? null;
            $waiting[] = new StoveWaiting(
                $batch->uid, $batch->code, $batch->herb_name, is_string($batch->shelf['jar'] ?? null) ? $batch->shelf['jar'] : 'jar', $method['name'], $this->words->warmth((float) $method['target_c']),
                $course->warmed->hours() > 0 ? StoveWords::hours($course->warmed->hours()).' of '.StoveWords::hours((float) $method['hours']).' had' : StoveWords::hours((float) $method['hours']).' at warmth',
                is_string($from) ? $this->times->due(new \DateTimeImmutable($from)) : '', $batch->stage === Stage::Steeping,
                is_string($batch->diary['cooker'] ?? null) ? $batch->diary['cooker'] : null, is_string($batch->diary['says'] ?? null) ? $batch->diary['says'] : null,
            );
        }

        return $waiting;
    }

    /** Spreadsheets write no zone: taken as the house's own time. */
    private function zoned(string $typed): string
    {
        if (preg_match('/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d)?$/D', $typed) !== 1) {
            return $typed;
        }
        try {
            return (new \DateTimeImmutable($typed, $this->kitchens->now()->getTimezone()))->format(DATE_ATOM);
        } catch (\Exception) {
            return $typed;
        }
    }
}
