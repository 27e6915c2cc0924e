<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Method;
use Kettle\Infusion\Uptake;
use Kettle\Measure\Ratio;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarException;
use Kettle\Vessel\Levels;

/** Which jar, and how many alike; and whether what goes in is held by it and covered. */
final readonly class JarChoice
{
    /** The jar reckoned with when nothing else is known, mL to the brim: the pint. */
    private const USUAL_BRIM_ML = 505.0;

    /** @throws WishException */
    public static function usual(Wish $wish, Kitchen $kitchen): Jar
    {
        $jars = $kitchen->jarsBySize($wish->method->wants->vessels[0]);
        if ($jars === []) {
            throw WishException::from(JarException::noneListed()->about('jar'));
        }
        usort($jars, fn (Jar $a, Jar $b) => abs($a->brimMl - self::USUAL_BRIM_ML) <=> abs($b->brimMl - self::USUAL_BRIM_ML));

        return $jars[0];
    }

    /**
     * The smallest jar that holds it with its headspace; failing that, the smallest that holds it at all;
     * failing that, the fewest alike that do.
     *
     * @return array{Jar, int}
     *
     * @throws WishException
     */
    public static function holding(Wish $wish, Kitchen $kitchen, float $herbG, float $oilMl): array
    {
        $sizes = $kitchen->jarsBySize($wish->method->wants->vessels[0]);
        if ($sizes === []) {
            throw WishException::from(JarException::noneListed()->about('jar'));
        }
        foreach ($wish->sizing->jars === null ? range(1, Sizing::MOST_JARS) : [$wish->sizing->jars] as $jars) {
            $wanted = $wish->method->wants->headspaceMm;
            foreach ($jars === 1 || $wish->sizing->jars !== null ? [$wanted, 0.0] : [$wanted] as $headspace) {
                foreach ($sizes as $jar) {
                    if (Levels::in($jar, $wish->mix, $herbG / $jars, $oilMl / $jars)->headspaceMm() >= $headspace - 1e-9) {
                        return [$jar, $jars];
                    }
                }
            }
        }
        $need = $oilMl + $wish->mix->ownMlPerG * $herbG;
        throw WishException::from(JarException::noneHolds($need, $sizes[count($sizes) - 1])->about('jar'));
    }

    /**
     * The first whole ratio leaner than one under which the herb is covered as deep as is wanted, for what was really
     * given: found by reckoning each. Null where none does.
     */
    public static function covering(Wish $wish, Kitchen $kitchen, Ratio $ratio): ?Ratio
    {
        if ($wish->sizing->seekingCover) {
            return null;
        }
        $uptake = $kitchen->uptakeFor($wish);
        for ($parts = floor($ratio->parts) + 1; $parts <= Ratio::LEANEST; $parts++) {
            $leaner = $ratio->parts($parts);
            if (self::isCovered($wish->leaner($leaner), $kitchen, $uptake)) {
                return $leaner;
            }
        }

        return null;
    }

    /** The ratio, where it was taken of the dry weight of the herb and covers it when it is meant of the herb as it lies. */
    public static function asItLies(Wish $wish, Kitchen $kitchen, Ratio $ratio): ?Ratio
    {
        return ! $wish->sizing->seekingCover &&
            $wish->sizing->ratio !== null &&
            self::isCovered($wish->asItLies($ratio), $kitchen, $kitchen->uptakeFor($wish))
            ? $ratio
            : null;
    }

    private static function isCovered(Wish $tried, Kitchen $kitchen, Uptake $uptake): bool
    {
        try {
            $found = Amounts::solve($tried, $kitchen, $uptake);
        } catch (WishException) {
            return false;
        }

        return $found->levels->coverMm() >= Amounts::COVER_MM - 0.5 &&
            $found->levels->headspaceMm() >= $tried->method->wants->headspaceMm - 0.5;
    }

    /** @throws WishException when a jar overflows or the herb stands out of the oil */
    public static function check(Wish $wish, Kitchen $kitchen, Jar $jar, int $jars, float $herbG, float $oilMl, Ratio $ratio): Levels
    {
        $levels = Levels::in($jar, $wish->mix, $herbG / $jars, $oilMl / $jars);
        if ($levels->headspaceMm() < -1e-9) {
            $most = Levels::mostHerb($jar, $wish->mix, $oilMl / $herbG, $wish->method->wants->headspaceMm);
            $need = ($oilMl + $wish->mix->ownMlPerG * $herbG) / $jars;
            throw WishException::withWays(
                JarException::overflows($jar, $need, $most)->about('jar'),
                JarRemedies::ofOverflow($wish, $kitchen, $jar, $herbG, $oilMl),
            );
        }
        // In a pan the herb is stirred, and need not be covered.
        if ($levels->coverMm() <= 0 && ! $wish->method->has(Method::IN_PAN)) {
            $would = self::covering($wish, $kitchen, $ratio);
            throw WishException::withWays(
                JarException::herbStandsOut($ratio->text(), $levels->levelMm, $levels->bedMm, $would?->text())->about('ratio'),
                JarRemedies::ofStandingOut($wish, $would, self::asItLies($wish, $kitchen, $ratio)),
            );
        }

        return $levels;
    }
}
