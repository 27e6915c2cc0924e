<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What a house may enter as its own. The value is the word it is asked for and kept by. */
enum OwnKind: string
{
    case Plant = 'plant';
    case Oil = 'oil';
    case Wax = 'wax';
    case Scent = 'scent';
    case Measure = 'measure';
    case School = 'school';

    /** "a plant" */
    public function word(): string
    {
        return match ($this) {
            self::Plant => 'plant',
            self::Oil => 'oil or fat',
            self::Wax => 'wax or butter',
            self::Scent => 'essential oil',
            self::Measure => 'measure',
            self::School => 'school',
        };
    }
}
