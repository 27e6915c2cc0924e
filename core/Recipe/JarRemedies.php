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
                [...Change::SIZES, 'herbs' => Change::unweighed($wish), 'jars' => null] + Change::ratioAsItIs($wish, $herbG, $oilMl),
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
                ...Change::SIZES,
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
                'oil_amount' => null,
                'ratio' => $usual,
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    /** @return list<Way> */
    public static function ofJarWay(Wish $wish, ByJar $way, Jar $jar): array
    {
        $ways = [];
        $room = $jar->heightMm - $wish->method->wants->headspaceMm;
        foreach (array_reverse(ByJar::FILLS, true) as $word => $share) {
            $bed = $jar->heightOf(($wish->mix->settledMlPerG * $jar->volumeTo($share * $jar->heightMm)) / $wish->mix->looseMlPerG);
            if ($share < $way->share() && $bed + $way->coverMm <= $room) {
                $ways[] = new Way('less-herb', sprintf('Fill it %s instead: with that cover it fits.', ByJar::SAID[$word]), [
                    'by_jar' => ['fill' => $word, 'cover' => round($way->coverMm).' mm'],
                ]);
                break;
            }
        }
        $bed = $jar->heightOf(($wish->mix->settledMlPerG * $jar->volumeTo($way->share() * $jar->heightMm)) / $wish->mix->looseMlPerG);
        $cover = floor($room - $bed);
        if ($cover >= 10) {
            $ways[] = new Way('thinner-cover', sprintf('Cover it by %d mm, which is all there is room for.', (int) $cover), [
                'by_jar' => ['fill' => $way->fill, 'cover' => $cover.' mm'],
            ]);
        }

        return $ways;
    }

    /** @return array<string, mixed> the change that takes a leaner ratio */
    public static function leaner(Wish $wish, Ratio $would): array
    {
        $change = ['ratio' => $would->text()];

        // With herb and oil both given the oil must give way; more oil on the same herb may want another jar.
        return $change +
            ($wish->sizing->herb !== null && $wish->sizing->oil !== null ? ['oil_amount' => null] : []) +
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
