<?php

namespace App\Actions\Houses;

use App\Actions\Batches\Logbook;
use App\Actions\Batches\NewLine;
use App\Actions\Batches\Records;
use App\Actions\Stove\TakeReadings;
use App\Actions\Stove\Tend;
use App\Models\Probe;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\TaskLine;
use Kettle\Diary\Step;

/**
 * Takes in the thermometers of a house's file, and what they measured.
 *
 * @phpstan-import-type SessionRow from ImportHouse
 * @phpstan-import-type ThermometerRow from ImportHouse
 * @phpstan-import-type ReadingsRow from ImportHouse
 */
final readonly class ImportReadings
{
    public function __construct(private TakeReadings $readings, private Records $records, private Logbook $logbook) {}

    /**
     * Those that measured something are known in any case; on the list they stand where they were chosen. None that
     * sends can do so with its old key.
     *
     * @param  iterable<ThermometerRow>  $rows
     * @return int how many were put on the list
     */
    public function thermometers(iterable $rows, bool $chosen): int
    {
        $known = $this->known();
        $added = 0;
        foreach ($rows as $row) {
            // One's own eye is one in every house.
            if ($known->has($row['id']) || ($row['kind'] === Probe::HAND && Probe::query()->where('kind', Probe::HAND)->exists())) {
                continue;
            }
            $probe = Probe::query()->create(['uid' => $row['id'], 'called' => $row['called'], 'kind' => $row['kind']]);
            $listed = $row['kind'] === Probe::HAND || ($chosen && ! $row['retired']);
            $listed || $probe->delete();
            $added += $listed ? 1 : 0;
        }

        return $added;
    }

    /** @return Collection<string, int> ids by uid; the eye of another house is the eye of this */
    public function known(): Collection
    {
        /** @var Collection<string, int> $known */
        $known = Probe::withTrashed()->pluck('id', 'uid');

        return $known;
    }

    /**
     * Which stood in a session, one's own eye where none is named; readings that come with the session itself are of the first.
     *
     * @param  SessionRow  $row
     * @param  Collection<string, int>  $probes ids by uid
     */
    public function stood(StoveSession $session, array $row, Collection $probes): void
    {
        $standing = array_map(
            fn (string $uid) => Probe::withTrashed()
                ->whereKey($probes->get($uid) ?? 0)
                ->first() ?? $this->eye(),
            $row['thermometers'] ?? [],
        ) ?: [$this->eye()];
        foreach ($standing as $probe) {
            StoveProbe::query()->insertOrIgnore(['stove_session_id' => $session->id, 'probe_id' => $probe->id, 'gathered' => '{}']);
        }
        ($this->readings)($session, $standing[0], self::rows($row['readings']));
    }

    /**
     * @param  iterable<ReadingsRow>  $rows
     * @param  array<string, int>  $sessions those that came in with them, ids by uid
     */
    public function readings(iterable $rows, array $sessions): void
    {
        $probes = $this->known();
        [$at, $session, $probe] = ['', null, null];
        foreach ($rows as $row) {
            if ($at !== ($now = $row['session'].'|'.$row['thermometer'])) {
                $at = $now;
                $session = StoveSession::query()
                    ->whereKey($sessions[$row['session']] ?? 0)
                    ->first();
                $probe =
                    Probe::withTrashed()
                        ->whereKey($probes->get($row['thermometer']) ?? 0)
                        ->first() ?? $this->eye();
            }
            $session === null || $probe === null || ($this->readings)($session, $probe, self::rows($row['readings']));
        }
    }

    /**
     * The jars that were still in a cooker when it was written down have had the warmth that was measured till then, and
     * were taken out at its last: nobody is asked to switch off what stands in another house.
     *
     * @param  array<string, int>  $sessions those that came in
     */
    public function warmed(array $sessions): void
    {
        foreach (
            StoveJar::query()->whereIn('stove_session_id', $sessions)->whereNull('hours')->with('session.probes.probe')->get() as $jar
        ) {
            $hours = Tend::gathered($jar->session, $jar)['hours'] ?? null;
            $hours = is_numeric($hours) ? round((float) $hours, 3) : 0.0;
            $jar->update(['hours' => $hours, 'logged_h' => $hours]);
            $this->off($jar, $hours);
        }
    }

    /** @param  float  $hours at warmth that it had in this session, earlier whiles of it among them */
    private function off(StoveJar $jar, float $hours): void
    {
        $warmed = $this->records->progress($jar->batch)->warmed;
        $ended = $jar->session->ended_at;
        if ($warmed->onSince === null || $ended === null || $ended < $warmed->onSince) {
            return;
        }
        $logged = 0.0;
        foreach ($this->records->log($jar->batch)->standing as $entry) {
            $logged += $entry->line instanceof TaskLine && $entry->at >= $jar->in_at ? $entry->line->warmH ?? 0.0 : 0.0;
        }
        $line = new TaskLine(Step::WarmOff->key($warmed->nth()), Outcome::Done, warmH: round(max(0.0, $hours - $logged), 3));
        $this->logbook->write($jar->batch, fn () => new NewLine($line, at: $ended->toDateTimeImmutable()));
    }

    private function eye(): Probe
    {
        return Probe::query()->where('kind', Probe::HAND)->first() ??
            Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => 'by eye', 'kind' => Probe::HAND]);
    }

    /**
     * @param  list<array{int, float}>  $readings
     * @return list<array{at: int, c: float}>
     */
    private static function rows(array $readings): array
    {
        return array_map(fn (array $each) => ['at' => $each[0], 'c' => $each[1]], $readings);
    }
}
