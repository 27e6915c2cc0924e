<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property string $uid
 * @property string $called
 * @property string $capacity_ml
 */
class BottleSize extends Model
{
    use BelongsToHouse, SoftDeletes;

    protected $table = 'bottle_sizes';

    protected $guarded = [];
}
