<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A wish kept under a name. How it was is kept version by version; the newest is the recipe.
 *
 * @property int $id
 * @property string $uid
 * @property string $name
 * @property int $version
 * @property ?Carbon $updated_at
 * @property-read RecipeVersion $newest
 * @property-read Collection<int, RecipeVersion> $versions
 */
class Recipe extends Model
{
    use BelongsToHouse, SoftDeletes;

    protected $table = 'recipes';

    protected $guarded = [];

    protected $casts = ['version' => 'integer'];

    public function getRouteKeyName(): string
    {
        return 'uid';
    }

    /** @return HasMany<RecipeVersion, $this> */
    public function versions(): HasMany
    {
        return $this->hasMany(RecipeVersion::class);
    }

    /** @return HasOne<RecipeVersion, $this> */
    public function newest(): HasOne
    {
        return $this->hasOne(RecipeVersion::class)->latestOfMany('number');
    }
}
