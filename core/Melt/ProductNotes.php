<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Caution\Cautions;
use Kettle\Caution\Facts;
use Kettle\Material\Tables;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Reason\Way;
use Kettle\Reason\Wording;
use Kettle\Time\Dates;

/** What to watch for in a product: what would harm somebody, what will not do, and what is only as well to know. */
final readonly class ProductNotes
{
    public function __construct(private Tables $tables) {}

    /** @return list<Note> stop before care before note */
    public function of(
        ProductWish $wish,
        Composition $pot,
        Scents $scents,
        TinFilling $tins,
        ProductKeeping $keeping,
        House $house,
        ?ProductDays $days = null,
    ): array {
        $facts = self::facts($wish, $pot, $scents, $keeping);
        $rules = Cautions::of($this->tables);
        $notes = [
            ...$this->limits($wish, $scents),
            ...self::filling($tins),
            ...self::cups($wish, $pot),
            ...self::shares($wish, $pot),
            ...self::leaf($wish, $pot),
            ...self::days($days, $keeping),
            ...array_map(fn ($rule) => $rules->told($rule, $facts), $rules->holding($facts, 'melt')),
        ];
        $order = ['stop' => 0, 'care' => 1, 'note' => 2];
        usort($notes, fn (Note $a, Note $b) => $order[$a->rank] <=> $order[$b->rank]);

        return $notes;
    }

    /**
     * What its label says of them, as short as a label wants it; allergens apart, which follow what is really in it.
     *
     * @return list<array{must: bool, says: Said}>
     */
    public function labels(ProductWish $wish, Composition $pot, Scents $scents, ProductKeeping $keeping): array
    {
        $facts = self::facts($wish, $pot, $scents, $keeping);
        $labels = [];
        foreach (Cautions::of($this->tables)->holding($facts, 'melt') as $rule) {
            $says = $rule->id === 'allergens' ? null : $rule->label($facts);
            if ($says !== null) {
                $labels[] = ['must' => $rule->labelMust, 'says' => $says];
            }
        }

        return $labels;
    }

    private static function facts(ProductWish $wish, Composition $pot, Scents $scents, ProductKeeping $keeping): Facts
    {
        $allergens = $herbs = $carriers = [];
        $iodine = [0.0, 0.0];
        foreach ($pot->weighed as $each) {
            $allergens = [...$allergens, ...$each->part->allergens];
            $herbs = [...$herbs, ...$each->part->herbs()];
            $carriers = [
                ...$carriers,
                ...$each->part->infused === null
                    ? array_filter([$each->part->carrier])
                    : array_column($each->part->infused->blend->shares(), 'carrier'),
            ];
            $value = $each->part->infused?->blend->iodineValue() ?? $each->part->carrier?->iodineValueOrPublished();
            if ($value !== null) {
                $iodine = [$iodine[0] + $value * $each->grams, $iodine[1] + $each->grams];
            }
        }
        foreach ($wish->leaf->mix->parts ?? [] as $part) {
            $herbs[] = ['plant' => $part->plant, 'state' => $part->form->state];
        }
        $tags = $scents->tags() + [
            'leaf-in' => $wish->leaf !== null,
            'wax' => array_filter($pot->weighed, fn (Weighed $each) => $each->part->fusion !== null) !== [],
            'cold-only' => $keeping->coldOnly,
        ];
        foreach ($wish->product->traits() as $trait) {
            $tags['product:'.$trait] = true;
        }
        foreach ($wish->for as $person) {
            $tags['for:'.$person] = true;
        }
        foreach ($pot->weighed as $each) {
            $tags['part:'.$each->part->id] = true;
            $tags['kind:'.$each->part->kind->value] = true;
        }
        $words = [];
        foreach (['vapour', 'pregnancy', 'pets', 'sunlight', 'irritant', 'never-eaten', 'salicylate', 'daisy-family'] as $trait) {
            $words['scents_'.str_replace('-', '_', $trait)] = ['all' => $scents->having($trait)];
        }

        return Facts::ofProduct(
            $wish->product->has(Product::KITCHEN) ? 'kitchen' : 'skin',
            $herbs,
            array_values(array_unique([...$allergens])),
            $iodine[1] > 0 ? $iodine[0] / $iodine[1] : null,
            array_filter($tags),
            $words + ['scents' => ['all' => array_map(fn (array $each) => $each['oil']->said(), $scents->each)]],
            $carriers,
            $wish->heeds,
            array_map(
                fn (Weighed $each) => [
                    'called' => $each->part->said,
                    'food' => $each->part->food,
                    'allergens' => $each->part->allergens,
                ],
                $pot->weighed,
            ),
        );
    }

    /** @return list<Note> */
    private function limits(ProductWish $wish, Scents $scents): array
    {
        $notes = [];
        foreach ($scents->over() as $each) {
            $notes[] = new Note(
                'scent-over.'.$each['oil']->id,
                'stop',
                Said::of($each['oil']->limitForSun ? 'melt.over-sun' : 'melt.over-skin', [
                    'scent' => $each['oil']->said(),
                    'percent' => ['%' => round($each['percent'], 2)],
                    'limit' => ['%' => $each['limit']],
                ]),
                'scents',
                [
                    $this->lowered(
                        $wish,
                        [$each['oil']->id => (float) $each['limit']],
                        sprintf('Take %s at %s %%', $each['oil']->name, Wording::number((float) $each['limit'])),
                    ),
                ],
                source: Said::of('source:'.$each['oil']->source),
                acknowledge: true,
            );
        }
        if ($scents->overCeiling()) {
            $share = $scents->ceiling / $scents->percent;
            $to = [];
            foreach ($scents->each as $each) {
                $to[$each['oil']->id] = min($each['limit'] ?? INF, $each['percent'] * $share);
            }
            $notes[] = new Note(
                'scents-over',
                'stop',
                Said::of($scents->byPerson ? 'melt.over-person' : 'melt.over-ceiling', [
                    'percent' => ['%' => round($scents->percent, 2)],
                    'ceiling' => ['%' => $scents->ceiling],
                    'by' => Said::of('melt.ceiling-'.$scents->by),
                ]),
                'scents',
                [$this->lowered($wish, $to, sprintf('Take %s %% of scent in all', Wording::number($scents->ceiling)))],
                source: Said::of('source:tisserand'),
                acknowledge: true,
            );
        }

        return $notes;
    }

    /** @param  array<string, float>  $to per cent by id; nought leaves it out */
    private function lowered(ProductWish $wish, array $to, string $says): Way
    {
        $all = [];
        foreach ($wish->scents as $going) {
            $id = $going->part->id;
            // Rounded down, so that what is offered is within.
            $percent = isset($to[$id]) ? floor($to[$id] * 100) / 100 : null;
            if ($percent === null) {
                $all[] =
                    $going->share !== null
                        ? ['id' => $id, 'percent' => round($going->share * 100, 4)]
                        : ['id' => $id, 'amount' => $going->typed];
            } elseif ($percent > 0) {
                $all[] = ['id' => $id, 'percent' => $percent];
            }
        }

        return $all === []
            ? new Way('no-scent', 'Leave the scent out', ['essential_oils' => null])
            : new Way('less-scent', $says, ['essential_oils' => $all]);
    }

    /** @return list<Note> */
    private static function filling(TinFilling $tins): array
    {
        return $tins->count() < $tins->wished
            ? [
                new Note(
                    'tins-short',
                    'care',
                    Said::of('melt.tins-short', ['filled' => ['count' => $tins->count()], 'wished' => ['count' => $tins->wished]]),
                    'tins',
                ),
            ]
            : [];
    }

    /** @return list<Note> */
    private static function cups(ProductWish $wish, Composition $pot): array
    {
        $notes = [];
        foreach ($wish->all() as $going) {
            if ($going->byCup) {
                $notes[] = new Note(
                    'by-cup.'.$going->part->id,
                    'care',
                    Said::of('melt.by-cup', ['typed' => $going->typed, 'part' => $going->part->said, 'mass' => ['g' => $going->gramsOf()]]),
                    'waxes',
                );
            }
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function leaf(ProductWish $wish, Composition $pot): array
    {
        return $wish->leaf !== null && $wish->leaf->ml > $pot->totalMl
            ? [
                new Note(
                    'leaf-much',
                    'care',
                    Said::of('melt.leaf-much', ['volume' => ['mL' => $wish->leaf->ml], 'there' => ['mL' => $pot->totalMl]]),
                    'leaf',
                ),
            ]
            : [];
    }

    /** @return list<Note> */
    private static function days(?ProductDays $days, ProductKeeping $keeping): array
    {
        if ($days?->readyBy === null) {
            return [];
        }
        $notes = [];
        if ($days->late) {
            $notes[] = new Note(
                'product-late',
                'care',
                Said::of($days->waits() ? 'melt.late-oil' : 'melt.late', [
                    'ready_by' => ['weekday' => $days->readyBy->format('Y-m-d')],
                    'first' => ['weekday' => $days->firstReady->format('Y-m-d')],
                ]),
                'ready_by',
                [
                    new Way('later', sprintf('Have it by %s', Dates::say($days->firstReady, 'weekday')), [
                        'ready_by' => $days->firstReady->format('Y-m-d'),
                    ]),
                ],
            );
        }
        if ($keeping->bestBefore < $days->readyBy) {
            $notes[] = new Note(
                'past-by-then',
                'stop',
                Said::of('melt.past-by-then', [
                    'ready_by' => ['weekday' => $days->readyBy->format('Y-m-d')],
                    'best_before' => ['weekday' => $keeping->bestBefore->format('Y-m-d')],
                ]),
                'ready_by',
                [new Way('any-day', 'Make it now', ['ready_by' => null])],
            );
        }

        return $notes;
    }

    /** @return list<Note> where the wax is outside what such a product is made with */
    private static function shares(ProductWish $wish, Composition $pot): array
    {
        [$least, $most] = $wish->product->shares['wax'];
        $share = $pot->gramsOf(PartKind::Wax) / $pot->totalG;
        $beeswaxOnly = array_filter($wish->waxes, fn (Going $each) => $each->part->hardness !== 1.0) === [];

        return $beeswaxOnly && $most > 0 && ($share < $least * 0.8 || $share > $most * 1.25)
            ? [
                new Note(
                    'wax-share',
                    'note',
                    Said::of('melt.wax-share', [
                        'share' => ['share' => $share],
                        'product' => $wish->product->name,
                        'least' => ['share' => $least],
                        'most' => ['share' => $most],
                    ]),
                    'waxes',
                ),
            ]
            : [];
    }
}
