<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Tables;

/** How hard a plant part is to boil out: how much water it wants, and how far that is boiled down. */
final readonly class Hardness
{
    /**
     * @param  float  $waterPerG mL to each g of dry herb
     * @param  float  $boiledTo share of the water that is left
     * @param  int  $order the harder, the later
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $for,
        public float $waterPerG,
        public float $boiledTo,
        public int $order,
    ) {}

    /** @return array<string, self> by id, softest first */
    public static function all(Tables $tables): array
    {
        $all = [];
        foreach ($tables->table('decoction')->rows('hardness') as $row) {
            $all[$row->text('id')] = new self(
                $row->text('id'),
                $row->text('name'),
                $row->text('for'),
                $row->number('water_per_g'),
                $row->number('boiled_to'),
                count($all),
            );
        }

        return $all;
    }

    /** @throws DecoctionException */
    public static function named(string $id, Tables $tables): self
    {
        return self::all($tables)[$id] ?? throw DecoctionException::hardness($id);
    }

    /** @throws DecoctionException for what is not boiled: powder thickens and catches */
    public static function ofForm(string $form, string $called, Tables $tables): self
    {
        $id = $tables->table('decoction')->row('forms')->textOrNull($form) ?? throw DecoctionException::powder($called);

        return self::named($id, $tables);
    }

    /**
     * A mixture goes by its hardest part.
     *
     * @param  non-empty-list<self>  $parts
     */
    public static function hardest(array $parts): self
    {
        return array_reduce($parts, fn (self $a, self $b) => $b->order > $a->order ? $b : $a, $parts[0]);
    }
}
