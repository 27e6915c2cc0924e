<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Kettle\Warmth\Band;

/**
 * Jars standing in a cooker, from switching on to taking out, nights off included.
 *
 * @property int $id
 * @property int $house_id
 * @property string $uid
 * @property ?int $cooker_id
 * @property array<string, mixed> $set_up as the SetUp of the Stove writes it
 * @property string $setting
 * @property array{low: float, target: float, ceiling: float} $band degrees C
 * @property 'ended'|'on'|'paused' $state
 * @property int $speed
 * @property Carbon $started_at
 * @property Carbon $switched_at
 * @property ?Carbon $ended_at
 * @property Carbon $filled_at
 * @property string $filled_ml
 * @property Carbon $shaken_at
 * @property int $version
 * @property-read Collection<int, StoveJar> $jars
 * @property-read Collection<int, StoveProbe> $probes
 * @property-read ?Cooker $cooker
 * @property-read Collection<int, StoveEvent> $events
 */
class StoveSession extends Model
{
    use BelongsToHouse;

    public const ON = 'on';

    public const PAUSED = 'paused';

    public const ENDED = 'ended';

    protected $guarded = [];

    protected $casts = [
        'set_up' => 'array',
        'band' => 'array',
        'started_at' => 'datetime',
        'switched_at' => 'datetime',
        'ended_at' => 'datetime',
        'filled_at' => 'datetime',
        'shaken_at' => 'datetime',
        'speed' => 'integer',
        'version' => 'integer',
    ];

    public function getRouteKeyName(): string
    {
        return 'uid';
    }

    /** @return HasMany<StoveJar, $this> */
    public function jars(): HasMany
    {
        return $this->hasMany(StoveJar::class);
    }

    /** @return HasMany<StoveProbe, $this> */
    public function probes(): HasMany
    {
        return $this->hasMany(StoveProbe::class);
    }

    /** @return HasMany<StoveEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(StoveEvent::class);
    }

    /** @return BelongsTo<Cooker, $this> */
    public function cooker(): BelongsTo
    {
        return $this->belongsTo(Cooker::class);
    }

    /** The thermometer the pot itself goes by. */
    public function firstProbe(): ?StoveProbe
    {
        return $this->probes->sortBy('probe_id')->first();
    }

    public function core(): Band
    {
        return Band::of((float) $this->band['low'], (float) $this->band['target'], (float) $this->band['ceiling']);
    }

    /** The session's own present, in seconds: a quickened trial runs ahead of the clock. */
    public function now(): int
    {
        $started = $this->started_at->getTimestamp();
        $now = ($this->ended_at ?? Carbon::now())->getTimestamp();

        return $started + ($now - $started) * $this->speed;
    }

    /** What a moment of the clock is in the session's own time, s. */
    public function own(Carbon $moment): int
    {
        return $this->started_at->getTimestamp() + ($moment->getTimestamp() - $this->started_at->getTimestamp()) * $this->speed;
    }
}
