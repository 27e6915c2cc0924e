<?php

declare(strict_types=1);

namespace Kettle\Melt;

/**
 * What a word such as "a salve" means in this house, from its own pots: a normal prior about the middle of the word's band, and
 * every verdict a normal observation of what should have been. In closed form, as the yield is learned.
 */
final readonly class FirmnessSeen
{
    /** Half of 90 % of a normal distribution, in standard deviations. */
    private const NINE_IN_TEN = 1.6448536269514722;

    /** @param  list<array{mean: float, low: float, high: float}>  $steps after each verdict */
    private function __construct(public float $mean, public float $sd, public int $verdicts, public array $steps) {}

    /**
     * @param  float  $middle where it begins: the middle of the band, or the product's own
     * @param  float  $width of the band, whose quarter is the standard deviation it begins with
     * @param  list<Verdict>  $verdicts oldest first
     */
    public static function of(float $middle, float $width, array $verdicts, Firmness $rule): self
    {
        $weight = 1 / ($width / 4) ** 2;
        $weighted = $middle * $weight;
        $steps = [];
        foreach ($verdicts as $verdict) {
            $surely = 1 / $verdict->sd() ** 2;
            $weight += $surely;
            $weighted += $verdict->points($rule) * $surely;
            $steps[] = ['mean' => $weighted / $weight, ...self::ninety($weighted / $weight, 1 / sqrt($weight))];
        }

        return new self($weighted / $weight, 1 / sqrt($weight), count($verdicts), $steps);
    }

    /** What a house's own pots say of a word, or of the product's own firmness; null where wax does not decide it. */
    public static function here(Product $product, ?string $word, House $house, Firmness $rule): ?self
    {
        $middle = $word === null ? $product->firmness : $rule->middle($word);
        if ($middle === null) {
            return null;
        }
        $band = $rule->band($middle);
        $isOf = fn (Verdict $each): bool => $rule->band($each->firmness)['id'] === $band['id'];

        return self::of($middle, $band['to'] - $band['from'], array_values(array_filter($house->verdicts, $isOf)), $rule);
    }

    /** @return array{low: float, high: float} */
    public function range(): array
    {
        return self::ninety($this->mean, $this->sd);
    }

    /** @return array{low: float, high: float} */
    private static function ninety(float $mean, float $sd): array
    {
        return ['low' => max(0.0, $mean - self::NINE_IN_TEN * $sd), 'high' => min(1.0, $mean + self::NINE_IN_TEN * $sd)];
    }
}
