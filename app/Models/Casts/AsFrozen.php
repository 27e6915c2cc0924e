<?php

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Kettle\Batch\FrozenPlan;
use Kettle\Boiling\FrozenBoil;
use Kettle\Making\FrozenProduct;

/**
 * What something was begun with, as the core reads it. What is stored is never written anew.
 *
 * @template T of FrozenPlan|FrozenProduct|FrozenBoil
 *
 * @implements CastsAttributes<T, T|array<mixed>>
 */
abstract class AsFrozen implements CastsAttributes
{
    /**
     * @param  array<mixed>  $document
     * @return T
     */
    abstract protected function read(array $document): FrozenPlan|FrozenProduct|FrozenBoil;

    /**
     * @param  array<string, mixed>  $attributes
     * @return T
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): FrozenPlan|FrozenProduct|FrozenBoil
    {
        $document = is_string($value) ? json_decode($value, true) : null;

        return $this->read(is_array($document) ? $document : []);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        $frozen = $value instanceof FrozenPlan || $value instanceof FrozenProduct || $value instanceof FrozenBoil;
        if ($frozen && is_string($attributes[$key] ?? null)) {
            return $attributes[$key];
        }

        return json_encode($frozen ? $value->document : $value, JSON_THROW_ON_ERROR);
    }
}
