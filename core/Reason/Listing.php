<?php

declare(strict_types=1);

namespace Kettle\Reason;

/** Several things named together, in the one place where that is put into words. */
final class Listing
{
    /** @param  list<string>  $names "calendula", "calendula and thyme", "calendula, lavender and thyme"; none is nothing */
    public static function of(array $names): string
    {
        $last = (string) array_pop($names);

        return $names === [] ? $last : implode(', ', $names).' and '.$last;
    }
}
