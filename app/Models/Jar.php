<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Kettle\Vessel\Jar as CoreJar;
use Kettle\Vessel\Marks;

/**
 * A jar size, a bowl or a pan on the house's list. Taken off the list it is kept, for the batches made in it.
 *
 * @property string $uid
 * @property string $called
 * @property string $brim_ml
 * @property string $height_mm
 * @property 'bowl'|'jar'|'pan' $kind
 * @property ?list<array{ml: float, mm: float}> $marks where it is no cylinder
 */
class Jar extends Model
{
    use BelongsToHouse, SoftDeletes;

    protected $table = 'jars';

    protected $guarded = [];

    protected $attributes = ['kind' => CoreJar::JAR];

    protected $casts = ['marks' => 'array'];

    public function core(): CoreJar
    {
        return CoreJar::measured(
            $this->uid,
            $this->called,
            (float) $this->brim_ml,
            (float) $this->height_mm,
            $this->kind,
            Marks::kept($this->marks ?? []),
        );
    }
}
