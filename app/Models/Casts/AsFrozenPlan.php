<?php

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Kettle\Batch\FrozenPlan;

/**
 * A plan as the core reads it. What is stored is never written anew.
 *
 * @implements CastsAttributes<FrozenPlan, FrozenPlan|array<mixed>>
 */
final class AsFrozenPlan implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): FrozenPlan
    {
        $document = is_string($value) ? json_decode($value, true) : null;

        return FrozenPlan::of(is_array($document) ? $document : []);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        if ($value instanceof FrozenPlan && is_string($attributes[$key] ?? null)) {
            return $attributes[$key];
        }

        return json_encode($value instanceof FrozenPlan ? $value->document : $value, JSON_THROW_ON_ERROR);
    }
}
