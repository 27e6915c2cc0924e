<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** One or more carriers in parts by volume. Masses add and volumes add. */
final readonly class Blend
{
    /** @param  non-empty-list<array{carrier: Carrier, parts: float}>  $oils */
    private function __construct(public array $oils)
    {
    }

    /**
     * @param  list<array{carrier: Carrier, parts: float}>  $oils
     *
     * @throws MaterialRefused when empty, when a part is not above zero, or when an oil comes twice
     */
    public static function of(array $oils): self
    {
        if ($oils === []) {
            throw MaterialRefused::noOil();
        }
        $seen = [];
        foreach ($oils as $oil) {
            if (! is_finite($oil['parts']) || $oil['parts'] <= 0 || $oil['parts'] > 1000) {
                throw MaterialRefused::badParts($oil['carrier']->name);
            }
            if (isset($seen[$oil['carrier']->id])) {
                throw MaterialRefused::oilTwice($oil['carrier']->name);
            }
            $seen[$oil['carrier']->id] = true;
        }

        return new self($oils);
    }

    /** @return list<array{carrier: Carrier, share: float}> shares by volume, summing to 1 */
    public function shares(): array
    {
        $total = array_sum(array_column($this->oils, 'parts'));

        return array_map(fn (array $oil) => ['carrier' => $oil['carrier'], 'share' => $oil['parts'] / $total], $this->oils);
    }

    /** @param  float  $celsius temperature of the oil when it is measured */
    public function density(float $celsius): Density
    {
        $grams = 0.0;
        foreach ($this->shares() as $oil) {
            $grams += $oil['share'] * Density::ofOilAt($oil['carrier']->at20->gramsPerMl, $celsius)->gramsPerMl;
        }

        return Density::gramsPerMl($grams);
    }

    public function isSingle(): bool
    {
        return count($this->oils) === 1;
    }

    /** "sunflower oil and jojoba" */
    public function name(): string
    {
        $names = array_map(fn (array $oil) => $oil['carrier']->name, $this->oils);
        $last = array_pop($names);

        return $names === [] ? $last : implode(', ', $names).' and '.$last;
    }
}
