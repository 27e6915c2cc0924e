<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** How a herb is cut and in what state it is, and so how it lies in a jar. Densities are coarse, g/mL. */
final readonly class HerbForm
{
    /**
     * @param  string  $plain without its state: "thin leaf"
     * @param  ?float  $waterFresh water fraction when fresh; null where it is never fresh, as powder
     * @param  ?array{loose: float, settled: float, particle: float}  $fresh densities, g/mL
     * @param  ?array{loose: float, settled: float, particle: float}  $wilted densities, g/mL
     * @param  float  $keepsMonths how long it stays worth using when dried
     * @param  ?float  $bagG g of herb in a tea bag, where it comes in bags
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $plain,
        public Density $loose,
        public Density $settled,
        public Density $particle,
        public ?float $waterFresh,
        public bool $woody,
        public bool $powder,
        public bool $fluffy,
        public State $state,
        private ?array $fresh,
        private ?array $wilted,
        public float $keepsMonths,
        public ?float $bagG,
    ) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('plain'),
            Density::gramsPerMl($row->number('loose')),
            Density::gramsPerMl($row->number('settled')),
            Density::gramsPerMl($row->number('particle')),
            $row->numberOrNull('water_fresh'),
            $row->flag('woody'),
            $row->flag('powder'),
            $row->flag('fluffy'),
            State::Dried,
            self::densities($row->rowOrNull('fresh')),
            self::densities($row->rowOrNull('wilted')),
            $row->number('keeps_months'),
            $row->numberOrNull('bag_g'),
        );
    }

    /**
     * The same cut in another state.
     *
     * @throws MaterialRefused when it never is in that state
     */
    public function in(State $state): self
    {
        $lies = match ($state) {
            State::Dried => null,
            State::Wilted => $this->wilted ?? throw MaterialRefused::neverIn($this->plain, $state),
            State::Fresh => $this->fresh ?? throw MaterialRefused::neverIn($this->plain, $state),
        };
        if ($lies === null) {
            return $this;
        }

        return new self(
            $this->id,
            $this->plain.', '.$state->value,
            $this->plain,
            Density::gramsPerMl($lies['loose']),
            Density::gramsPerMl($lies['settled']),
            Density::gramsPerMl($lies['particle']),
            $this->waterFresh,
            $this->woody,
            $this->powder,
            $this->fluffy,
            $state,
            $this->fresh,
            $this->wilted,
            $this->keepsMonths,
            $this->bagG,
        );
    }

    /** @return ?array{loose: float, settled: float, particle: float} */
    private static function densities(?Row $row): ?array
    {
        return $row === null
            ? null
            : ['loose' => $row->number('loose'), 'settled' => $row->number('settled'), 'particle' => $row->number('particle')];
    }
}
