<?php

declare(strict_types=1);

namespace Kettle\Making;

/** What is in a pot now, part by part. What sticks to a spoon or is taken out takes of each its share: it is stirred. */
final readonly class Pot
{
    public float $massG;

    public float $ml;

    /** Parts of beeswax in one part of the whole. */
    public float $firmness;

    /** @param  list<PotPart>  $parts */
    public function __construct(public array $parts)
    {
        $mass = $ml = $hard = 0.0;
        foreach ($parts as $part) {
            $mass += $part->grams;
            $ml += $part->ml();
            $hard += $part->grams * $part->hardness;
        }
        $this->massG = $mass;
        $this->ml = $ml;
        $this->firmness = $mass > 0 ? $hard / $mass : 0.0;
    }

    public function part(string $id): ?PotPart
    {
        foreach ($this->parts as $part) {
            if ($part->id === $id) {
                return $part;
            }
        }

        return null;
    }

    /** Only what goes in warm, or only what goes in when it has cooled. */
    public function cool(bool $cool): self
    {
        return new self(array_values(array_filter($this->parts, fn (PotPart $part) => $part->isCool() === $cool)));
    }

    public function with(PotPart ...$more): self
    {
        return new self([...$this->parts, ...array_values($more)]);
    }

    /** With so many g of a part in it, and not what was planned. */
    public function holding(string $id, float $grams): self
    {
        return new self(array_map(fn (PotPart $part) => $part->id === $id ? $part->holding($grams) : $part, $this->parts));
    }

    /** So many times as much of each. */
    public function times(float $times): self
    {
        return new self(array_map(fn (PotPart $part) => $part->holding($part->grams * $times), $this->parts));
    }
}
