<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One tin, jar, stick or bottle of a product. Folded from its logbook.
 *
 * @property int $making_id
 * @property int $number
 * @property string $ml to the brim
 * @property string $grams in it
 * @property 'given'|'in'|'sold'|'thrown'|'used' $state
 * @property string $to whom or what it went to
 * @property ?string $price
 * @property-read Making $making
 */
class Tin extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'tins';

    protected $guarded = [];

    /** @return BelongsTo<Making, $this> */
    public function making(): BelongsTo
    {
        return $this->belongsTo(Making::class);
    }
}
