<?php

namespace App\Models;

use App\House\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $number
 * @property string $called
 * @property string $capacity_ml
 * @property string $filled_ml
 */
class Bottle extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $guarded = [];
}
