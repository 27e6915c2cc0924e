<?php

namespace App\Pages\Batch;

use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Responses\Batch\LookCurve;
use App\Responses\Batch\LookPoint;
use App\Responses\Batch\LooksView;
use App\Responses\Stove\ChartMark;
use Kettle\Batch\Entry;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\ScentLook;
use Kettle\Batch\Logbook;
use Kettle\Time\Dates;
use Kettle\Warmth\Approach;
use Kettle\Warmth\WarmthException;

/** The looks at a jar, and the end they go towards. */
final readonly class LookPresenter
{
    /** Oils from pale to deep, to choose the nearest from where there is no camera. Invented, evenly spaced by eye. */
    public const SWATCHES = [
        '#fbf7e6',
        '#f7edc3',
        '#f3df93',
        '#eecb5f',
        '#e5b23a',
        '#d8952a',
        '#c27722',
        '#a55b1e',
        '#84431a',
        '#5f3015',
        '#d9dca0',
        '#b9c274',
        '#95a24f',
        '#6f7f37',
        '#4f5e28',
        '#7a2b1c',
    ];

    private const SCENT = [
        'nothing of the herb',
        'a breath',
        'faint',
        'faint, but there',
        'clear',
        'clear and full',
        'strong',
        'strong and round',
        'very strong',
        'it fills the room',
        'as strong as the herb itself',
    ];

    public function __construct(private Records $records, private KitchenFactory $kitchens, private Times $times) {}

    public function of(Batch $batch): LooksView
    {
        $log = $this->records->log($batch);

        return new LooksView($this->colour($batch, $log), $this->scent($batch, $log), self::SWATCHES, self::SCENT);
    }

    private function colour(Batch $batch, Logbook $log): LookCurve
    {
        // Against the plain oil; where nobody looked at that, against the first look.
        $plain = $first = null;
        foreach ($log->all(ColourLook::class) as $look) {
            $plain = $look->plain ? $look : $plain;
            $first ??= $look;
        }
        $from = $plain ?? $first;
        $points = [];
        foreach ($log->standing as $entry) {
            $look = $entry->line;
            if ($look instanceof ColourLook && $from !== null) {
                $difference = $look->colour()->difference($from->colour());
                $points[] = new LookPoint(
                    $entry->id,
                    $this->hours($batch, $entry),
                    round($difference, 2),
                    $look === $from
                        ? ($plain === null
                            ? 'the first look'
                            : 'the plain oil')
                        : sprintf('%s from %s', round($difference, 1), $plain === null ? 'the first look' : 'the plain oil'),
                    $entry->by,
                    $this->times->logged($entry->at),
                    $look->hex(),
                    $look->photo,
                );
            }
        }

        return $this->curve($batch, 'colour', $points, 'The colour', 'colour');
    }

    private function scent(Batch $batch, Logbook $log): LookCurve
    {
        $points = [];
        foreach ($log->standing as $entry) {
            if ($entry->line instanceof ScentLook) {
                $score = $entry->line->score;
                $points[] = new LookPoint(
                    $entry->id,
                    $this->hours($batch, $entry),
                    (float) $score,
                    $score.', '.(self::SCENT[$score] ?? ''),
                    $entry->by,
                    $this->times->logged($entry->at),
                    null,
                    null,
                );
            }
        }

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
                $curve[] = [($hours * $i) / 40, round($fit->max * $fit->share(($hours * $i) / 40), 3)];
            }
            $says =
                $error > 0.4
                    ? sprintf('%s still wanders too much to say. Look again in some days.', $what)
                    : sprintf(
                        'About %d %% of the %s is still to come, give or take %d. Nine tenths are there %s.',
                        (int) round($left * 100),
                        $noun,
                        max(1, (int) round($error * 100)),
                        $this->when($batch, $fit->when(0.9)),
                    );
        } catch (WarmthException) {
            $says =
                $after === []
                    ? ($kind === 'colour'
                        ? 'Look at the plain oil first, then every few days: the curve tells when it has given what it will.'
                        : 'Smell it every few days, away from the jar’s own steam.')
                    : sprintf(
                        'Too few looks to say: %d of at least %d, on different days, and rising.',
                        count($after),
                        Approach::LEAST_LOOKS,
                    );
        }

        return new LookCurve(
            $kind,
            $says,
            $points,
            $curve,
            $end === null ? null : round($end, 2),
            round(
                max([$kind === 'scent' ? 10.0 : 5.0, $end ?? 0.0, ...array_map(fn (LookPoint $point) => $point->value, $points)]) * 1.08,
                2,
            ),
            $hours,
            $this->marks($hours),
        );
    }

    /** @return list<ChartMark> */
    private function marks(float $hours): array
    {
        $marks = [];
        $step = $hours > 24 * 60 ? 24 * 14 : ($hours > 24 * 12 ? 24 * 7 : ($hours > 48 ? 48 : 6));
        for ($at = $step; $at < $hours; $at += $step) {
            $marks[] = new ChartMark($at, $step >= 168 ? 'week '.$at / 168 : ($step >= 24 ? 'day '.$at / 24 : $at.' h'));
        }

        return $marks;
    }

    private function when(Batch $batch, float $hours): string
    {
        $at = $this->kitchens->local($batch->filled_at ?? $batch->start_at)->modify('+'.(int) min(24 * 365, round($hours)).' hours');

        return $at <= $this->kitchens->now() ? 'by now' : 'about '.Dates::say($at, 'short_weekday');
    }

    private function hours(Batch $batch, Entry $look): float
    {
        $from = $batch->filled_at;

        return $from === null ? 0.0 : round(max(0, $look->at->getTimestamp() - $from->getTimestamp()) / 3600, 3);
    }
}
