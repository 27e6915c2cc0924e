<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Time\Later;

/**
 * Ways a kitchen oil may be kept, and the bounds of the cold one: four days at 4 C or colder, as the
 * National Center for Home Food Preservation has it (from memory); and no more than four hours in all between
 * 5 and 57 C, from when the oil covers the herb to the refrigerator (FDA Food Code 2022, 3-501.16 and 3-501.19,
 * from memory). Every hour counts, also those spent hotter: that is the safer way to count.
 */
final class ColdStorage
{
    /** In a cupboard: for dried herb only. */
    public const SHELF = 'shelf';

    /** In the refrigerator, four days. */
    public const FRIDGE = 'fridge';

    /** Herb soured first by a tested way. */
    public const SOURED = 'soured';

    public const ALL = [self::SHELF, self::FRIDGE, self::SOURED];

    public const DAYS = 4;

    public const CELSIUS = 4.0;

    /** Hours between covering wet herb with oil and the refrigerator, at the most. */
    public const MOST_WARM_H = 4;

    /** The last moment it may be used, from when the oil went on. */
    public static function useBy(\DateTimeImmutable $filledAt): \DateTimeImmutable
    {
        return Later::hours($filledAt, self::DAYS * 24);
    }

    /** By when it must be strained and in the refrigerator, from when the oil went on. */
    public static function coldBy(\DateTimeImmutable $filledAt): \DateTimeImmutable
    {
        return Later::hours($filledAt, self::MOST_WARM_H);
    }

    /**
     * Whether its warm hours were more than it may have, and it is to be thrown away.
     *
     * @param  ?\DateTimeImmutable  $chilledAt when it was strained and put in the refrigerator; null where it was not yet
     */
    public static function isWarmTooLong(\DateTimeImmutable $filledAt, ?\DateTimeImmutable $chilledAt, \DateTimeImmutable $now): bool
    {
        return ($chilledAt ?? $now) > self::coldBy($filledAt);
    }

    /**
     * Until when it may be used, by what was really done: until it is strained it has its warm hours and no more,
     * and what came to the refrigerator too late was to be thrown away when they were over.
     */
    public static function goodUntil(\DateTimeImmutable $filledAt, ?\DateTimeImmutable $chilledAt): \DateTimeImmutable
    {
        return $chilledAt !== null && $chilledAt <= self::coldBy($filledAt) ? self::useBy($filledAt) : self::coldBy($filledAt);
    }
}
