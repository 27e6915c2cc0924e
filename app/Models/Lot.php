<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Kettle\Material\State;
use Kettle\Stores\Lot as CoreLot;
use Kettle\Stores\LotDates;
use Kettle\Stores\LotKind;
use Kettle\Stores\Origin;
use Kettle\Stores\Stock;

/**
 * So much of one thing, got at one time. What is left is the sum of its moves.
 *
 * @property int $id
 * @property string $uid
 * @property LotKind $kind
 * @property string $material
 * @property string $called
 * @property string $part of the plant, where it is not the herb's usual
 * @property ?string $form
 * @property ?State $state
 * @property string $got
 * @property string $left
 * @property string $typed
 * @property ?string $low_at
 * @property bool $is_low
 * @property ?string $price
 * @property string $got_how
 * @property string $got_where
 * @property ?Carbon $got_on
 * @property ?Carbon $opened_on
 * @property ?Carbon $best_before
 * @property ?Carbon $ages_on from when it is told as ageing
 * @property bool $food_grade
 * @property list<string> $allergens
 * @property string $note
 * @property ?string $verdict
 * @property ?Carbon $checked_at
 * @property int $version
 * @property-read string $use_until until when it may be used, as the database tells it: never, where its check failed
 * @property-read int $thing what is taken for one another
 * @property-read Collection<int, LotMove> $moves
 * @property-read Collection<int, LotCheck> $checks
 */
class Lot extends Model
{
    use BelongsToHouse, SoftDeletes;

    protected $table = 'lots';

    protected $guarded = [];

    protected $casts = [
        'kind' => LotKind::class,
        'state' => State::class,
        'allergens' => 'array',
        'is_low' => 'boolean',
        'food_grade' => 'boolean',
        'got_on' => 'date',
        'opened_on' => 'date',
        'best_before' => 'date',
        'ages_on' => 'date',
        'checked_at' => 'datetime',
        'version' => 'integer',
    ];

    public function getRouteKeyName(): string
    {
        return 'uid';
    }

    /** @return HasMany<LotMove, $this> */
    public function moves(): HasMany
    {
        return $this->hasMany(LotMove::class);
    }

    /** @return HasMany<LotCheck, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(LotCheck::class);
    }

    public function core(\DateTimeZone $zone): CoreLot
    {
        // As they stand in the row: a moment made of each only to be taken apart again takes as long as the rest.
        $day = fn (string $column) => is_string($is = $this->attributes[$column] ?? null)
            ? new \DateTimeImmutable(substr($is, 0, 10), $zone)
            : null;

        return new CoreLot(
            $this->uid,
            $this->kind,
            $this->material,
            $this->called,
            new Stock(
                (float) $this->got,
                (float) $this->left,
                $this->low_at === null ? null : (float) $this->low_at,
                $this->price === null ? null : (float) $this->price,
            ),
            new LotDates($day('got_on'), $day('opened_on'), $day('best_before')),
            new Origin($this->got_how, $this->food_grade, $this->allergens),
            $this->state,
            $this->form,
            $this->verdict,
        );
    }
}
