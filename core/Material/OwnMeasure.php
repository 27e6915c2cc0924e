<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Unit;

/** A spoon, a scoop, a cup or a packet that a house has measured once, and writes amounts in ever since. */
final readonly class OwnMeasure
{
    /** @param  list<string>  $also other words for it */
    public function __construct(public string $id, public string $name, public array $also, private float $ml, private float $g) {}

    /** The one of it: of a volume, or of a weight. */
    public function unit(): Unit
    {
        return $this->ml > 0 ? Unit::make('mL')->scaled($this->name, $this->ml) : Unit::make('g')->scaled($this->name, $this->g);
    }

    /**
     * The unit that a word means among a house's own; "two blue scoops" and "the blue scoop" are the blue scoop.
     *
     * @param  iterable<self>  $measures
     */
    public static function named(iterable $measures, string $word): ?Unit
    {
        $asked = self::bare($word);
        foreach ($measures as $measure) {
            foreach ([$measure->name, ...$measure->also] as $name) {
                $name = self::bare($name);
                if ($asked === $name || $asked === $name.'s' || $asked === $name.'es') {
                    return $measure->unit();
                }
            }
        }

        return null;
    }

    private static function bare(string $word): string
    {
        $plain = mb_strtolower(trim(preg_replace('/\s+/u', ' ', $word) ?? $word, " .\t"));

        return preg_replace('/^(?:the|our|my) /u', '', $plain) ?? $plain;
    }
}
