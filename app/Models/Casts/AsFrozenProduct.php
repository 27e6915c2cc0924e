<?php

namespace App\Models\Casts;

use Kettle\Making\FrozenProduct;

/**
 * A product's plan as the core reads it.
 *
 * @extends AsFrozen<FrozenProduct>
 */
final class AsFrozenProduct extends AsFrozen
{
    protected function read(array $document): FrozenProduct
    {
        return FrozenProduct::of($document);
    }
}
