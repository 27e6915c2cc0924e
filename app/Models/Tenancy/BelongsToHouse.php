<?php

namespace App\Models\Tenancy;

use App\Models\House;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** For models whose rows belong to one house: scoped, and stamped, by construction. */
trait BelongsToHouse
{
    use QuickReads;

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

    /**
     * By the names of their methods, as Laravel's own convention has it. Its attributes on methods, which nobody uses here,
     * cost it a reflection of every method of every model at every request: a fifteenth of a page.
     */
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot{$name}")) {
                static::{"boot{$name}"}();
            }
            if (method_exists(static::class, "initialize{$name}")) {
                static::$traitInitializers[static::class][] = "initialize{$name}";
            }
        }
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
