<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * What a house has something left of, with how many lots of it, as the database counts them with each row.
 *
 * @property string $kind
 * @property string $material
 * @property string $called where the tables do not know it; empty for the rest
 * @property int $thing as of its lots: what is taken for one another
 * @property int $many lots that still hold something
 */
class HeldThing extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'held_things';

    protected $casts = ['thing' => 'integer', 'many' => 'integer'];
}
