<?php

namespace App\Actions\Melt;

use App\House\KitchenFactory;
use Kettle\Material\Tables;
use Kettle\Melt\House;
use Kettle\Melt\MeltTable;

/** The current house as the Melt wants it: its kitchen, its lots of what is wished for, its bottled oils. */
final readonly class ProductHouse
{
    public function __construct(private KitchenFactory $kitchens, private BottledOils $bottled, private Tables $tables) {}

    /** @param  array<mixed>  $wish */
    public function of(array $wish): House
    {
        $oils = is_array($wish['oils'] ?? null) ? $wish['oils'] : [];
        $named = fn (string $key): array => array_values(
            array_filter(array_map(fn (mixed $oil) => is_array($oil) ? $oil[$key] ?? null : null, $oils), is_string(...)),
        );
        $product = MeltTable::of($this->tables)->products()[is_string($wish['product'] ?? null) ? $wish['product'] : 'salve'] ?? null;
        $carriers = [...array_values(array_filter($oils, is_string(...))), ...$named('id'), ...array_filter([$product?->carrier])];

        return new House($this->kitchens->forProduct($carriers), $this->bottled->named($named('batch')));
    }
}
