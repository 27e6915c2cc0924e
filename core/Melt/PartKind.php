<?php

declare(strict_types=1);

namespace Kettle\Melt;

/** What a part of a product is. */
enum PartKind: string
{
    case Oil = 'oil';
    case Butter = 'butter';
    case Wax = 'wax';
    case Scent = 'scent';
    case Additive = 'additive';
    case Grain = 'grain';
    case Powder = 'powder';
    case SpentHerb = 'spent-herb';
    case Water = 'water';
    case Emulsifier = 'emulsifier';
    case Preservative = 'preservative';

    /** Whether it goes in off the heat, when the rest has cooled: what warmth would drive off or spoil. */
    public function goesInCool(): bool
    {
        return in_array($this, [self::Scent, self::Additive, self::Preservative], true);
    }
}
