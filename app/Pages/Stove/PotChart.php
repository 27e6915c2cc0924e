<?php

namespace App\Pages\Stove;

use App\Actions\Stove\TakeReadings;
use App\House\KitchenFactory;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Responses\Stove\ChartMark;
use App\Responses\Stove\WarmthChart;
use Illuminate\Support\Facades\DB;
use Kettle\Measure\AmountWriter;

/** How warm a pot was, how that stands to what was foretold, and what was done to it. */
final readonly class PotChart
{
    public const POINTS = 240;

    /** What was done that bends the line. */
    private const MARKS = ['paused', 'on', 'topped_up', 'setting', 'lid_on', 'lid_off'];

    /** A warmth that moves less in ten minutes is steady, degrees C. */
    private const STEADY_C = 0.6;

    public function __construct(private KitchenFactory $kitchens, private Warmths $warmths, private PotLines $lines) {}

    /** @param  list<int>  $undone ids of what was taken back */
    public function view(StoveSession $session, ?StoveProbe $standing, array $undone): WarmthChart
    {
        $from = $session->started_at->getTimestamp();
        $now = $session->now();
        $model = $session->set_up['model'] ?? [];
        $modelEnd = $model === [] ? $from : $from + (int) $model[count($model) - 1][0];
        $to = max($now + 600, $session->state === StoveSession::ON ? min($modelEnd, $from + 14 * 3600) : $now);
        $points =
            $standing === null ? [] : TakeReadings::thinned($session->id, $standing->probe_id, $from, max($now, $from + 1), self::POINTS);
        $marks = [];
        $switched = $session->events()->whereIn('kind', self::MARKS)->orderBy('id')->limit(60)->get();
        foreach ($switched->whereNotIn('id', $undone) as $event) {
            $marks[] = new ChartMark($session->own($event->happened_at), $this->lines->text($event));
        }

        return new WarmthChart(
            $from,
            $to,
            $now,
            $points,
            array_values(
                array_map(
                    fn (array $point) => [(float) ($from + $point[0]), (float) $point[1]],
                    array_filter($model, fn (array $point) => $from + $point[0] <= $to),
                ),
            ),
            $marks,
            $this->hoursOf($from, $to),
        );
    }

    /** @return list<ChartMark> full hours of the house's clock, some six of them */
    private function hoursOf(int $from, int $to): array
    {
        $every = 3600;
        foreach ([1, 2, 3, 4, 6, 12, 24, 48, 96] as $hours) {
            $every = $hours * 3600;
            if (($to - $from) / $every <= 7) {
                break;
            }
        }
        $zone = $this->kitchens->plain()->now->getTimezone();
        $offset = $zone->getOffset(new \DateTimeImmutable('@'.$from));
        $marks = [];
        for ($at = (int) ceil(($from + $offset) / $every) * $every - $offset; $at <= $to; $at += $every) {
            $local = (new \DateTimeImmutable('@'.$at))->setTimezone($zone);
            $marks[] = new ChartMark($at, $local->format($every >= 86400 ? 'D j' : 'H:i'));
        }

        return $marks;
    }

    /** @param  array{int, float}|null  $last */
    public function trend(StoveSession $session, ?StoveProbe $standing, ?array $last): string
    {
        if ($standing === null || $last === null) {
            return $standing?->probe->kind === Probe::HAND ? 'nothing read yet' : 'waiting for the first reading';
        }
        $silent = $session->now() - $last[0];
        if ($standing->probe->kind === Probe::HAND) {
            return 'read '.($silent < 90 ? 'just now' : AmountWriter::span($silent / 3600).' ago');
        }
        if ($silent > 120) {
            return 'last heard '.AmountWriter::span($silent / 3600).' ago';
        }
        $before = DB::table('readings')
            ->where('stove_session_id', $session->id)
            ->where('probe_id', $standing->probe_id)
            ->whereBetween('at', [$last[0] - 700, $last[0] - 500])
            ->avg('centi_c');
        if ($before === null) {
            return 'just begun';
        }
        $change = $last[1] - (float) $before / 100;

        return abs($change) < self::STEADY_C
            ? 'steady'
            : ($change > 0 ? 'rising ' : 'falling ').$this->warmths->moved($change).' in ten minutes';
    }
}
