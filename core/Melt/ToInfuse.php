<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\HerbPart;
use Kettle\Reason\Said;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Plan;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;

/** An oil that a product is to be made of and that is not begun yet: its own wish, less how much and when, which the product says. */
final readonly class ToInfuse
{
    /** Before it is known how much is wanted of it, mL. */
    private const SOME_ML = 250.0;

    /** Nobody measures a finished oil closer, mL. */
    private const STEP_ML = 5.0;

    /**
     * @param  array<mixed>  $wish
     * @param  Plan  $plan of some of it, begun today
     */
    private function __construct(private array $wish, private Plan $plan, private Planning $planning, private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $wish docs/formats/wish.schema.json
     *
     * @throws WishException when it cannot be made
     */
    public static function of(array $wish, House $house): self
    {
        $kitchen = $house->bench ?? $house->kitchen;
        $planning = new Planning($kitchen->cupboard()->tables());

        return new self($wish, $planning->plan(self::sized($wish, self::SOME_ML), $kitchen), $planning, $kitchen);
    }

    /** As an oil of the house that is to come. */
    public function infused(int $number): Infused
    {
        $wish = $this->plan->wish;
        $said = Said::of('melt.to-infuse', ['herbs' => $wish->mix->said()]);
        $cost = $this->plan->figures['cost_per_100'] ?? null;

        return new Infused(
            "to-infuse-{$number}",
            $this->kitchen->words()->of($said),
            $wish->blend,
            herbs: array_map(fn (HerbPart $part): array => ['plant' => $part->plant, 'state' => $part->form->state], $wish->mix->parts),
            bestBefore: $this->plan->keeping->bestBefore,
            costPerMl: $cost === null ? null : $cost->number() / 100,
            food: $wish->purpose === 'kitchen',
            coldOnly: $this->plan->keeping->coldOnly,
            said: $said->toArray(),
            toInfuse: $this,
        );
    }

    /**
     * The wish of so much of it, to be bottled by a day.
     *
     * @param  ?\DateTimeImmutable  $by null for as soon as can be
     * @return array<mixed>
     */
    public function wish(float $ml, ?\DateTimeImmutable $by): array
    {
        return self::sized($this->wish, $ml) + ($by === null ? [] : ['ready_by' => $by->format('Y-m-d')]);
    }

    /** @throws WishException when so much of it cannot be made */
    public function planned(float $ml, ?\DateTimeImmutable $by): Plan
    {
        return $this->planning->plan($this->wish($ml, $by), $this->kitchen);
    }

    /**
     * @param  array<mixed>  $wish
     * @return array<mixed>
     */
    private static function sized(array $wish, float $ml): array
    {
        return ['finished' => ['amount' => sprintf('%d mL', ceil($ml / self::STEP_ML) * self::STEP_ML)]] + $wish;
    }
}
