<?php

declare(strict_types=1);

namespace Kettle\Material;

/** One herb of a jar: its cut and state, its part by weight as it lies, and the water in it. */
final readonly class HerbPart
{
    /**
     * @param  float  $parts by weight as it lies, above zero
     * @param  float  $water fraction of its weight that is water
     * @param  string  $lot id of the lot it is taken from first; empty for the oldest sound one
     */
    public function __construct(
        public Herb $plant,
        public HerbForm $form,
        public float $parts,
        public float $water,
        public string $lot = '',
    ) {}
}
