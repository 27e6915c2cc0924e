<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Said;

/** A product step by step, in the order of the hands: onto one scale tare after tare, melted, tried, cooled, poured, labelled. */
final readonly class ProductSteps
{
    /** Minutes of hands: from memory, coarse. */
    private const MINUTES = [
        'weigh' => 2.0,
        'melt' => 12.0,
        'spoon' => 3.0,
        'stir' => 5.0,
        'whip' => 10.0,
        'emulsify' => 10.0,
        'pour' => 1.0,
        'label' => 1.0,
    ];

    /** @param  ?array{runs: float, clear: float, to: float, drops: float}  $warmth null for what pours cold */
    public function __construct(private ProductWish $wish, private Composition $pot, private House $house, private ?array $warmth) {}

    /** Minutes of hands. */
    public function minutes(): float
    {
        $tins = array_sum(array_map(fn (Tin $tin) => $tin->count ?? $this->wish->product->usualCount, $this->wish->tins));
        $method = $this->wish->product->method;

        return count($this->pot->weighed) * self::MINUTES['weigh'] +
            ($this->warmth === null ? self::MINUTES['stir'] : self::MINUTES['melt'] + self::MINUTES['spoon']) +
            ($method === 'whipped' ? self::MINUTES['whip'] : 0.0) +
            ($method === 'emulsion' ? self::MINUTES['emulsify'] : 0.0) +
            $tins * (self::MINUTES['pour'] + self::MINUTES['label']);
    }

    /** @return list<array{id: string, says: Said}> */
    public function all(): array
    {
        return [
            self::step('dry', ['vessel' => $this->wish->product->vessel]),
            ...$this->weighing(),
            ...match ($this->wish->product->method) {
                'blended' => [self::step('blend')],
                'stirred' => [...$this->warmth === null ? [] : [$this->melt()], self::step('stir-in')],
                'emulsion' => [$this->melt(), self::step('water', ['warmth' => $this->to()]), self::step('emulsify')],
                'whipped' => [$this->melt(), self::step('cool-fast'), self::step('whip')],
                default => $this->warmth === null ? [self::step('blend')] : [$this->melt(), ...$this->leaf(), self::step('spoon')],
            },
            ...$this->cool(),
            self::step($this->warmth === null ? 'fill' : 'pour', ['vessel' => $this->wish->product->vessel]),
            ...$this->warmth === null ? [] : [self::step('set'), self::step('wipe')],
            self::step('label'),
        ];
    }

    /** @return list<array{id: string, says: Said}> everything that goes in warm, the scale read after each */
    private function weighing(): array
    {
        $steps = [];
        $reads = 0.0;
        foreach (self::order($this->pot) as $each) {
            if (! $each->part->kind->goesInCool()) {
                $reads += $each->grams;
                $steps[] = [
                    'id' => 'weigh.'.$each->part->key(),
                    'says' => Said::of($each->grams === $reads ? 'melt.step.weigh' : 'melt.step.weigh-on', [
                        'mass' => ['g' => $each->grams],
                        'part' => $each->part->said,
                        'reads' => ['g' => $reads],
                    ]),
                ];
            }
        }

        return $steps;
    }

    /** @return list<array{id: string, says: Said}> */
    private function cool(): array
    {
        $cool = array_values(array_filter($this->pot->weighed, fn (Weighed $each) => $each->part->kind->goesInCool()));
        if ($cool === []) {
            return [];
        }

        return [
            self::step($this->warmth === null ? 'drops-cold' : 'drops', [
                'warmth' => ['C' => $this->warmth['drops'] ?? 0.0],
                'parts' => [
                    'all' => array_map(
                        fn (Weighed $each) => Said::of('melt.of', ['amount' => $this->amount($each), 'part' => $each->part->said]),
                        $cool,
                    ),
                ],
            ]),
        ];
    }

    /** @return array<string, float> in drops where it goes in by the drop, else in g */
    private function amount(Weighed $each): array
    {
        $drops = $each->part->scent?->drops($each->grams, $this->house->kitchen->dropsPerMl);

        return $drops === null ? ['g' => $each->grams] : ['drops' => $drops];
    }

    /** @return list<array{id: string, says: Said}> stirred in, and sieved out while it is warm */
    private function leaf(): array
    {
        $leaf = $this->wish->leaf;
        if ($leaf === null) {
            return [];
        }

        return [
            self::step('leaf', [
                'mass' => ['g' => $leaf->amount->value],
                'leaf' => $leaf->said(),
                'low' => ['C' => round($this->warmth['clear'] ?? 0.0)],
                'ceiling' => $this->to(),
                'least' => ['h' => $leaf->rule->number('least_h')],
                'most' => ['h' => $leaf->rule->number('most_h')],
                'stir' => ['h' => $leaf->rule->number('stir_min') / 60],
            ]),
            self::step('sieve', ['held' => ['mL' => $leaf->heldMl]]),
        ];
    }

    /** @return array{id: string, says: Said} */
    private function melt(): array
    {
        return self::step('melt', ['warmth' => $this->to()]);
    }

    /** @return array{C: float} */
    private function to(): array
    {
        return ['C' => round($this->warmth['to'] ?? 70.0)];
    }

    /** @return list<Weighed> what is liquid first, for it is the most, then butters, waxes and the rest; what goes in cool last */
    public static function order(Composition $pot): array
    {
        $of = fn (PartKind ...$kinds) => $pot->of(...$kinds);

        return [
            ...$of(PartKind::Oil),
            ...$of(PartKind::Butter),
            ...$of(PartKind::Wax),
            ...$of(PartKind::Emulsifier),
            ...$of(PartKind::Grain, PartKind::Powder, PartKind::SpentHerb),
            ...$of(PartKind::Water),
            ...$of(PartKind::Additive, PartKind::Preservative, PartKind::Scent),
        ];
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array{id: string, says: Said}
     */
    private static function step(string $id, array $with = []): array
    {
        return ['id' => $id, 'says' => Said::of('melt.step.'.$id, $with)];
    }
}
