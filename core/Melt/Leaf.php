<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Infusion\Uptake;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Row;
use Kettle\Measure\Amount;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Recipe\Numbers;

/** Fresh plant that is stirred into the melted ointment itself, and sieved out of it while it is warm. */
final readonly class Leaf
{
    /** How it is got out of it: in a cloth, lightly. */
    private const WAY = 'squeezed';

    /**
     * @param  float  $dryG as if it were dry
     * @param  float  $heldMl of the ointment that stays in it and in the cloth
     * @param  float  $ml of it, settled
     */
    private function __construct(
        public HerbMix $mix,
        public Amount $amount,
        public float $dryG,
        public float $heldMl,
        public float $ml,
        private float $mlPerGram,
        public Row $rule,
    ) {}

    /** @throws MeltException when it is no fresh plant, or has no weight */
    public static function of(HerbMix $mix, ?Amount $amount, House $house, MeltTable $table): self
    {
        if ($amount === null) {
            throw MeltException::leafWeight();
        }
        if (! $mix->state->isWet()) {
            throw MeltException::leafDry($mix->name());
        }
        $uptake = $house->kitchen->uptake($mix, self::WAY);
        $dryG = $amount->value * $mix->dryPerG;

        return new self(
            $mix,
            $amount,
            $dryG,
            self::held($uptake, $dryG),
            $amount->value * $mix->settledMlPerG,
            $uptake->mlPerGram,
            $table->rules->row('leaf'),
        );
    }

    /** "fresh plantain leaf" */
    public function said(): Said
    {
        return Said::of('melt.leaf-'.$this->mix->state->value, ['herb' => $this->mix->said()]);
    }

    public function typed(): string
    {
        return Numbers::withUnit($this->amount->typed, 'g');
    }

    /** Hours that it is in. */
    public function usualH(): float
    {
        return $this->rule->number('usual_h');
    }

    public function figure(): Figure
    {
        return Figure::exactly(
            'held_volume',
            $this->heldMl,
            'mL',
            Reason::rule('melt-held', [
                'leaf' => $this->said(),
                'dry' => ['g' => $this->dryG],
                'rate' => ['mL' => $this->mlPerGram],
            ]),
        );
    }

    /** @return list<array{name: mixed, latin: string}> as an ingredient */
    public function plants(): array
    {
        return array_map(fn (HerbPart $part) => Ingredients::plant($part->plant), $this->mix->parts);
    }

    /**
     * @param  array{clear: float, to: float}  $warmth
     * @return array<string, mixed> its amounts and hours, as a plan keeps them
     */
    public function document(array $warmth): array
    {
        return [
            'name' => $this->said(),
            'plants' => $this->plants(),
            'grams' => round($this->amount->value, 3),
            'text' => Said::just(['g' => $this->amount->value]),
            'held_ml' => round($this->heldMl, 3),
            'least_h' => $this->rule->number('least_h'),
            'usual_h' => $this->usualH(),
            'most_h' => $this->rule->number('most_h'),
            'stir_min' => $this->rule->number('stir_min'),
            'low_c' => round($warmth['clear'], 1),
            'ceiling_c' => round($warmth['to'], 1),
        ];
    }

    private static function held(Uptake $uptake, float $dryG): float
    {
        return $uptake->mlPerGram * $dryG + $uptake->lossesMl;
    }
}
