<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Whose cups, spoons, pints and fluid ounces are meant. */
enum MeasureSystem: string
{
    case Us = 'us';
    case Metric = 'metric';
    case Australian = 'australian';
    case Imperial = 'imperial';

    /** Where these measures are at home, as CLDR names it: how numbers and money are written there. */
    public function locale(): string
    {
        return match ($this) {
            self::Us => 'en_US',
            self::Australian => 'en_AU',
            self::Metric, self::Imperial => 'en_GB',
        };
    }
}
