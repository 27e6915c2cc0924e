<?php

namespace App\Words;

use App\Actions\Batches\History;
use App\House\Kitchens;
use App\Http\Shapes\ChartMark;
use App\Http\Shapes\LookCurve;
use App\Http\Shapes\LookPoint;
use App\Http\Shapes\LooksView;
use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Warmth\Approach;
use Kettle\Warmth\Colour;
use Kettle\Warmth\WarmthRefused;

/** The looks at a jar, and the end they go towards. */
final readonly class LookWords
{
    /** Oils from pale to deep, to choose the nearest from where there is no camera. Invented, evenly spaced by eye. */
    public const SWATCHES = ['#fbf7e6', '#f7edc3', '#f3df93', '#eecb5f', '#e5b23a', '#d8952a', '#c27722', '#a55b1e', '#84431a', '#5f3015', '#d9dca0', '#b9c274', '#95a24f', '#6f7f37', '#4f5e28', '#7a2b1c'];

    private const SCENT = ['nothing of the herb', 'a breath', 'faint', 'faint, but there', 'clear', 'clear and full', 'strong', 'strong and round', 'very strong', 'it fills the room', 'as strong as the herb itself'];

    public function __construct(private History $history, private Kitchens $kitchens, private Times $times)
    {
    }

    public function of(Batch $batch): LooksView
    {
        $looks = array_values(array_filter($this->history->standing($batch), fn (LogEntry $entry) => $entry->kind === 'look'));
        $colours = array_values(array_filter($looks, fn (LogEntry $entry) => $entry->data['what'] === 'colour'));
        $scents = array_values(array_filter($looks, fn (LogEntry $entry) => $entry->data['what'] === 'scent'));

        return new LooksView($this->colour($batch, $colours), $this->scent($batch, $scents), self::SWATCHES, self::SCENT);
    }

    /** @param  list<LogEntry>  $looks */
    private function colour(Batch $batch, array $looks): LookCurve
    {
        // Against the plain oil; where nobody looked at that, against the first look.
        $plain = null;
        foreach ($looks as $look) {
            $plain = ($look->data['plain'] ?? false) === true ? $look : $plain;
        }
        $from = $plain ?? ($looks[0] ?? null);
        $points = [];
        foreach ($looks as $look) {
            $difference = $from === null ? 0.0 : self::lab($look)->difference(self::lab($from));
            $points[] = new LookPoint(
                $look->uid, $this->hours($batch, $look), round($difference, 2),
                $look->uid === $from?->uid ? ($plain === null ? 'the first look' : 'the plain oil') : sprintf('%s from %s', round($difference, 1), $plain === null ? 'the first look' : 'the plain oil'),
                $look->by, $this->times->logged($look->happened_at), vsprintf('#%02x%02x%02x', is_array($look->data['rgb'] ?? null) ? $look->data['rgb'] : [0, 0, 0]), is_string($look->data['photo'] ?? null) ? $look->data['photo'] : null,
            );
        }

        return $this->curve($batch, 'colour', $points, 'The colour', 'colour');
    }

    /** @param  list<LogEntry>  $looks */
    private function scent(Batch $batch, array $looks): LookCurve
    {
        $points = array_map(fn (LogEntry $look) => new LookPoint(
            $look->uid, $this->hours($batch, $look), (float) $look->data['score'], $look->data['score'].', '.(self::SCENT[(int) $look->data['score']] ?? ''), $look->by, $this->times->logged($look->happened_at), null, null,
        ), $looks);

        return $this->curve($batch, 'scent', $points, 'The scent', 'scent');
    }

    /** @param  list<LookPoint>  $points */
    private function curve(Batch $batch, string $kind, array $points, string $what, string $noun): LookCurve
    {
        $after = array_values(array_filter($points, fn (LookPoint $point) => $point->at > 0));
        $hours = max([24.0, ...array_map(fn (LookPoint $point) => $point->at, $points)]) * 1.35;
        $curve = [];
        $end = null;
        try {
            $fit = Approach::through(array_map(fn (LookPoint $point) => [$point->at, $point->value], $after));
            [$left, $error] = $fit->toCome();
            $end = $fit->max;
            for ($i = 0; $i <= 40; $i++) {
                $curve[] = [$hours * $i / 40, round($fit->max * $fit->share($hours * $i / 40), 3)];
            }
            $says = $error > 0.4
                ? sprintf('%s still wanders too much to say. Look again in some days.', $what)
                : sprintf('About %d %% of the %s is still to come, give or take %d. Nine tenths are there %s.', (int) round($left * 100), $noun, max(1, (int) round($error * 100)), $this->when($batch, $fit->when(0.9)));
        } catch (WarmthRefused) {
            $says = $after === []
                ? ($kind === 'colour' ? 'Look at the plain oil first, then every few days: the curve tells when it has given what it will.' : 'Smell it every few days, away from the jar’s own steam.')
                : sprintf('Too few looks to say: %d of at least %d, on different days, and rising.', count($after), Approach::LEAST_LOOKS);
        }

        return new LookCurve($kind, $says, $points, $curve, $end === null ? null : round($end, 2), round(max([$kind === 'scent' ? 10.0 : 5.0, $end ?? 0.0, ...array_map(fn (LookPoint $point) => $point->value, $points)]) * 1.08, 2), $hours, $this->marks($hours));
    }

    /** @return list<ChartMark> */
    private function marks(float $hours): array
    {
        $marks = [];
        $step = $hours > 24 * 60 ? 24 * 14 : ($hours > 24 * 12 ? 24 * 7 : ($hours > 48 ? 48 : 6));
        for ($at = $step; $at < $hours; $at += $step) {
            $marks[] = new ChartMark($at, $step >= 168 ? 'week '.($at / 168) : ($step >= 24 ? 'day '.($at / 24) : $at.' h'));
        }

        return $marks;
    }

    private function when(Batch $batch, float $hours): string
    {
        $at = $this->kitchens->local(($batch->filled_at ?? $batch->start_at))->modify('+'.(int) min(24 * 365, round($hours)).' hours');

        return $at <= $this->kitchens->now() ? 'by now' : 'about '.$at->format('D j M');
    }

    private function hours(Batch $batch, LogEntry $look): float
    {
        $from = $batch->filled_at;

        return $from === null ? 0.0 : round(max(0, $look->happened_at->getTimestamp() - $from->getTimestamp()) / 3600, 3);
    }

    private static function lab(LogEntry $look): Colour
    {
        $lab = is_array($look->data['lab'] ?? null) ? array_map(floatval(...), $look->data['lab']) : [0.0, 0.0, 0.0];

        return Colour::lab($lab[0], $lab[1], $lab[2]);
    }
}
