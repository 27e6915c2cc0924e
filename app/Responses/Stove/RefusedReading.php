<?php

namespace App\Responses\Stove;

/** A reading that was not taken, and why. */
final readonly class RefusedReading
{
    private const SHOWN = 100;

    public function __construct(public int $row, public string $sentence) {}

    /**
     * Those of a file, by its lines, the first being enough.
     *
     * @param  list<self>  $refused
     * @param  array<int, string>  $crooked why other lines of it are refused, by line
     * @return list<self>
     */
    public static function ofFile(array $refused, array $crooked): array
    {
        foreach ($crooked as $line => $why) {
            $refused[] = new self($line, $why);
        }
        usort($refused, fn (self $a, self $b) => $a->row <=> $b->row);

        return array_slice($refused, 0, self::SHOWN);
    }
}
