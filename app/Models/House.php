<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $uid
 * @property string $name
 * @property string $time_zone
 * @property 'australian'|'imperial'|'metric'|'us' $measures
 * @property string $wake
 * @property string $bed
 * @property string $drops_per_ml
 * @property string $currency ISO 4217, or empty
 * @property ?string $hour_rate what an hour of hands is worth, in that currency
 * @property string $room_c degrees C
 * @property ?int $burners of the stove; null where nobody counted
 * @property ?list<string> $things
 * @property ?string $latitude degrees north
 * @property ?string $longitude degrees east
 * @property int $height_m above the sea
 * @property int $facing of the sunny window, degrees from north by east
 * @property ?array<int, string> $home hours at home by ISO weekday
 * @property ?string $feed_hash
 * @property bool $is_demo
 * @property int $version
 * @property ?Carbon $goes_at when it is deleted
 * @property Carbon $created_at
 */
class House extends Model
{
    use HasUlids, QuickReads;

    protected $table = 'houses';

    private ?\DateTimeZone $zone = null;

    protected $guarded = [];

    protected $casts = [
        'is_demo' => 'boolean',
        'version' => 'integer',
        'things' => 'array',
        'home' => 'array',
        'burners' => 'integer',
        'height_m' => 'integer',
        'facing' => 'integer',
        'goes_at' => 'datetime',
    ];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['uid'];
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** Asked for at every moment that is told, so it is made once. */
    public function zone(): \DateTimeZone
    {
        $name = $this->time_zone;
        if ($this->zone?->getName() !== $name) {
            $this->zone = new \DateTimeZone($name);
        }

        return $this->zone;
    }
}
