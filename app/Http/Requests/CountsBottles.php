<?php

namespace App\Http\Requests;

/** Lines of so many bottles of a size, as the rules of a form have let them through. */
trait CountsBottles
{
    /** @return list<array{size: string, count: int}> */
    public function counted(string $field): array
    {
        /** @var list<array{size: string, count: int|string}> $lines */
        $lines = array_values($this->array($field));

        return array_map(fn (array $line) => ['size' => $line['size'], 'count' => (int) $line['count']], $lines);
    }
}
