<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * How many of a kind a house has, as the database counts them with each row: batches by their stage, lots that still hold
 * something by their kind.
 *
 * @property string $what table
 * @property string $kind
 * @property int $many
 */
class Tally extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'tallies';

    protected $casts = ['many' => 'integer'];

    /** @return array<string, int> by kind, of which there are any */
    public static function of(string $what): array
    {
        $tallies = self::query()->where('what', $what)->where('many', '>', 0)->get();

        return $tallies->mapWithKeys(fn (self $each) => [$each->kind => $each->many])->all();
    }
}
