<?php

namespace Tests;

/** What is text in a tree that is kept, told with where it stands: "figures.yield.reasons.inputs.jar: pint jar". */
final class Texts
{
    /** @return list<string> */
    public static function of(mixed $tree, string $at = ''): array
    {
        if (! is_array($tree)) {
            return is_string($tree) ? ["{$at}: {$tree}"] : [];
        }

        return array_merge(
            [],
            ...array_map(
                fn (string|int $key, mixed $each) => self::of($each, is_int($key) ? $at : ltrim($at.'.'.$key, '.')),
                array_keys($tree),
                $tree,
            ),
        );
    }
}
