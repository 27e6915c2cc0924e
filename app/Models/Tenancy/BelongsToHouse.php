<?php

namespace App\Models\Tenancy;

use App\Models\House;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** For models whose rows belong to one house: scoped, and stamped, by construction. */
trait BelongsToHouse
{
    /** @var array<class-string, array<string, string>> */
    private static array $castsOf = [];

    /**
     * Asked for at every attribute that is read, where it was put together anew each time: a seventh of the time of a page
     * of jars. What a model casts does not change.
     *
     * @return array<string, string>
     */
    public function getCasts(): array
    {
        return self::$castsOf[static::class] ??= parent::getCasts();
    }

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
