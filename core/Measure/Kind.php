<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** What an amount measures, and the unit it is kept in. */
enum Kind: string
{
    case Mass = 'g';
    case Volume = 'mL';
    case Length = 'mm';
    case Temperature = 'C';
    case Time = 'h';

    /** As a cook would say it. */
    public function word(): string
    {
        return match ($this) {
            self::Mass => 'a weight',
            self::Volume => 'a volume',
            self::Length => 'a length',
            self::Temperature => 'a temperature',
            self::Time => 'a length of time',
        };
    }

    public function example(): string
    {
        return match ($this) {
            self::Mass => '70 g or 2 1/2 oz',
            self::Volume => '350 mL or 1 1/2 cups',
            self::Length => '25 mm or 1 in',
            self::Temperature => '60 C or 140 F',
            self::Time => '8 h or 4 weeks',
        };
    }
}
