<?php

namespace App\Responses\Stove;

use App\Responses\Shape;

/** What became of readings. */
final readonly class ReadingsTaken extends Shape
{
    /**
     * @param  list<RefusedReading>  $refused
     * @param  list<string>  $notes what was taken for what
     */
    public function __construct(public int $taken, public int $doubled, public array $refused, public array $notes = []) {}

    /**
     * @param  array{taken: int, doubled: int, refused: list<array{row: int, sentence: string}>}  $took
     * @param  list<int>  $lines of the file, by row
     * @param  array<int, string>  $crooked why other lines of it are refused, by line
     * @param  list<string>  $notes
     */
    public static function of(array $took, array $lines = [], array $crooked = [], array $notes = []): self
    {
        $refused = array_map(fn (array $no) => new RefusedReading($lines[$no['row']] ?? $no['row'], $no['sentence']), $took['refused']);

        return new self($took['taken'], $took['doubled'], RefusedReading::ofFile($refused, $crooked), $notes);
    }
}
