<?php

namespace App\Models;

use App\Models\Casts\AsFrozenPlan;
use App\Models\Casts\AsReservation;
use App\Models\Casts\AsShelf;
use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Kettle\Batch\FrozenPlan;
use Kettle\Batch\Shelf;
use Kettle\Batch\StoredAs;
use Kettle\Diary\Reservation;
use Kettle\Diary\Stage;
use Kettle\Reason\Said;
use Kettle\Recipe\Words;

/**
 * One making, from wish to bottle. The wish and plan stay as they were; the rest is folded from the logbook.
 *
 * @property int $id
 * @property string $uid
 * @property string $code
 * @property array<string, mixed> $herbs its herbs as a sentence keeps them
 * @property array<string, mixed> $oils its oils as a sentence keeps them
 * @property-read string $name "Heather in olive oil"
 * @property-read string $herb_name
 * @property-read string $oils_name
 * @property string $origin
 * @property array<string, mixed> $wish
 * @property FrozenPlan $plan
 * @property Stage $stage
 * @property Shelf $shelf
 * @property Carbon $start_at
 * @property ?Carbon $filled_at
 * @property Carbon $strain_at
 * @property ?Carbon $strained_at
 * @property ?Carbon $bottled_at
 * @property ?string $strained_ml
 * @property ?string $left_ml
 * @property Carbon $best_before
 * @property ?string $repeats
 * @property Reservation|null $diary the place the diary keeps for it
 * @property string $purpose what it is for now
 * @property ?Carbon $use_by only for what is kept cold
 * @property array<string, mixed>|null $label sheet, start, fields, names and own words
 * @property int $version
 * @property-read Collection<int, LogEntry> $entries
 */
class Batch extends Model
{
    use BelongsToHouse, HasUlids;

    protected $table = 'batches';

    protected $guarded = [];

    protected $casts = [
        'herbs' => 'array',
        'oils' => 'array',
        'wish' => 'array',
        'plan' => AsFrozenPlan::class,
        'shelf' => AsShelf::class,
        'diary' => AsReservation::class,
        'label' => 'array',
        'use_by' => 'datetime',
        'stage' => Stage::class,
        'start_at' => 'datetime',
        'filled_at' => 'datetime',
        'strain_at' => 'datetime',
        'strained_at' => 'datetime',
        'bottled_at' => 'datetime',
        'best_before' => 'date',
        'version' => 'integer',
    ];

    // What goes in is settled when it is begun, and a list of tasks says it several times for each.

    /** @return Attribute<string, never> */
    protected function name(): Attribute
    {
        $said = fn () => Said::of('plan.name', ['herbs' => $this->herbs, 'oils' => $this->oils]);

        return Attribute::get(fn () => self::words()->of($said()))->shouldCache();
    }

    /** @return Attribute<string, never> */
    protected function herbName(): Attribute
    {
        return Attribute::get(fn () => self::words()->thing($this->herbs))->shouldCache();
    }

    /** @return Attribute<string, never> */
    protected function oilsName(): Attribute
    {
        return Attribute::get(fn () => self::words()->thing($this->oils))->shouldCache();
    }

    private static function words(): Words
    {
        return app(Words::class);
    }

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['uid'];
    }

    public function getRouteKeyName(): string
    {
        return 'uid';
    }

    /** @return HasMany<LogEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(LogEntry::class);
    }

    /** @return HasMany<Task, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(Task::class);
    }

    /** @return HasMany<Bottle, $this> */
    public function bottles(): HasMany
    {
        return $this->hasMany(Bottle::class);
    }

    /** The batch whose oil it was made in; null where its oils are as they were bought. */
    public function base(): ?self
    {
        $uid = $this->plan->base?->batch;

        return $uid === null ? null : self::query()->where('uid', $uid)->first();
    }

    /** What there is to bottle, mL: what was poured off its sediment, or what was strained. */
    public function toBottleMl(): float
    {
        return $this->shelf->pouredMl ?? (float) $this->strained_ml;
    }

    /** How it is kept, or would be. */
    public function storedAs(): StoredAs
    {
        return $this->shelf->storedAs ?? new StoredAs($this->use_by === null ? 'cool-dark' : 'fridge');
    }
}
