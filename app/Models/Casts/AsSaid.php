<?php

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Kettle\Reason\Said;

/**
 * A sentence as it is kept: its code, and what goes into it.
 *
 * @implements CastsAttributes<?Said, ?Said>
 */
final class AsSaid implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Said
    {
        $kept = is_string($value) ? json_decode($value, true) : null;

        // Words alone stood there before sentences were kept as data.
        return Said::read(Said::isKept($kept) ? $kept : $value);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Said ? json_encode($value->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE) : null;
    }
}
