<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * What all of a house's batches of a form say together, got out in one way: as the two sums that a plan learns from.
 *
 * @property string $form of HerbMix::uptakeKey
 * @property string $way
 * @property int $batches
 * @property float $weight sum of 1/variance
 * @property float $weighted sum of uptake/variance
 */
class YieldSum extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'yield_sums';

    protected $casts = ['batches' => 'integer', 'weight' => 'float', 'weighted' => 'float'];
}
