<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something done at the stove: switched on, paused, topped up, shaken. Never changed.
 *
 * @property int $id
 * @property int $stove_session_id
 * @property string $kind
 * @property array<string, mixed> $data
 * @property string $by
 * @property Carbon $happened_at
 */
class StoveEvent extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'stove_events';

    protected $guarded = [];

    protected $casts = ['data' => 'array', 'happened_at' => 'datetime'];
}
