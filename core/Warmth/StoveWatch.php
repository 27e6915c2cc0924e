<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/**
 * What must be said of a pot that is warm just now: too warm, too cold, reading lost, water low, shake, done.
 * Ranked stop before care before note. What counts as lost, near and soon: common practice, no source.
 */
final readonly class StoveWatch
{
    /** A sender that is silent for so long is lost, s. */
    private const LOST_S = 300;

    /** Somebody's own eye is asked for again after so long, s. */
    private const LOOK_S = 3600;

    /** Degrees under the ceiling at which to say so. */
    private const NEAR_C = 3.0;

    /** A pot this long switched on and not warm is not going to be, s. */
    private const SHOULD_BE_WARM_S = 2 * 3600;

    /** Water is told this long before it is low, s. */
    private const SOON_S = 1800;

    /**
     * @param  \Closure(float): string  $warmth degrees C as this cook reads them
     */
    public function __construct(private Band $band, private \Closure $warmth) {}

    /**
     * @param  array{now: int, on: bool, switched_at: int, shaken_at: int, shake_every_s: ?int, by_eye: bool, dry: bool,
     *     water_ml: ?float, low_ml: float, loses_ml_s: float}  $pot moments in s; water_ml null when nothing was measured yet
     * @param  list<array{called: string, had_h: float, planned_h: float, out: bool}>  $jars
     * @return list<array{id: string, rank: 'stop'|'care'|'note', says: string}>
     */
    public function alarms(array $pot, StoveLog $log, array $jars): array
    {
        $alarms = [];
        $last = $log->hours()->last();
        $said = $this->warmth;
        $silent = $pot['now'] - ($last[0] ?? $pot['switched_at']);
        if ($pot['on'] && $pot['by_eye'] && $silent > self::LOOK_S) {
            $alarms[] = self::alarm(
                'look',
                'care',
                'Look at the thermometer, and write down what it says: nobody has for '.AmountWriter::span($silent / 3600).'.',
            );
        } elseif ($pot['on'] && ! $pot['by_eye'] && $silent > self::LOST_S) {
            $alarms[] = self::alarm(
                'lost',
                'stop',
                sprintf(
                    'No reading for %s. Go and look: the probe may have fallen out, and the pot is on.',
                    AmountWriter::span($silent / 3600),
                ),
            );
        }
        if ($last !== null && $silent < self::LOOK_S * 2) {
            $celsius = $last[1];
            if ($celsius > $this->band->ceiling) {
                $alarms[] = self::alarm(
                    'too-warm',
                    'stop',
                    sprintf(
                        '%s is over the ceiling of %s. %s',
                        $said($celsius),
                        $said($this->band->ceiling),
                        $pot['dry']
                            ? 'Switch it off, lid off, until it has come down.'
                            : 'Switch it down, lid off, and pour in some cool water round the jars, never on them.',
                    ),
                );
            } elseif ($celsius > $this->band->ceiling - self::NEAR_C) {
                $alarms[] = self::alarm(
                    'near',
                    'care',
                    sprintf('%s comes near the ceiling of %s.', $said($celsius), $said($this->band->ceiling)),
                );
            } elseif (
                $pot['on'] &&
                $celsius < $this->band->low &&
                ($log->hours()->hours() > 0 || $pot['now'] - $pot['switched_at'] > self::SHOULD_BE_WARM_S) &&
                self::LOST_S * 6 < $pot['now'] - $pot['switched_at']
            ) {
                $alarms[] = self::alarm(
                    'too-cold',
                    'care',
                    sprintf('%s is under the band: no hours are counted. Is it on, and the setting high enough?', $said($celsius)),
                );
            }
        }
        if ($pot['water_ml'] !== null && $pot['on']) {
            $over = $pot['water_ml'] - $pot['low_ml'];
            if ($over <= 0) {
                $alarms[] = self::alarm(
                    'water-low',
                    'stop',
                    'The water is low. Top it up from the kettle, hot, round the jars and never on them.',
                );
            } elseif ($pot['loses_ml_s'] > 0 && $over / $pot['loses_ml_s'] < self::SOON_S) {
                $alarms[] = self::alarm(
                    'water-soon',
                    'care',
                    sprintf(
                        'The water is low in %s; about %s is gone by then.',
                        AmountWriter::span($over / $pot['loses_ml_s'] / 3600),
                        AmountWriter::plain($over, Kind::Volume),
                    ),
                );
            }
        }
        $waiting = array_filter($jars, fn (array $jar) => ! $jar['out']);
        foreach ($waiting as $jar) {
            if ($jar['planned_h'] > 0 && $jar['had_h'] >= $jar['planned_h']) {
                $alarms[] = self::alarm(
                    'done',
                    'note',
                    sprintf(
                        'The %s has its %s at warmth. Take it out, wipe the jar dry, and strain it.',
                        $jar['called'],
                        AmountWriter::span($jar['planned_h']),
                    ),
                );
            }
        }
        if ($pot['on'] && $pot['shake_every_s'] !== null && $waiting !== [] && $pot['shake_every_s'] <= $pot['now'] - $pot['shaken_at']) {
            $alarms[] = self::alarm('shake', 'note', 'Take the jars out, wipe, shake, put them back.');
        }
        $rank = ['stop' => 0, 'care' => 1, 'note' => 2];
        usort($alarms, fn (array $a, array $b) => $rank[$a['rank']] <=> $rank[$b['rank']]);

        return $alarms;
    }

    /** Seconds until so many hours are gathered at the warmth it has; null when none are being gathered. */
    public static function doneIn(StoveLog $log, float $leftH): ?float
    {
        $last = $log->hours()->last();
        $rate = $last === null ? 0.0 : $log->hours()->rateAt($last[1]);

        return $leftH <= 0 ? 0.0 : ($rate > 0.05 ? ($leftH / $rate) * 3600 : null);
    }

    /**
     * @param  'stop'|'care'|'note'  $rank
     * @return array{id: string, rank: 'stop'|'care'|'note', says: string}
     */
    private static function alarm(string $id, string $rank, string $says): array
    {
        return ['id' => $id, 'rank' => $rank, 'says' => $says];
    }
}
