<?php

namespace App\Models;

use App\Models\Casts\AsFrozenBoil;
use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Stage;
use Kettle\Reason\Said;
use Kettle\Recipe\Words;

/**
 * A pot that is boiled down, from its first flame until all of it is gone. The wish and plan stay as they were; the rest is
 * folded from the logbook.
 *
 * @property int $id
 * @property string $uid
 * @property string $code
 * @property string $kind of the pots of data/decoction.json
 * @property array<string, mixed> $wish
 * @property FrozenBoil $plan
 * @property ?array<string, mixed> $label size, start, fields, names and words, as somebody set them
 * @property-read string $name "Cleansing sesame oil"
 * @property Stage $stage
 * @property Carbon $begun_at
 * @property ?Carbon $best_before
 * @property string $left of what came of it, mL or g
 * @property string $stands where it is
 * @property ?string $batch uid of the oil it was bottled as
 * @property int $version
 * @property-read Collection<int, BoilEntry> $entries
 */
class Boil extends Model
{
    use BelongsToHouse, HasUlids;

    protected $table = 'boils';

    protected $guarded = [];

    protected $casts = [
        'wish' => 'array',
        'plan' => AsFrozenBoil::class,
        'label' => 'array',
        'stage' => Stage::class,
        'begun_at' => 'datetime',
        'best_before' => 'date',
        'version' => 'integer',
    ];

    /** @return Attribute<string, never> */
    protected function name(): Attribute
    {
        return Attribute::get(fn () => app(Words::class)->of(self::called($this->plan)));
    }

    /** Its name as a sentence keeps it. */
    public static function called(FrozenBoil $plan): Said
    {
        $of = ['of' => ['all' => $plan->of]];
        $none = $plan->of === [];

        return match ($plan->kind) {
            'cleanse' => Said::of('boil.cleanse', ['of' => $plan->of[0] ?? '']),
            'cook' => count($plan->of) < 2
                ? Said::of('boil.cook', ['of' => $plan->of[0] ?? ''])
                : Said::of('boil.cook-herbs', ['of' => ['all' => array_slice($plan->of, 1)], 'oil' => $plan->of[0]]),
            'glycerin' => $none ? Said::of('boil.glycerin') : Said::of('boil.glycerin-of', $of),
            default => $none ? Said::of('boil.decoction') : Said::of('boil.decoction-of', $of),
        };
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

    /** @return HasMany<BoilEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(BoilEntry::class);
    }
}
