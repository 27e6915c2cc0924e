<?php

namespace App\Actions\Stove;

use App\House\KitchenFactory;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use Illuminate\Support\Facades\DB;
use Kettle\Measure\AmountWriter;
use Kettle\Warmth\Readings;
use Kettle\Warmth\StoveLog;
use Kettle\Warmth\WarmHours;

/** Takes readings of a thermometer into the session it stands in: each second once, in whatever order they come. */
final readonly class TakeReadings
{
    /** A sender may bring what it measured so long before the session, s: its pot stood ready. */
    private const BEFORE_S = 600;

    /** Somebody's own eye looks less often than a sender: what is between two looks counts, s. */
    public const REACH_BY_EYE = 5400;

    private const AT_ONCE = 500;

    public function __construct(private KitchenFactory $kitchens, private SetUp $setUp) {}

    /**
     * @param  list<mixed>  $rows as Kettle\Warmth\Readings takes them
     * @param  ?\DateTimeZone  $local whose clock a moment without a zone is of
     * @return array{taken: int, doubled: int, refused: list<array{row: int, sentence: string}>}
     */
    public function __invoke(StoveSession $session, Probe $probe, array $rows, ?\DateTimeZone $local = null): array
    {
        $read = $this->read($session, $rows, $local);
        $new = $read['taken'] === [] ? 0 : $this->save($session, $probe, $read['taken']);

        return ['taken' => $new, 'doubled' => $read['doubled'] + count($read['taken']) - $new, 'refused' => $read['refused']];
    }

    /**
     * What would become of readings, without taking them.
     *
     * @param  list<mixed>  $rows
     * @return array{taken: int, doubled: int, refused: list<array{row: int, sentence: string}>}
     */
    public function tried(StoveSession $session, Probe $probe, array $rows, ?\DateTimeZone $local = null): array
    {
        $read = $this->read($session, $rows, $local);
        $there = 0;
        foreach (array_chunk(array_keys($read['taken']), self::AT_ONCE) as $moments) {
            $there += DB::table('readings')
                ->where('stove_session_id', $session->id)
                ->where('probe_id', $probe->id)
                ->whereIn('at', $moments)
                ->count();
        }

        return ['taken' => count($read['taken']) - $there, 'doubled' => $read['doubled'] + $there, 'refused' => $read['refused']];
    }

    /**
     * @param  list<mixed>  $rows
     * @return array{taken: array<int, float>, doubled: int, refused: list<array{row: int, sentence: string}>}
     */
    private function read(StoveSession $session, array $rows, ?\DateTimeZone $local): array
    {
        return Readings::read($rows, $session->started_at->getTimestamp() - self::BEFORE_S, $session->now(), $local);
    }

    /**
     * @param  array<int, float>  $taken degrees C by second, in order
     * @return int how many were new
     */
    private function save(StoveSession $session, Probe $probe, array $taken): int
    {
        return DB::transaction(function () use ($session, $probe, $taken): int {
            $standing = StoveProbe::query()
                ->where('stove_session_id', $session->id)
                ->where('probe_id', $probe->id)
                ->lockForUpdate()
                ->first();
            if ($standing === null) {
                return 0;
            }
            $new = 0;
            foreach (array_chunk($taken, self::AT_ONCE, true) as $part) {
                $new += DB::table('readings')->insertOrIgnore(
                    array_map(
                        fn (int $at, float $celsius) => [
                            'stove_session_id' => $session->id,
                            'probe_id' => $probe->id,
                            'at' => $at,
                            'centi_c' => (int) round($celsius * 100),
                        ],
                        array_keys($part),
                        $part,
                    ),
                );
            }
            if ($new > 0) {
                $last = is_int($standing->gathered['last'] ?? null) ? $standing->gathered['last'] : null;
                $gathered =
                    $last === null || array_key_first($taken) > $last
                        ? $this->onward($session, $probe, $standing->gathered, $taken)
                        : $this->anew($session, $probe);
                self::keep($standing, $gathered);
                $this->touch($session);
            }

            return $new;
        });
    }

    /**
     * @param  array<string, mixed>  $gathered
     * @param  array<int, float>  $taken
     * @return array<string, mixed>
     */
    private function onward(StoveSession $session, Probe $probe, array $gathered, array $taken): array
    {
        $log = $this->log($session, $probe, $gathered);
        foreach ($taken as $at => $celsius) {
            $log->take($at, $celsius);
        }

        return $log->toArray();
    }

    /** Gathers anew what a thermometer told: a reading is gone, or another filling counts. */
    public function again(StoveSession $session, StoveProbe $standing): void
    {
        self::keep($standing, $this->anew($session, $standing->probe));
    }

    /**
     * What a thermometer told in a session, which has a key of two columns.
     *
     * @param  array<string, mixed>  $gathered
     */
    public static function keep(StoveProbe $standing, array $gathered): void
    {
        StoveProbe::query()
            ->where('stove_session_id', $standing->stove_session_id)
            ->where('probe_id', $standing->probe_id)
            ->update(['gathered' => json_encode($gathered)]);
        $standing->setAttribute('gathered', $gathered);
    }

    /** @return array<string, mixed> from all the readings there are: one came that belongs before the last */
    private function anew(StoveSession $session, Probe $probe): array
    {
        $log = $this->log($session, $probe, []);
        $filled = $session->own($session->filled_at);
        foreach (self::all($session->id, $probe->id) as [$at, $celsius]) {
            $log->take($at, $celsius, $filled > $session->started_at->getTimestamp() ? $filled : null);
        }

        return $log->toArray();
    }

    /** @param  array<string, mixed>  $gathered */
    public function log(StoveSession $session, Probe $probe, array $gathered): StoveLog
    {
        return StoveLog::of(
            $session->core(),
            $this->setUp->openM2($session->set_up),
            $this->setUp->airKPa($session->set_up),
            $probe->kind === Probe::HAND ? self::REACH_BY_EYE : WarmHours::REACH,
            $gathered,
        );
    }

    public function touch(StoveSession $session): void
    {
        StoveSession::query()->whereKey($session->id)->increment('version');
    }

    /** @return \Generator<int, array{int, float}> every reading, in order, a thousand at a time */
    public static function all(int $session, int $probe): \Generator
    {
        $after = 0;
        do {
            $rows = DB::table('readings')
                ->where('stove_session_id', $session)
                ->where('probe_id', $probe)
                ->where('at', '>', $after)
                ->orderBy('at')
                ->limit(5000)
                ->pluck('centi_c', 'at');
            /** @var int $centi */
            foreach ($rows as $at => $centi) {
                yield [(int) $at, $centi / 100];
                $after = (int) $at;
            }
        } while ($rows->count() === 5000);
    }

    /**
     * So many points and no more, each with the least, the most and the mean of its while, so that no peak is lost.
     *
     * @return list<array{int, float, float, float}> moment in s, least, most, mean, degrees C
     */
    public static function thinned(int $session, int $probe, int $from, int $to, int $points): array
    {
        $width = max(1, (int) ceil(max(1, $to - $from) / $points));
        $rows = DB::table('readings')
            ->where('stove_session_id', $session)
            ->where('probe_id', $probe)
            ->whereBetween('at', [$from, $to])
            ->selectRaw(
                'MIN(at) + ROUND((MAX(at) - MIN(at)) / 2) AS middle, MIN(centi_c) AS least, MAX(centi_c) AS most, AVG(centi_c) AS mean',
            )
            ->groupByRaw('FLOOR((at - ?) / ?)', [$from, $width])
            ->orderBy('middle')
            ->get();

        $points = [];
        /** @var object{middle: string, least: int, most: int, mean: string} $row */
        foreach ($rows as $row) {
            $points[] = [(int) $row->middle, $row->least / 100, $row->most / 100, round((float) $row->mean / 100, 2)];
        }

        return $points;
    }

    /** How far and how long a session was over its ceiling; null where it was not. */
    public function overCeiling(StoveSession $session): ?string
    {
        $standing = $session->firstProbe();
        $hours = $standing === null ? null : $this->log($session, $standing->probe, $standing->gathered)->hours();

        return $hours === null || $hours->minutesOver() <= 0
            ? null
            : sprintf(
                '%s over the ceiling; the peak was %s.',
                AmountWriter::span($hours->minutesOver() / 60),
                $this->kitchens->plain()->warmth($hours->peak() ?? 0.0),
            );
    }
}
