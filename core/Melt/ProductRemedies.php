<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Addition;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Way;
use Kettle\Recipe\Change;

/** What would do instead of a product that cannot be made: changes to its wish, to be tried before they are offered. */
final readonly class ProductRemedies
{
    public function __construct(private MeltTable $table, private House $house) {}

    /**
     * @param  array<mixed>  $document the wish
     * @param  array{field: string, reason: string, sentence: string}  $fault
     * @return list<Way> the nearest first
     */
    public function of(array $document, array $fault): array
    {
        return match ($fault['reason']) {
            'firmer_already' => [...$this->words(false), new Way('no-butter', 'Leave the butter out', ['butters' => []])],
            'not_so_firm' => [
                new Way('beeswax', 'With beeswax', ['waxes' => ['beeswax']]),
                new Way('candelilla', 'With candelilla wax, which is harder', ['waxes' => ['candelilla']]),
                ...$this->words(true),
            ],
            'water' => [
                new Way('dry', 'Leave it out', self::without($document, $fault['field'])),
                new Way('cream', 'Make a cream, which holds water', [
                    'product' => 'cream',
                    'firmness' => null,
                    'waxes' => null,
                    'butters' => null,
                    'tins' => null,
                ]),
            ],
            'discarded', 'past', 'not_strained' => [new Way('without-it', 'Leave that out', self::without($document, $fault['field']))],
            'over_by' => [new Way('any-day', 'Make it on any day', ['ready_by' => null])],
            'in_the_past' => [new Way('any-day', 'Make it on any day', ['ready_by' => null])],
            'no_leaf' => [new Way('no-leaf', 'Leave it out', ['leaf' => null])],
            'not_food' => [new Way('dry', 'Leave it out', self::without($document, $fault['field']))],
            'not_wax' => [new Way('any', 'Leave out how firm', ['firmness' => null])],
            'said_twice' => [new Way('once', 'Leave that out', [explode('.', $fault['field'])[0] => null])],
            'no_preservative', 'no_emulsifier' => [new Way('with', 'Put in what holds it', ['others' => null])],
            'none_filled' => $this->smaller($document),
            'not_so_much' => $this->whatThereIs($document),
            'more_than_whole' => [new Way('none', 'Leave it out', [explode('.', $fault['field'])[0] => null])],
            default => [],
        };
    }

    /** @return list<Way> other words for how firm, the nearest that may do first */
    private function words(bool $softer): array
    {
        $bands = array_slice($this->table->firmness()->bands, 1);
        $ways = array_map(
            fn (array $band) => new Way('as-'.$band['id'], sprintf('Make it %s', $band['name']), ['firmness' => $band['id']]),
            $bands,
        );

        return $softer ? array_reverse($ways) : $ways;
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Way>
     */
    private function smaller(array $document): array
    {
        $product = $this->table->products()[is_string($document['product'] ?? null) ? $document['product'] : 'salve'] ?? null;
        $sizes = array_reverse($product->vesselMl ?? []);

        return array_map(
            fn (float $ml) => new Way('tins-'.$ml, sprintf('Into %ss of %g mL', $product->vessel ?? 'tin', $ml), [
                'tins' => [['ml' => $ml]],
            ]),
            $sizes,
        );
    }

    /**
     * As much as the bottle holds makes.
     *
     * @param  array<mixed>  $document
     * @return list<Way>
     */
    private function whatThereIs(array $document): array
    {
        $oils = is_array($document['oils'] ?? null) ? array_values($document['oils']) : [];
        $ways = $this->boiledThereIs($document);
        if ($ways !== []) {
            return $ways;
        }
        $only = count($oils) === 1 && is_array($oils[0]) ? $oils[0]['batch'] ?? null : null;
        $infused = is_string($only) ? $this->house->infused[$only] ?? null : null;
        $tins = is_array($document['tins'] ?? null) ? array_values($document['tins']) : [];

        return $infused?->leftMl === null
            ? []
            : [
                new Way('all-of-it', sprintf('Use all there is of it, %g mL', $infused->leftMl), [
                    'total' => null,
                    'oils' => [['batch' => $infused->id, 'amount' => Change::number($infused->leftMl).' mL']],
                    'tins' => array_map(fn (mixed $tin) => ['ml' => is_array($tin) ? $tin['ml'] ?? 60 : 60], $tins) ?: null,
                ]),
            ];
    }

    /**
     * As much as is left of each pot, and plain water for the rest.
     *
     * @param  array<mixed>  $document
     * @return list<Way>
     */
    private function boiledThereIs(array $document): array
    {
        $others = is_array($document['others'] ?? null) ? array_values($document['others']) : [];
        $ways = [];
        foreach ($others as $i => $each) {
            $boiled = is_array($each) && is_string($each['boil'] ?? null) ? $this->house->boiled[$each['boil']] ?? null : null;
            if ($boiled?->leftG !== null && $boiled->leftG > 0) {
                $some = ['boil' => $boiled->id, 'amount' => Change::number($boiled->leftG).' g'];
                $water = in_array(
                    Addition::WATER,
                    array_map(fn (mixed $other) => is_array($other) ? $other['id'] ?? '' : $other, $others),
                    true,
                );
                $ways[] = new Way(
                    'all-of-it',
                    sprintf('Use all there is of it, %s, and water for the rest', AmountWriter::plain($boiled->leftG, Kind::Mass)),
                    ['others' => [...array_replace($others, [$i => $some]), ...$water ? [] : [['id' => Addition::WATER]]]],
                );
            }
        }

        return $ways;
    }

    /**
     * The wish without the part a fault is laid to.
     *
     * @param  array<mixed>  $document
     * @return array<string, mixed>
     */
    private static function without(array $document, string $field): array
    {
        [$list, $index] = array_pad(explode('.', $field), 2, null);
        $parts = $document[$list] ?? null;
        if ($index === null || ! is_array($parts) || ! array_is_list($parts)) {
            return [(string) $list => null];
        }
        unset($parts[(int) $index]);

        return [(string) $list => $parts === [] ? null : array_values($parts)];
    }
}
