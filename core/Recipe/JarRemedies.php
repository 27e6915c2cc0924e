<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Method;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Reason\Way;
use Kettle\Reason\Wording;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Levels;

/** What can be done instead when the jar or the ratio says no: each a change to the wish that works. */
final class JarRemedies
{
    /** @return list<Way> the vessel that the method is done in */
    public static function ofVessel(Wish $wish, Kitchen $kitchen): array
    {
        $usual = $kitchen->jarsBySize($wish->method->wants->vessels[0])[0] ?? null;

        return $usual === null
            ? []
            : [new Way('its-vessel', sprintf('Make it in a %s.', $usual->called), ['jar' => null, 'jars' => null, 'by_jar' => null])];
    }

    /**
     * The next size that would do, several of this one, or as much as this one takes.
     *
     * @return list<Way>
     */
    public static function ofOverflow(Wish $wish, Kitchen $kitchen, Jar $jar, float $herbG, float $oilMl): array
    {
        $ways = [];
        $larger = self::larger($wish, $kitchen, $jar, $herbG, $oilMl);
        if ($larger !== null) {
            $ways[] = new Way('larger-jar', sprintf('Take the %s: it holds it all.', $larger->called), [
                'jar' => $larger->id,
                'jars' => null,
            ]);
        }
        for ($jars = 2; $jars <= Sizing::MOST_JARS; $jars++) {
            $each = Levels::in($jar, $wish->mix, $herbG / $jars, $oilMl / $jars);
            if ($each->headspaceMm() >= $wish->method->wants->headspaceMm - 1e-9) {
                $ways[] = new Way(
                    'several-jars',
                    sprintf(
                        'Use %s of this jar, each with %s of herb and %s of oil.',
                        Numbers::word($jars),
                        AmountWriter::plain($herbG / $jars, Kind::Mass),
                        AmountWriter::plain($oilMl / $jars, Kind::Volume),
                    ),
                    ['jars' => (string) $jars] + ($jar->id === '' ? [] : ['jar' => $jar->id]),
                );
                break;
            }
        }
        $most = Levels::mostHerb($jar, $wish->mix, $oilMl / $herbG, $wish->method->wants->headspaceMm);
        if ($most > 0) {
            $ways[] = new Way(
                'fill-this-jar',
                sprintf(
                    'Make only what this jar takes: %s of herb and %s of oil.',
                    AmountWriter::plain($most, Kind::Mass),
                    AmountWriter::plain(($most * $oilMl) / $herbG, Kind::Volume),
                ),
                [...Change::unsized($wish), 'herbs' => Change::unweighed($wish), 'jars' => null] +
                    Change::ratioAsItIs($wish, $herbG, $oilMl),
            );
        }

        return $ways;
    }

    /**
     * A leaner ratio, or the ratio as the other school takes it.
     *
     * @param  ?Ratio  $would the one that covers; null where none does
     * @param  ?Ratio  $asItLies the one that is asked for, where it covers when its grams are of the herb as it lies
     * @return list<Way>
     */
    public static function ofStandingOut(Wish $wish, ?Ratio $would, ?Ratio $asItLies): array
    {
        $ways = [];
        if ($would !== null) {
            $ways[] = new Way(
                'leaner',
                sprintf('Take %s, which covers it%s.', $would->text(), self::outgrowsItsJar($wish) ? ', in a jar that holds it' : ''),
                self::leaner($wish, $would),
            );
        }
        if ($asItLies !== null) {
            $ways[] = new Way('as-it-lies', sprintf('Take %s of the herb as it lies, water and all.', $asItLies->text()), [
                'basis' => Sizing::AS_IT_LIES,
                ...self::leaner($wish, $asItLies),
            ]);
        }

        return $ways;
    }

    /**
     * As much herb as is usual for the oil.
     *
     * @return list<Way>
     */
    public static function ofLean(Wish $wish, float $oilMl): array
    {
        $usual = $wish->mix->usualParts($wish->perGramAsItLies());

        return [
            new Way('usual', sprintf('Take 1:%s for the same oil.', Wording::number($usual)), [
                ...Change::unsized($wish),
                'oil_amount' => Change::number(round($oilMl, 1)).' mL',
                'herbs' => Change::unweighed($wish),
                'ratio' => '1:'.Wording::number($usual),
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    /**
     * Herb and oil that are far too much or too little for one another: either can lead.
     *
     * @return list<Way>
     */
    public static function ofRatioOffTheScale(Wish $wish, float $oilMl): array
    {
        $usual = '1:'.Wording::number($wish->mix->usualParts($wish->perGramAsItLies()));

        return [
            ...self::ofLean($wish, $oilMl),
            new Way('by-herb', sprintf('Take %s for the same herb.', $usual), [
                ...Change::unpoured($wish),
                'ratio' => $usual,
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    /**
     * Less herb, or less over it.
     *
     * @return list<Way>
     */
    public static function ofJarWay(Wish $wish, ByJar $way, Jar $jar): array
    {
        $ways = [];
        $room = $way->roomMm($jar, $wish->method);
        foreach (self::lessHerb($way) as $less) {
            if (self::bed($wish, $less, $jar) + (float) $less->coverMm <= $room) {
                $ways[] = new Way('less-herb', sprintf('Fill it %s instead: with that cover it fits.', $less->said()), [
                    'by_jar' => $less->document(),
                ]);
                break;
            }
        }
        $cover = floor($room - self::bed($wish, $way, $jar));
        if ($cover >= 10) {
            $ways[] = new Way('thinner-cover', sprintf('Cover it by %d mm, which is all there is room for.', (int) $cover), [
                'by_jar' => $way->covered($cover)->document(),
            ]);
        }

        return $ways;
    }

    /**
     * So much oil as covers it and is held, or less herb under the oil there is.
     *
     * @return list<Way>
     */
    public static function ofJarAndOil(Wish $wish, ByJar $way, Jar $jar): array
    {
        $ways = [];
        $room = $way->roomMm($jar, $wish->method);
        $oilEach = (float) $wish->sizing->oil?->value / ($wish->sizing->jars ?? 1);
        foreach (self::lessHerb($way) as $less) {
            $levels = Levels::in($jar, $wish->mix, $less->herbIn($jar, $wish->mix), $oilEach);
            if ($levels->isWellCovered() && $levels->levelMm <= $room) {
                $ways[] = new Way('less-herb', sprintf('Fill it %s instead, under the same oil.', $less->said()), [
                    'by_jar' => $less->document(),
                ]);
                break;
            }
        }
        $covered = $way->covered();
        $toCover =
            self::bed($wish, $way, $jar) + Amounts::COVER_MM <= $room
                ? [new Way('cover-it', 'Pour until the oil stands an inch over it.', ['by_jar' => $covered->document()])]
                : self::ofJarWay($wish, $covered, $jar);

        return [
            ...$ways,
            ...array_map(fn (Way $each) => new Way($each->id, $each->says, [...Change::unpoured($wish), ...$each->change]), $toCover),
        ];
    }

    /** @return list<ByJar> with less herb, the most of it first */
    private static function lessHerb(ByJar $way): array
    {
        $all = array_map($way->filled(...), array_keys(array_reverse(ByJar::FILLS, true)));

        return array_values(array_filter($all, fn (ByJar $each) => $each->share() < $way->share()));
    }

    /** How high the herb stands under oil, mm. */
    private static function bed(Wish $wish, ByJar $way, Jar $jar): float
    {
        return $jar->heightOf($wish->mix->settledMlPerG * $way->herbIn($jar, $wish->mix));
    }

    /** @return array<string, mixed> the change that takes a leaner ratio */
    public static function leaner(Wish $wish, Ratio $would): array
    {
        $change = ['ratio' => $would->text()];

        // With herb and oil both given the oil must give way; more oil on the same herb may want another jar.
        return $change +
            ($wish->sizing->herb !== null && $wish->sizing->oil !== null ? Change::unpoured($wish) : []) +
            (self::outgrowsItsJar($wish) ? ['jar' => null, 'jars' => null] : []);
    }

    /** Whether more oil would be poured on so much herb, into a jar that is said. */
    private static function outgrowsItsJar(Wish $wish): bool
    {
        return $wish->sizing->herb !== null && $wish->sizing->jar !== null;
    }

    public static function larger(Wish $wish, Kitchen $kitchen, Jar $jar, float $herbG, float $oilMl): ?Jar
    {
        foreach ($kitchen->jarsBySize($jar->kind) as $other) {
            if (
                $other->brimMl > $jar->brimMl &&
                Levels::in($other, $wish->mix, $herbG, $oilMl)->headspaceMm() >= $wish->method->wants->headspaceMm - 1e-9
            ) {
                return $other;
            }
        }

        return null;
    }
}
