<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** How a herb is cut and in what state it is, and so how it lies in a jar. */
final readonly class HerbForm
{
    public string $name;

    public Bulk $bulk;

    /**
     * @param  string  $dried what it is called when it is dried
     * @param  string  $plain without its state: "thin leaf"
     * @param  array<string, Bulk>  $bulks how it lies, by state; without those in which it never is
     * @param  ?float  $waterFresh water fraction when fresh; null where it is never fresh, as powder
     * @param  float  $keepsMonths how long it stays worth using when dried
     * @param  ?float  $bagG g of herb in a tea bag, where it comes in bags
     * @param  array<string, float>  $times heavier than loose in the same room, by how it lies
     *
     * @throws MaterialException when it never is in that state
     */
    private function __construct(
        public string $id,
        private string $dried,
        public string $plain,
        public State $state,
        private array $bulks,
        public ?float $waterFresh,
        public FormTraits $traits,
        public float $keepsMonths,
        public ?float $bagG,
        private array $times,
    ) {
        $this->name = $state === State::Dried ? $dried : $plain.', '.$state->value;
        $this->bulk = $bulks[$state->value] ?? throw MaterialException::neverIn($plain, $state);
    }

    /** @return array{form: array{string, string}} its name as a sentence keeps it */
    public function said(): array
    {
        return ['form' => [$this->id, $this->state->value]];
    }

    public static function fromRow(Row $row): self
    {
        $bulks = [State::Dried->value => Bulk::fromRow($row)];
        foreach ([State::Wilted, State::Fresh] as $wet) {
            $lies = $row->rowOrNull($wet->value);
            $bulks += $lies === null ? [] : [$wet->value => Bulk::fromRow($lies)];
        }

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('plain'),
            State::Dried,
            $bulks,
            $row->numberOrNull('water_fresh'),
            FormTraits::fromRow($row),
            $row->number('keeps_months'),
            $row->numberOrNull('bag_g'),
            [Lying::Packed->value => $row->number('packed'), Lying::Stuffed->value => $row->number('stuffed')],
        );
    }

    /**
     * The same cut in another state.
     *
     * @throws MaterialException when it never is in that state
     */
    public function in(State $state): self
    {
        if ($state === $this->state) {
            return $this;
        }

        return new self(
            $this->id,
            $this->dried,
            $this->plain,
            $state,
            $this->bulks,
            $this->waterFresh,
            $this->traits,
            $this->keepsMonths,
            $this->bagG,
            $this->times,
        );
    }

    /** How much of it, dried or not, lies in so much room. Coarse. */
    public function density(Lying $lying): Density
    {
        return Density::gramsPerMl($this->bulk->loose->gramsPerMl * ($this->times[$lying->value] ?? 1.0));
    }
}
