<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Diary\Later;

/**
 * Ways a kitchen oil may be kept, and the bounds of the cold one: four days at 4 C or colder, as the
 * National Center for Home Food Preservation has it (from memory).
 */
final class ColdKept
{
    /** In a cupboard: for dried herb only. */
    public const SHELF = 'shelf';

    /** In the refrigerator, four days. */
    public const FRIDGE = 'fridge';

    /** Herb soured first by a tested way. */
    public const SOURED = 'soured';

    public const KEPT = [self::SHELF, self::FRIDGE, self::SOURED];

    public const DAYS = 4;

    public const CELSIUS = 4.0;

    /** Hours between covering wet herb with oil and straining it, at the most: our own bound, within the four days. */
    public const MOST_WARM_H = 12;

    /** The last moment it may be used, from when the oil went on. */
    public static function useBy(\DateTimeImmutable $filledAt): \DateTimeImmutable
    {
        return Later::hours($filledAt, self::DAYS * 24);
    }
}
