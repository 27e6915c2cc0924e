<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A real day's weather, read in.
 *
 * @property Carbon $day
 * @property string $cloud 0 to 1
 * @property string $low_c
 * @property string $high_c
 */
class WeatherDay extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'weather_days';

    protected $guarded = [];

    protected $casts = ['day' => 'date'];
}
