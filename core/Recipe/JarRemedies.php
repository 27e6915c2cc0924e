<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Method;
use Kettle\Material\Lying;
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

    /** @return list<Way> */
    public static function ofStandingOut(Wish $wish, ?Ratio $would): array
    {
        $ways = [];
        if ($would !== null) {
            $ways[] = new Way(
                'leaner',
                sprintf('Take %s, which covers it%s.', $would->text(), self::outgrowsItsJar($wish) ? ', in a jar that holds it' : ''),
                self::leaner($wish, $would),
            );
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
        $room = $jar->heightMm - ($way->brim ? ByJar::LEAST_AT_BRIM_MM : $wish->method->wants->headspaceMm);
        $cover = $way->brim ? ByJar::BRIM : round((float) $way->coverMm).' mm';
        foreach (array_reverse(ByJar::FILLS, true) as $word => $share) {
            if ($share < $way->share() && self::bed($wish, $way, $jar, $share) + (float) $way->coverMm <= $room) {
                $ways[] = new Way('less-herb', sprintf('Fill it %s instead: with that cover it fits.', ByJar::SAID[$word]), [
                    'by_jar' => $way->change($word, $cover),
                ]);
                break;
            }
        }
        $cover = floor($room - self::bed($wish, $way, $jar, $way->share()));
        if ($cover >= 10) {
            $ways[] = new Way('thinner-cover', sprintf('Cover it by %d mm, which is all there is room for.', (int) $cover), [
                'by_jar' => $way->change(null, $cover.' mm'),
            ]);
        }
        if ($ways === [] && $way->lying !== Lying::Loose) {
            $loose = new ByJar($way->fill, Lying::Loose, $way->coverMm, $way->brim);
            $fits = self::bed($wish, $loose, $jar, $way->share()) + (float) $way->coverMm <= $room;
            $ways = $fits
                ? [new Way('loosely', 'Fill it loosely.', ['by_jar' => $loose->change(null, $way->brim ? ByJar::BRIM : $cover.' mm')])]
                : self::ofJarWay($wish, $loose, $jar);
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
        $room = $jar->heightMm - $wish->method->wants->headspaceMm;
        $oilEach = (float) $wish->sizing->oil?->value / ($wish->sizing->jars ?? 1);
        foreach (array_reverse(ByJar::FILLS, true) as $word => $share) {
            $herb = $jar->volumeTo($share * $jar->heightMm) / $wish->mix->mlPerG($way->lying);
            $levels = Levels::in($jar, $wish->mix, $herb, $oilEach);
            if ($share < $way->share() && $levels->isWellCovered() && $levels->levelMm <= $room) {
                $ways[] = new Way('less-herb', sprintf('Fill it %s instead, under the same oil.', ByJar::SAID[$word]), [
                    'by_jar' => $way->change($word),
                ]);
                break;
            }
        }
        $covered = $way->covered();
        $fits = self::bed($wish, $way, $jar, $way->share()) + Amounts::COVER_MM <= $room;
        $cover = sprintf('%d mm', (int) Amounts::COVER_MM);

        return [
            ...$ways,
            ...$fits
                ? [
                    new Way('cover-it', 'Pour until the oil stands an inch over it.', [
                        ...Change::unpoured($wish),
                        'by_jar' => $way->change(null, $cover),
                    ]),
                ]
                : array_map(
                    fn (Way $each) => new Way($each->id, $each->says, [...Change::unpoured($wish), ...$each->change]),
                    self::ofJarWay($wish, $covered, $jar),
                ),
        ];
    }

    /** How high the herb stands under oil, mm, where it filled so much of the jar. */
    private static function bed(Wish $wish, ByJar $way, Jar $jar, float $share): float
    {
        $herb = $jar->volumeTo($share * $jar->heightMm) / $wish->mix->mlPerG($way->lying);

        return $jar->heightOf($wish->mix->settledMlPerG * $herb);
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
