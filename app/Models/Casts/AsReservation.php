<?php

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Kettle\Diary\Reservation;

/**
 * The place the diary keeps for a batch, as the core reads it.
 *
 * @implements CastsAttributes<Reservation, Reservation>
 */
final class AsReservation implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Reservation
    {
        return Reservation::read(is_string($value) ? json_decode($value, true) : null);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Reservation ? json_encode($value->toArray(), JSON_THROW_ON_ERROR) : null;
    }
}
