<?php

namespace App\Models\Tenancy;

use App\Models\House;
use App\Models\QuickReads;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** For models whose rows belong to one house: scoped, and stamped, by construction. */
trait BelongsToHouse
{
    use QuickReads;

    protected static function bootBelongsToHouse(): void
    {
        static::addGlobalScope('house', function (Builder $query): void {
            $query->where($query->qualifyColumn('house_id'), app(CurrentHouse::class)->house()->id);
        });
        static::creating(function (Model $model): void {
            $model->setAttribute('house_id', app(CurrentHouse::class)->house()->id);
        });
    }

    /** @return BelongsTo<House, $this> */
    public function house(): BelongsTo
    {
        return $this->belongsTo(House::class);
    }
}
