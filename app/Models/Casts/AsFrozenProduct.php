<?php

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Kettle\Making\FrozenProduct;

/**
 * A product's plan as the core reads it. What is stored is never written anew.
 *
 * @implements CastsAttributes<FrozenProduct, FrozenProduct|array<mixed>>
 */
final class AsFrozenProduct implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): FrozenProduct
    {
        $document = is_string($value) ? json_decode($value, true) : null;

        return FrozenProduct::of(is_array($document) ? $document : []);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        if ($value instanceof FrozenProduct && is_string($attributes[$key] ?? null)) {
            return $attributes[$key];
        }

        return json_encode($value instanceof FrozenProduct ? $value->document : $value, JSON_THROW_ON_ERROR);
    }
}
