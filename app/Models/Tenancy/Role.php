<?php

namespace App\Models\Tenancy;

/** What a person may do in a house. */
enum Role: string
{
    case Keeper = 'keeper';
    case Helper = 'helper';
    case Reader = 'reader';

    public function may(Ability $ability): bool
    {
        return match ($ability) {
            Ability::View => true,
            Ability::Work => $this !== self::Reader,
            Ability::Manage => $this === self::Keeper,
        };
    }
}
