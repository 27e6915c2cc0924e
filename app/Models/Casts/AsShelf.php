<?php

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Kettle\Batch\Shelf;
use Kettle\Batch\Stored;

/**
 * What lists and drawings want of a batch, as the core reads it.
 *
 * @implements CastsAttributes<Shelf, Shelf|array<mixed>>
 */
final class AsShelf implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): Shelf
    {
        return Shelf::read(Stored::of(is_string($value) ? json_decode($value, true) : null));
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode($value instanceof Shelf ? $value->document() : $value, JSON_THROW_ON_ERROR);
    }
}
