<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Own;
use Kettle\Measure\Amount;

/**
 * Hours and warmth of one's own in place of a school's: within what the schools of the method hold to be safe. Warmer than
 * any school nothing is held, nor so long at a warmth as no school does; shorter, or longer on the shelf, is told.
 */
final readonly class OwnHours
{
    /** The id of what somebody set by hand, where a school has its own. */
    public const ID = 'own';

    /** What is held less warm than this is not warmed at all, degrees C. Common practice, no source. */
    private const LEAST_C = 30.0;

    /** A thermometer, a lid and a thick jar are so far apart: a target stays so far under its ceiling, degrees C. Common practice. */
    private const UNDER_CEILING_C = 2.0;

    /** Shorter than this nothing is given to the oil, hours: five minutes in the pan, a day on the shelf. */
    private const LEAST_WARM_H = 1 / 12;

    private const LEAST_SHELF_H = 24.0;

    /** Half a year on a shelf: longer, the oil is old before it is strained, hours. */
    private const MOST_SHELF_H = 26 * 168.0;

    /** Longer than a day a warm jar does not stand to cool, hours. */
    public const MOST_STANDS_H = 24.0;

    /**
     * @param  Variant  $school what holds where nothing else was said
     * @param  ?Amount  $hours at warmth or on the shelf; null for as the school has them
     * @param  ?float  $targetC null for as the school has it
     * @param  string  $id of a school that the house keeps, with its name
     *
     * @throws MethodException about `hours` or `warmth`
     */
    public static function of(
        Method $method,
        Variant $school,
        ?Amount $hours,
        ?float $targetC,
        string $id = self::ID,
        string $name = '',
    ): Variant {
        if ($hours === null && $targetC === null) {
            return $school;
        }
        if ($targetC !== null && ! $method->heated) {
            throw MethodException::noWarmth($method->name);
        }
        $targetC ??= $school->targetC;
        $ceilingC = $targetC === $school->targetC ? $school->ceilingC : ($targetC === null ? null : self::ceiling($method, $targetC));
        $least = $hours->low ?? $school->leastH;
        $usual = $hours->value ?? $school->usualH;
        $most = $hours->high ?? $school->mostH;
        $shortest = $method->heated ? self::LEAST_WARM_H : self::LEAST_SHELF_H;
        if ($least < $shortest) {
            throw MethodException::tooShort($method->name, $shortest);
        }
        $longest = $method->heated ? self::longest($method, (float) $targetC) : self::MOST_SHELF_H;
        if ($most > $longest) {
            throw MethodException::tooLong($method->name, $longest, $hours === null ? 'warmth' : 'hours');
        }

        return new Variant($id, $name, $least, $usual, $most, $targetC, $ceilingC, null, '', $school->standsH);
    }

    /** Whether a school is one that somebody set by hand, or that a house keeps as its own. */
    public static function is(Variant $variant): bool
    {
        return self::isId($variant->id);
    }

    public static function isId(string $school): bool
    {
        return $school === self::ID || Own::is($school);
    }

    /** The least hours any school gives that is no warmer, where what was set is less; else null. */
    public static function shorterThan(Method $method, Variant $own): ?float
    {
        $least = self::least($method, $own->targetC);

        return self::is($own) && $own->usualH < $least ? $least : null;
    }

    /** The most hours any school leaves it, where what was set is more; else null. */
    public static function longerThan(Method $method, Variant $own): ?float
    {
        $most = max(array_map(fn (Variant $school) => $school->mostH, $method->variants));

        return self::is($own) && $own->usualH > $most ? $most : null;
    }

    private static function least(Method $method, ?float $targetC): float
    {
        // Cooler than any is as the coolest of them.
        $coolest = min(array_map(fn (Variant $school) => (float) $school->targetC, $method->variants));
        $warmth = max((float) $targetC, $coolest) + 0.5;
        $cooler = array_filter($method->variants, fn (Variant $school) => (float) $school->targetC <= $warmth);

        return min(array_map(fn (Variant $school) => $school->leastH, $cooler ?: $method->variants));
    }

    /**
     * The lowest ceiling of a school that such a warmth is well under.
     *
     * @throws MethodException
     */
    private static function ceiling(Method $method, float $targetC): float
    {
        if ($targetC < self::LEAST_C) {
            throw MethodException::tooCool(self::LEAST_C);
        }
        $ceilings = array_map(fn (Variant $school) => (float) $school->ceilingC, $method->variants);
        $over = array_filter($ceilings, fn (float $ceiling) => $ceiling >= $targetC + self::UNDER_CEILING_C);

        return $over === [] ? throw MethodException::tooHot($method->name, max($ceilings) - self::UNDER_CEILING_C) : min($over);
    }

    /** The most hours that any school holds it at such a warmth, or at a warmer one. */
    private static function longest(Method $method, float $targetC): float
    {
        $hottest = max(array_map(fn (Variant $school) => (float) $school->targetC, $method->variants));
        $asHot = array_filter($method->variants, fn (Variant $school) => (float) $school->targetC >= min($targetC, $hottest) - 0.5);

        return max(array_map(fn (Variant $school) => $school->mostH, $asHot ?: $method->variants));
    }
}
