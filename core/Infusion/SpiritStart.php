<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\State;

/**
 * One school's beginning: dried, ground herb is made moist, not wet, with strong spirit, stands covered, and
 * is then warmed in the oil uncovered so that the spirit leaves. Figures: common practice, no source.
 */
final class SpiritStart
{
    /** Spirit for each 28 g of herb, mL. */
    private const ML = [15.0, 22.0, 30.0];

    private const PER_G = 28.0;

    /** Alcohol by volume it must have at the least, per cent. */
    public const LEAST_PERCENT = 50;

    /** Hours it stands: 8 to 12. */
    public const STANDS_H = 10.0;

    /** @throws MethodException where it is not for that herb or that method */
    public static function check(HerbMix $mix, Method $method): void
    {
        if ($mix->state !== State::Dried || $mix->isMixedState()) {
            throw MethodException::spiritDryOnly();
        }
        if (! $method->heated) {
            throw MethodException::spiritHeatedOnly($method->name);
        }
    }

    /** @return array{low: float, value: float, high: float} mL for so much herb */
    public static function ml(float $herbG): array
    {
        return [
            'low' => ($herbG / self::PER_G) * self::ML[0],
            'value' => ($herbG / self::PER_G) * self::ML[1],
            'high' => ($herbG / self::PER_G) * self::ML[2],
        ];
    }

    /** Whether the spirit can leave again by this way: warm, open, and no flame near it. */
    public static function leaves(Method $method): bool
    {
        return $method->heated && ! $method->has(Method::OVER_FLAME) && ! $method->has(Method::LID_TIGHT);
    }
}
