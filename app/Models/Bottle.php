<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $batch_id
 * @property int $number
 * @property string $called
 * @property string $capacity_ml
 * @property string $filled_ml
 * @property string $left_ml
 * @property 'given'|'in'|'thrown'|'used' $state
 * @property string $to whom or what it went to last
 */
class Bottle extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'bottles';

    protected $guarded = [];
}
