<?php

namespace App\Actions\Melt;

use App\House\KitchenFactory;
use Kettle\Making\FrozenProduct;
use Kettle\Material\Tables;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductDocument;
use Kettle\Recipe\Planning;

/** A product's plan as it was kept, told in this cook's words. */
final readonly class MakingDocument
{
    public function __construct(private Planning $planning, private KitchenFactory $kitchens, private Tables $tables) {}

    /**
     * @param  array<mixed>  $kept of FrozenProduct
     * @return array<string, mixed> `answers` of "melt" in docs/formats/reckon.schema.json
     */
    public function told(array $kept): array
    {
        return (new ProductDocument($this->planning, $this->kitchens->plain(), MeltTable::of($this->tables)))->told(
            array_diff_key($kept, array_flip(FrozenProduct::KEPT)),
        );
    }
}
