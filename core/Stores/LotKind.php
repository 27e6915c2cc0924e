<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Measure\Kind;

/** What a lot is of, and so what it is counted in. */
enum LotKind: string
{
    case Herb = 'herb';
    case Carrier = 'carrier';
    case Wax = 'wax';
    case Jar = 'jar';
    case Bottle = 'bottle';

    /** g for herbs and waxes, mL for oils; null for what is counted in pieces. */
    public function measure(): ?Kind
    {
        return match ($this) {
            self::Herb, self::Wax => Kind::Mass,
            self::Carrier => Kind::Volume,
            self::Jar, self::Bottle => null,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Herb => 'herb',
            self::Carrier => 'oil',
            self::Wax => 'wax or butter',
            self::Jar => 'jar',
            self::Bottle => 'bottle',
        };
    }
}
