<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Kettle\Diary\CookerPlace;
use Kettle\Vessel\Cooker as CoreCooker;
use Kettle\Warmth\Heater;

/**
 * A cooker of the house. Taken off the list it is kept, for the sessions held in it.
 *
 * @property int $id
 * @property string $uid
 * @property string $called
 * @property string $shape
 * @property string $length_mm
 * @property string $width_mm
 * @property string $height_mm
 * @property list<string> $methods ids of the methods it does for
 * @property list<array{name: string, watts: float|int}> $settings
 * @property string $loss_w_per_k
 * @property string $vessel_j_per_k
 * @property array{on: string, watts_error: float, loss_error: float}|null $learned
 */
class Cooker extends Model
{
    use BelongsToHouse, SoftDeletes;

    protected $table = 'cookers';

    protected $guarded = [];

    protected $casts = ['methods' => 'array', 'settings' => 'array', 'learned' => 'array'];

    public function core(): CoreCooker
    {
        return CoreCooker::measured(
            $this->uid,
            $this->called,
            $this->shape,
            (float) $this->length_mm,
            (float) $this->width_mm,
            (float) $this->height_mm,
        );
    }

    /** Whether something stands in it, by the clock: a trial takes no place. */
    public function inUse(): bool
    {
        return StoveSession::query()->where('cooker_id', $this->id)->where('state', '!=', StoveSession::ENDED)->where('speed', 1)->exists();
    }

    /** @param  bool  $water whether jars stand in water in it */
    public function place(bool $water, float $roomC): CookerPlace
    {
        $settings = array_map(fn (array $each) => ['name' => $each['name'], 'watts' => (float) $each['watts']], $this->settings);

        return new CookerPlace(
            $this->core(),
            $this->methods,
            $settings === []
                ? null
                : new Heater(
                    $this->core(),
                    $settings,
                    (float) $this->loss_w_per_k,
                    (float) $this->vessel_j_per_k,
                    $water,
                    $this->learned !== null,
                ),
            $roomC,
        );
    }
}
