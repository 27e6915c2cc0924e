<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Material\Names;
use Kettle\Measure\Kind;

/** What a lot is of, and so what it is counted in. */
enum LotKind: string
{
    case Herb = 'herb';
    case Carrier = 'carrier';
    case Wax = 'wax';
    case Jar = 'jar';
    case Bottle = 'bottle';
    case Scent = 'scent';
    case Addition = 'addition';
    case Tin = 'tin';

    /** g for herbs, waxes and additions, mL for oils and essential oils; null for what is counted in pieces. */
    public function measure(): ?Kind
    {
        return match ($this) {
            self::Herb, self::Wax, self::Addition => Kind::Mass,
            self::Carrier, self::Scent => Kind::Volume,
            self::Jar, self::Bottle, self::Tin => null,
        };
    }

    /** By its own word or the one people have for it, in the singular or the plural: "herb", "oil", "essential oils". */
    public static function called(string $typed): ?self
    {
        $plain = Names::plain($typed);
        foreach (self::cases() as $kind) {
            $also = match ($kind) {
                self::Carrier => ['carrier oil'],
                self::Wax => ['wax', 'waxes', 'butter'],
                default => [],
            };
            if (in_array($plain, array_map(Names::plain(...), [$kind->value, $kind->word(), ...$also]), true)) {
                return $kind;
            }
        }

        return null;
    }

    public function word(): string
    {
        return match ($this) {
            self::Herb => 'herb',
            self::Carrier => 'oil',
            self::Wax => 'wax or butter',
            self::Jar => 'jar',
            self::Bottle => 'bottle',
            self::Scent => 'essential oil',
            self::Addition => 'addition',
            self::Tin => 'tin',
        };
    }
}
