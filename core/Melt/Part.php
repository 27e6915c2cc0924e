<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Addition;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\EssentialOil;
use Kettle\Material\Herb;
use Kettle\Material\State;
use Kettle\Material\Wax;
use Kettle\Stores\LotKind;

/** One thing that goes into a product, whatever it is: how heavy, how hard, where it melts, whom it could harm. */
final readonly class Part
{
    /**
     * @param  array<string, mixed>  $said its name as a sentence keeps it
     * @param  float  $gramsPerMl at 20 C
     * @param  float  $hardness parts of beeswax that one part stands for
     * @param  ?Fusion  $fusion null for what is liquid in any room, or does not melt
     * @param  float  $months opened, cool and dark
     * @param  list<string>  $allergens
     * @param  bool  $food whether it is to be had in food grade
     * @param  ?LotKind  $lots of which kind its lots are; null for what comes from elsewhere
     */
    private function __construct(
        public string $id,
        public PartKind $kind,
        public array $said,
        public string $inci,
        public float $gramsPerMl,
        public float $hardness,
        public ?Fusion $fusion,
        public float $months,
        public array $allergens,
        public bool $food,
        public ?LotKind $lots,
        public ?Carrier $carrier = null,
        public ?EssentialOil $scent = null,
        public ?Infused $infused = null,
        public ?Boiled $boiled = null,
    ) {}

    public static function ofOil(Carrier $oil, Cupboard $cupboard): self
    {
        // A fat that is hard in the room is as hard when it goes in as an oil.
        $fat = $cupboard->waxOrNull($oil->id);

        return new self(
            $oil->id,
            PartKind::Oil,
            $oil->said(),
            $oil->names->inci,
            $oil->at20->gramsPerMl,
            $fat->hardness ?? 0.0,
            $fat === null ? null : Fusion::of($fat),
            $oil->months->opened,
            $oil->food->allergens,
            $oil->food->gradeExists,
            LotKind::Carrier,
            $oil,
        );
    }

    public static function ofInfused(Infused $infused, Cupboard $cupboard): self
    {
        $hardness = 0.0;
        $months = INF;
        foreach ($infused->blend->massShares() as $oil) {
            $hardness += $oil['share'] * ($cupboard->waxOrNull($oil['carrier']->id)->hardness ?? 0.0);
            $months = min($months, $oil['carrier']->months->opened);
        }

        return new self(
            $infused->id,
            PartKind::Oil,
            $infused->said ?: ['infused' => $infused->called],
            '',
            $infused->blend->density(20.0)->gramsPerMl,
            $hardness,
            null,
            $months,
            array_values(array_unique([...$infused->blend->allergens(), ...$infused->allergens])),
            $infused->food,
            null,
            infused: $infused,
        );
    }

    public static function ofWax(Wax $wax): self
    {
        return new self(
            $wax->id,
            PartKind::from($wax->kind),
            $wax->said(),
            $wax->inci,
            $wax->gramsPerMl,
            $wax->hardness ?? 0.0,
            Fusion::of($wax),
            $wax->months,
            $wax->allergens,
            $wax->foodGradeExists,
            LotKind::Wax,
        );
    }

    public static function ofScent(EssentialOil $scent): self
    {
        return new self(
            $scent->id,
            PartKind::Scent,
            $scent->said(),
            $scent->names->inci,
            $scent->density->gramsPerMl,
            0.0,
            null,
            24.0,
            [],
            false,
            $scent->solid ? LotKind::Addition : LotKind::Scent,
            scent: $scent,
        );
    }

    public static function ofAddition(Addition $addition): self
    {
        return new self(
            $addition->id,
            PartKind::from($addition->kind),
            $addition->said(),
            $addition->names->inci,
            $addition->density->gramsPerMl,
            0.0,
            null,
            $addition->months,
            $addition->allergens,
            $addition->foodGradeExists,
            LotKind::Addition,
        );
    }

    /** A pot of the house's own: what it is by weight and label is that addition, of whose herbs more is known. */
    public static function ofBoiled(Boiled $boiled, Addition $addition): self
    {
        return new self(
            $addition->id,
            PartKind::from($addition->kind),
            $boiled->said ?: ['boiled' => $boiled->called],
            $addition->names->inci,
            $addition->density->gramsPerMl,
            0.0,
            null,
            $addition->months,
            $addition->allergens,
            $boiled->food,
            null,
            boiled: $boiled,
        );
    }

    /** @return list<array{plant: Herb, state: State}> the plants it was made with, where it is of the house's own */
    public function herbs(): array
    {
        return $this->infused->herbs ?? ($this->boiled->herbs ?? []);
    }

    public function toCome(): bool
    {
        return $this->infused?->isToCome() === true;
    }

    /** Until when it is good, where it is of the house's own. */
    public function ownDay(): ?\DateTimeImmutable
    {
        return $this->infused->bestBefore ?? $this->boiled?->bestBefore;
    }

    /** Its kind and id: what it is known by in a pot. */
    public function key(): string
    {
        return match (true) {
            $this->infused !== null => 'batch.'.$this->infused->id,
            $this->boiled !== null => 'boil.'.$this->boiled->id,
            default => $this->id,
        };
    }
}
