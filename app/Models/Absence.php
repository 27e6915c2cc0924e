<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A while nobody is at home to heat anything: away days, or busy times out of a calendar.
 *
 * @property int $id
 * @property ?int $calendar_id
 * @property string $uid
 * @property string $called
 * @property Carbon $from_at
 * @property Carbon $to_at
 */
class Absence extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'absences';

    protected $guarded = [];

    protected $casts = ['from_at' => 'datetime', 'to_at' => 'datetime'];
}
