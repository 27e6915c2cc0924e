<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Batch\Stored;

/** Fresh plant that is stirred into a product, as its plan has it. */
final readonly class LeafIn
{
    /**
     * @param  list<array{name: mixed, latin: string}>  $plants
     * @param  float  $heldMl of the ointment, that is expected to stay in it
     */
    private function __construct(
        public array $plants,
        public float $grams,
        public float $heldMl,
        public float $leastH,
        public float $mostH,
        public float $stirMin,
        public float $lowC,
        public float $ceilingC,
    ) {}

    /** Null where nothing is stirred in. */
    public static function read(Stored $leaf): ?self
    {
        return $leaf->number('grams') <= 0
            ? null
            : new self(
                array_map(
                    fn (Stored $plant) => ['name' => $plant->textOrNull('name') ?? $plant->array('name'), 'latin' => $plant->text('latin')],
                    $leaf->parts('plants'),
                ),
                $leaf->number('grams'),
                $leaf->number('held_ml'),
                $leaf->number('least_h', 1.0),
                $leaf->number('most_h', 2.0),
                $leaf->number('stir_min', 15.0),
                $leaf->number('low_c'),
                $leaf->number('ceiling_c', 100.0),
            );
    }
}
