<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Kettle\Ask\WarmthQuestions;
use Kettle\Warmth\Band;

/**
 * Jars standing in a cooker, from switching on to taking out, nights off included.
 *
 * @phpstan-import-type Ends from WarmthQuestions
 * @phpstan-import-type Sure from WarmthQuestions
 *
 * @phpstan-type KeptCooker array{called: string, shape: string, length_mm: float|int, width_mm: float|int,
 *     height_mm: float|int, settings: list<array{name: string, watts: float|int}>, loss_w_per_k: float|int,
 *     vessel_j_per_k: float|int, learned: bool, methods: list<string>}
 * @phpstan-type KeptJar array{called: string, x: float|int, y: float|int, d: float|int, height: float|int,
 *     level: float|int, bed: float|int}
 * @phpstan-type KeptForetold array{minutes_to_band: Ends, settles_c: Ends, water_lost_ml_per_h: Ends, passes_ceiling: Sure}
 * @phpstan-type KeptSetUp array{cooker: KeptCooker, jars: list<KeptJar>, full_mm: float|int, low_mm: float|int,
 *     water_ml: float|int, low_ml: float|int, full_ml: float|int, open_m2: float|int, jars_j_per_k: float|int,
 *     jars_w_per_k: float|int, room_c: float|int, height_m: float|int, lid?: bool, dry?: bool, held_by_floating?: bool,
 *     poured_c?: float|int|null, model?: list<array{int|float, float|int}>, foretold?: KeptForetold, says?: list<mixed>}
 *
 * @property int $id
 * @property int $house_id
 * @property string $uid
 * @property ?int $cooker_id
 * @property KeptSetUp $set_up as the SetUp of the Stove writes it
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

    protected $table = 'stove_sessions';

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
