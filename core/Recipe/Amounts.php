<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Measure\Ratio;
use Kettle\Reason\Reason;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarRefused;
use Kettle\Vessel\Levels;

/**
 * Herb (g), oil (mL), ratio and jar, solved from whichever the wish gives:
 * any two of herb, oil and ratio, or a jar and a ratio; a ratio or jar not given is chosen.
 */
final readonly class Amounts
{
    /** Cover wanted above the herb bed, mm: common practice (1 to 3 in). */
    public const COVER_MM = 25.0;

    /** The jar reckoned with when nothing else is known, mL nominal: the pint. */
    private const USUAL_BRIM_ML = 505.0;

    /**
     * @param  list<Reason>  $herbReasons
     * @param  list<Reason>  $oilReasons
     */
    private function __construct(
        public float $herbG,
        public float $oilMl,
        public Ratio $ratio,
        public Jar $jar,
        public Levels $levels,
        public array $herbReasons,
        public array $oilReasons,
    ) {
    }

    /** @throws WishRefused when what is given disagrees, or no jar holds it with the herb covered */
    public static function solve(Wish $wish, Kitchen $kitchen): self
    {
        $given = [$wish->herb !== null, $wish->oil !== null];
        if ($given === [true, true]) {
            return self::fromBoth($wish, $kitchen);
        }
        [$ratio, $why] = self::ratio($wish);
        $perGram = self::perGram($ratio, $wish);
        $inputs = ['ratio' => $ratio->text(), 'ml_per_g' => round($perGram, 3)];
        if ($wish->herb !== null) {
            $herb = $wish->herb->value;
            $oil = $herb * $perGram;
            $herbWhy = [self::given($wish->herb->typed)];
            $oilWhy = [Reason::rule('ratio-gives-oil', ['herb_g' => round($herb, 1)] + $inputs), $why];
        } elseif ($wish->oil !== null) {
            $oil = $wish->oil->value;
            $herb = $oil / $perGram;
            $oilWhy = [self::given($wish->oil->typed)];
            $herbWhy = [Reason::rule('ratio-gives-herb', ['oil_ml' => round($oil)] + $inputs), $why];
        } else {
            $jar = $wish->jar ?? self::usualJar($kitchen);
            $herb = Levels::mostHerb($jar, $wish->form, $perGram, $wish->method->headspaceMm);
            if ($herb <= 0) {
                throw WishRefused::one('jar', 'does_not_fit', sprintf('The %s is too low to leave %d mm of headspace. Choose a taller jar.', $jar->called, (int) $wish->method->headspaceMm));
            }
            $oil = $herb * $perGram;
            $herbWhy = [Reason::rule('most-the-jar-takes', [
                'jar' => $jar->called,
                'room_ml' => round($jar->volumeTo($jar->heightMm - $wish->method->headspaceMm)),
                'headspace_mm' => $wish->method->headspaceMm,
                'ml_per_g' => round($perGram, 3),
                'herb_ml' => round($wish->form->particle->volumeOf(1.0), 3),
                'herb_g' => round($herb, 1),
            ]), $why];
            $oilWhy = [Reason::rule('ratio-gives-oil', ['herb_g' => round($herb, 1)] + $inputs), $why];
            $levels = self::check($wish, $kitchen, $jar, $herb, $oil, $ratio);

            return new self($herb, $oil, $ratio, $jar, $levels, $herbWhy, $oilWhy);
        }
        $jar = $wish->jar ?? self::jarFor($wish, $kitchen, $herb, $oil);
        $levels = self::check($wish, $kitchen, $jar, $herb, $oil, $ratio);
        if ($wish->jar === null) {
            $oilWhy[] = Reason::rule('jar-chosen-for-you', ['jar' => $jar->called]);
        }

        return new self($herb, $oil, $ratio, $jar, $levels, self::coarse($wish, $herbWhy), self::coarse($wish, $oilWhy));
    }

    private static function fromBoth(Wish $wish, Kitchen $kitchen): self
    {
        assert($wish->herb !== null && $wish->oil !== null);
        $perGram = $wish->oil->value / $wish->herb->value;
        if ($wish->ratio !== null) {
            $asked = self::perGram($wish->ratio, $wish);
            if (abs($asked / $perGram - 1) > 0.02) {
                throw WishRefused::one('ratio', 'disagree', sprintf(
                    'Herb and oil as given make 1:%s, and %s is asked for. Leave one of the three out and it is reckoned from the other two.', round($perGram, 1), $wish->ratio->text(),
                ));
            }
        }
        if ($perGram < 1 || $perGram > 30) {
            throw WishRefused::one('oil_amount', 'out_of_range', sprintf(
                'So much oil for so much herb is 1:%s, which is outside what is made. Between 1:1 and 1:30 is planned here; 1:5 is the usual.', $perGram < 1 ? round($perGram, 2) : round($perGram),
            ));
        }
        $ratio = Ratio::perGram($perGram);
        $why = Reason::rule('two-give-ratio', ['oil_ml' => round($wish->oil->value), 'herb_g' => round($wish->herb->value, 1), 'ml_per_g' => round($perGram, 2)]);
        $jar = $wish->jar ?? self::jarFor($wish, $kitchen, $wish->herb->value, $wish->oil->value);
        $levels = self::check($wish, $kitchen, $jar, $wish->herb->value, $wish->oil->value, $ratio);

        return new self(
            $wish->herb->value, $wish->oil->value, $ratio, $jar, $levels,
            self::coarse($wish, [self::given($wish->herb->typed), $why]),
            self::coarse($wish, [self::given($wish->oil->typed), $why]),
        );
    }

    private static function given(string $typed): Reason
    {
        return Reason::rule('given', ['typed' => $typed]);
    }

    /**
     * An amount written as the other of weight and volume carries the density it came through.
     *
     * @param  list<Reason>  $reasons
     * @return list<Reason>
     */
    private static function coarse(Wish $wish, array $reasons): array
    {
        foreach ($reasons as $reason) {
            $typed = $reason->inputs['typed'] ?? null;
            if ($typed === null) {
                continue;
            }
            if ($wish->herb?->throughDensity === true && $wish->herb->typed === $typed) {
                $reasons[] = Reason::rule('read-by-loose-density', ['typed' => $typed, 'material' => $wish->form->name, 'g_per_ml' => $wish->form->loose->gramsPerMl]);
            } elseif ($wish->oil?->throughDensity === true && $wish->oil->typed === $typed) {
                $density = $wish->blend->density(Planner::ROOM_C)->gramsPerMl;
                $reasons[] = Reason::rule('read-by-density', ['typed' => $typed, 'material' => $wish->blend->name(), 'g_per_ml' => round($density, 3), 'value' => round($wish->oil->value), 'unit' => 'mL']);
            }
        }

        return $reasons;
    }

    /** @return array{Ratio, Reason} */
    private static function ratio(Wish $wish): array
    {
        if ($wish->ratio !== null) {
            return [$wish->ratio, Reason::rule('ratio-chosen', ['ratio' => $wish->ratio->text()])];
        }
        $parts = $wish->form->usualMlPerGram();
        $why = match ($parts) {
            5.0 => 'the weighed standard.',
            7.0 => 'its settled bed would stand almost out of the oil at 1:5.',
            default => 'fluffy herb does not move freely at 1:7.',
        };

        return [Ratio::perGram($parts), Reason::rule('ratio-default', ['ml_per_g' => $parts, 'why' => $why])];
    }

    private static function perGram(Ratio $ratio, Wish $wish): float
    {
        return $ratio->mlPerGram($wish->blend->density(Planner::ROOM_C), $wish->form->loose);
    }

    /** @throws WishRefused */
    private static function usualJar(Kitchen $kitchen): Jar
    {
        $jars = $kitchen->jarsBySize();
        if ($jars === []) {
            throw WishRefused::from(JarRefused::noneListed()->about('jar'));
        }
        usort($jars, fn (Jar $a, Jar $b) => abs($a->brimMl - self::USUAL_BRIM_ML) <=> abs($b->brimMl - self::USUAL_BRIM_ML));

        return $jars[0];
    }

    /** The smallest jar that holds it with its headspace; failing that, the smallest that holds it at all. */
    private static function jarFor(Wish $wish, Kitchen $kitchen, float $herbG, float $oilMl): Jar
    {
        $jars = $kitchen->jarsBySize();
        if ($jars === []) {
            throw WishRefused::from(JarRefused::noneListed()->about('jar'));
        }
        foreach ([$wish->method->headspaceMm, 0.0] as $headspace) {
            foreach ($jars as $jar) {
                if (Levels::in($jar, $wish->form, $herbG, $oilMl)->headspaceMm() >= $headspace - 1e-9) {
                    return $jar;
                }
            }
        }
        $need = $oilMl + $wish->form->particle->volumeOf($herbG);
        throw WishRefused::from(JarRefused::noneHolds($need, $jars[count($jars) - 1])->about('jar'));
    }

    /** @throws WishRefused when the jar overflows or the herb stands out of the oil */
    private static function check(Wish $wish, Kitchen $kitchen, Jar $jar, float $herbG, float $oilMl, Ratio $ratio): Levels
    {
        $levels = Levels::in($jar, $wish->form, $herbG, $oilMl);
        if ($levels->headspaceMm() < -1e-9) {
            $larger = null;
            foreach ($kitchen->jarsBySize() as $other) {
                if ($larger === null && Levels::in($other, $wish->form, $herbG, $oilMl)->headspaceMm() >= $wish->method->headspaceMm) {
                    $larger = $other;
                }
            }
            $most = Levels::mostHerb($jar, $wish->form, $oilMl / $herbG, $wish->method->headspaceMm);
            $need = $oilMl + $wish->form->particle->volumeOf($herbG);
            throw WishRefused::from(JarRefused::overflows($jar, $need, $most, $larger)->about('jar'));
        }
        if ($levels->coverMm() <= 0) {
            $would = Levels::ratioThatCovers($jar, $wish->form, self::COVER_MM, $wish->method->headspaceMm);
            throw WishRefused::from(JarRefused::herbStandsOut($ratio->text(), $levels->levelMm, $levels->bedMm, $would)->about('ratio'));
        }

        return $levels;
    }
}
