<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;
use Kettle\Reason\Listing;

/** One or more carriers in parts by volume. Masses add and volumes add. */
final readonly class Blend
{
    public const MOST = 12;

    /** @var non-empty-list<array{carrier: Carrier, share: float}> by volume, summing to 1 */
    private array $byVolume;

    /** @var non-empty-list<array{carrier: Carrier, share: float}> by weight at 20 C, summing to 1 */
    private array $byWeight;

    /** @param  non-empty-list<array{carrier: Carrier, parts: float}>  $oils */
    private function __construct(public array $oils)
    {
        $parts = array_sum(array_column($oils, 'parts'));
        $this->byVolume = array_map(fn (array $oil) => ['carrier' => $oil['carrier'], 'share' => $oil['parts'] / $parts], $oils);
        $total = $this->density(20.0)->gramsPerMl;
        $this->byWeight = array_map(
            fn (array $oil) => ['carrier' => $oil['carrier'], 'share' => ($oil['share'] * $oil['carrier']->at20->gramsPerMl) / $total],
            $this->byVolume,
        );
    }

    /**
     * @param  list<array{carrier: Carrier, parts: float}>  $oils
     *
     * @throws MaterialException when empty, when a part is not above zero, or when an oil comes twice
     */
    public static function of(array $oils): self
    {
        if ($oils === []) {
            throw MaterialException::noOil();
        }
        if (count($oils) > self::MOST) {
            throw MaterialException::tooManyOils(self::MOST);
        }
        $seen = [];
        foreach ($oils as $oil) {
            if (! is_finite($oil['parts']) || $oil['parts'] <= 0 || $oil['parts'] > 20_000) {
                throw MaterialException::badParts($oil['carrier']->name);
            }
            if (isset($seen[$oil['carrier']->id])) {
                throw MaterialException::oilTwice($oil['carrier']->name);
            }
            $seen[$oil['carrier']->id] = true;
        }

        return new self($oils);
    }

    /** @return list<array{carrier: Carrier, share: float}> shares by volume, summing to 1 */
    public function shares(): array
    {
        return $this->byVolume;
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

    /** @return list<array{carrier: Carrier, share: float}> shares by weight at 20 C, summing to 1 */
    public function massShares(): array
    {
        return $this->byWeight;
    }

    /** g of iodine for 100 g, by weight share; null where a part has no such value. */
    public function iodineValue(): ?float
    {
        return $this->byMass(fn (Carrier $carrier) => $carrier->iodineValueOrPublished());
    }

    /** Fatemi and Hammond's index, by weight share; wax esters, which have none, take no part. Null when there is nothing else. */
    public function oxidisability(): ?float
    {
        $sum = $of = 0.0;
        foreach ($this->massShares() as $oil) {
            $index = $oil['carrier']->oxidisability();
            if ($index !== null) {
                $sum += $oil['share'] * $index;
                $of += $oil['share'];
            }
        }

        return $of > 0 ? $sum / $of : null;
    }

    /**
     * About where it begins to set, degrees C, with the range it lies in. Coarse, from memory: a hard fat
     * dissolved in a liquid oil sets later than alone, so the share-weighted middle stands for it, and the
     * two it lies between are the range.
     *
     * @return array{low: float, value: float, high: float}
     */
    public function setsBelow(): array
    {
        $points = array_map(fn (array $oil) => $oil['carrier']->setsBelowC, $this->oils);
        $value = 0.0;
        foreach ($this->massShares() as $oil) {
            $value += $oil['share'] * $oil['carrier']->setsBelowC;
        }

        return ['low' => min($points), 'value' => $value, 'high' => max($points)];
    }

    /** Whether it is hard, or sets, in a room of so many degrees: by the middle of its range, and where most of it is such a fat. */
    public function isHardAt(float $roomC): bool
    {
        $hard = array_sum(array_map(fn (array $oil) => $oil['carrier']->setsBelowC > $roomC ? $oil['share'] : 0.0, $this->shares()));

        return $hard > 0.5 || $this->setsBelow()['value'] > $roomC;
    }

    /** @return list<string> */
    public function allergens(): array
    {
        return array_values(array_unique(array_merge(...array_map(fn (array $oil) => $oil['carrier']->food->allergens, $this->oils))));
    }

    /** @return array{saturated: float, mono: float, di: float, tri: float, wax: float, other: float} per cent by weight */
    public function picture(): array
    {
        $sums = ['saturated' => 0.0, 'mono' => 0.0, 'di' => 0.0, 'tri' => 0.0, 'wax' => 0.0, 'other' => 0.0];
        foreach ($this->massShares() as $oil) {
            foreach ($oil['carrier']->fattyAcids?->picture() ?? ['wax' => 100.0] as $kind => $percent) {
                $sums[$kind] += $oil['share'] * $percent;
            }
        }

        return $sums;
    }

    /** @param  \Closure(Carrier): ?float  $of */
    private function byMass(\Closure $of): ?float
    {
        $sum = 0.0;
        foreach ($this->massShares() as $oil) {
            $value = $of($oil['carrier']);
            if ($value === null) {
                return null;
            }
            $sum += $oil['share'] * $value;
        }

        return $sum;
    }

    public function isSingle(): bool
    {
        return count($this->oils) === 1;
    }

    /** @return array{all: list<array{oil: string}>} its name as a sentence keeps it */
    public function said(): array
    {
        return ['all' => array_map(fn (array $oil) => $oil['carrier']->said(), $this->oils)];
    }

    /** "sunflower oil and jojoba" */
    public function name(): string
    {
        return Listing::of(array_map(fn (array $oil) => $oil['carrier']->name, $this->oils));
    }
}
