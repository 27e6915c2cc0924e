<?php

namespace App\Models;

use App\Models\Casts\AsFrozenProduct;
use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Kettle\Making\FrozenProduct;
use Kettle\Making\Stage;
use Kettle\Reason\Said;
use Kettle\Recipe\Words;

/**
 * One pot of a product, from wish to tins. The wish and plan stay as they were; the rest is folded from the logbook.
 *
 * @property int $id
 * @property string $uid
 * @property string $code
 * @property string $product id of data/products.json
 * @property array<string, mixed> $wish
 * @property FrozenProduct $plan
 * @property list<mixed> $plants of its oils, as a sentence keeps them
 * @property-read string $name "Calendula salve"
 * @property Stage $stage
 * @property Carbon $begun_at
 * @property ?Carbon $poured_at
 * @property Carbon $best_before of what it was made of, as it was then
 * @property Carbon $good_until it is no better than its oils are now
 * @property bool $oil_thrown whether one of its oils was thrown away
 * @property int $tins
 * @property int $tins_left
 * @property string $stands where its tins are
 * @property ?string $loss
 * @property list<array{firmness: float, is: string, by: string, room_c: ?float}> $verdicts
 * @property array<string, mixed>|null $label sheet, start, fields, names and own words
 * @property int $version
 * @property-read Collection<int, MakingEntry> $entries
 * @property-read Collection<int, Batch> $batches whose bottles went in
 */
class Making extends Model
{
    use BelongsToHouse, HasUlids;

    /** What lists need: plans and wishes are large, and none of them reads one. */
    public const LISTED = [
        'id',
        'house_id',
        'uid',
        'code',
        'product',
        'plants',
        'stage',
        'begun_at',
        'poured_at',
        'good_until',
        'tins',
        'tins_left',
        'stands',
    ];

    protected $table = 'makings';

    protected $guarded = [];

    protected $casts = [
        'wish' => 'array',
        'plan' => AsFrozenProduct::class,
        'plants' => 'array',
        'stage' => Stage::class,
        'begun_at' => 'datetime',
        'poured_at' => 'datetime',
        'best_before' => 'date',
        'good_until' => 'date',
        'oil_thrown' => 'boolean',
        'tins' => 'integer',
        'tins_left' => 'integer',
        'verdicts' => 'array',
        'label' => 'array',
        'version' => 'integer',
    ];

    /** @return Attribute<string, never> */
    protected function name(): Attribute
    {
        return Attribute::get(fn () => app(Words::class)->of($this->said()));
    }

    /** Until when, Y-m-d: it is no better than its oils are now, whatever they were when it was made. */
    public function goodUntil(): string
    {
        return $this->good_until->format('Y-m-d');
    }

    /** Its name as a sentence keeps it. */
    public function said(): Said
    {
        return self::called($this->product, $this->plants);
    }

    /** @param  list<mixed>  $plants */
    public static function called(string $product, array $plants): Said
    {
        return $plants === []
            ? Said::of('melt.name', ['product' => ['product' => $product]])
            : Said::of('melt.name-plants', ['plants' => ['all' => $plants], 'product' => ['product' => $product]]);
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

    /** @return HasMany<MakingEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(MakingEntry::class);
    }

    /** @return HasMany<Tin, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(Tin::class);
    }

    /** @return BelongsToMany<Batch, $this> */
    public function batches(): BelongsToMany
    {
        return $this->belongsToMany(Batch::class, 'making_batches')->withPivot('ml');
    }

    /** @return BelongsToMany<Boil, $this> the pots whose decoction or extract went in */
    public function boils(): BelongsToMany
    {
        return $this->belongsToMany(Boil::class, 'boil_takes')->withPivot('amount');
    }
}
