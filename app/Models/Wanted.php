<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Kettle\Recipe\Words;

/**
 * A product that is wanted by a day: its wish, and when it is to be made. Closed when it is begun, or given up.
 *
 * @property int $id
 * @property string $uid
 * @property string $product id of data/products.json
 * @property list<mixed> $plants of its oils, as a sentence keeps them
 * @property array<string, mixed> $wish
 * @property Carbon $ready_by
 * @property Carbon $make_at
 * @property int $minutes at the pot
 * @property ?Carbon $oil_start_by the first day to begin an oil that is not begun yet
 * @property array{make_at?: string, late?: bool, first_ready?: ?string, oils?: list<array{index: int, name: mixed, ml: float,
 *     start_by: ?string, start_text: mixed, pourable_at: string, pourable_text: mixed, wish: ?array<string, mixed>}>}  $days as
 *     "days" of "melt" in docs/formats/reckon.schema.json, sentences as they are kept
 * @property bool $late whether it cannot be ready by then, as it was last planned
 * @property ?string $trouble
 * @property ?int $making_id
 * @property ?Carbon $closed_at
 * @property int $version
 * @property Carbon $created_at
 * @property-read string $name "calendula salve"
 *
 * @method static Builder<static> open()
 */
class Wanted extends Model
{
    use BelongsToHouse, HasUlids;

    protected $table = 'wanted_products';

    protected $guarded = [];

    protected $casts = [
        'plants' => 'array',
        'wish' => 'array',
        'ready_by' => 'date',
        'make_at' => 'datetime',
        'minutes' => 'integer',
        'oil_start_by' => 'date',
        'days' => 'array',
        'late' => 'boolean',
        'closed_at' => 'datetime',
        'version' => 'integer',
    ];

    /** @param  Builder<Wanted>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('closed_at');
    }

    /** @return Attribute<string, never> */
    protected function name(): Attribute
    {
        return Attribute::get(fn () => app(Words::class)->of(Making::called($this->product, $this->plants)));
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
}
