<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Material\Row;
use Kettle\Recipe\Kitchen;

/**
 * A recipe of a product as it is to be made: what is usual in such a product and stands in no line of it is left out, and told. A
 * lip balm of wax and oil has no butter.
 */
final readonly class ListedProduct
{
    private const PARTS = ['oils', 'waxes', 'butters', 'others', 'essential_oils'];

    public function __construct(private Cupboard $cupboard, private Kitchen $kitchen) {}

    /** @throws RecipeException when there is nothing in it that goes into a product */
    public function read(string $text): ReadRecipe
    {
        $read = (new PastedProduct($this->cupboard, $this->kitchen))->read($text);
        $listed = array_intersect(self::PARTS, array_keys($read->wish));
        // Of one thing alone the rest is as usual.
        if (! in_array('waxes', $listed, true) && count($listed) < 2) {
            return $read;
        }
        $none = $names = [];
        foreach ($this->cupboard->tables()->table('products')->rows('rows') as $row) {
            foreach ($row->text('id') === $read->wish['product'] ? array_diff(['butters', 'others'], $listed) : [] as $list) {
                $usual = array_map(fn (Row $each): string => $this->named($each->text('id')), $row->rows($list));
                $none += $usual === [] ? [] : [$list => []];
                array_push($names, ...$usual);
            }
        }
        $told = $names === [] ? [] : [sprintf('Usual in it and not listed, so it is left out: %s.', implode(', ', $names))];

        return new ReadRecipe($read->name, $read->note, $read->wish + $none, $read->lines, [...$read->notes, ...$told]);
    }

    private function named(string $id): string
    {
        return $this->cupboard->waxOrNull($id)->name ?? ($this->cupboard->additions()[$id]->name ?? $id);
    }
}
