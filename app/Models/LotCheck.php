<?php

namespace App\Models;

use App\Models\Casts\AsSaid;
use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Kettle\Reason\Said;

/**
 * How a lot smelled and looked on a day, and the verdict.
 *
 * @property int $lot_id
 * @property string $uid
 * @property 'past'|'soon'|'sound' $verdict
 * @property ?Said $says
 * @property array<string, string> $answers
 * @property string $by
 * @property Carbon $happened_at
 */
class LotCheck extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'lot_checks';

    protected $guarded = [];

    protected $casts = ['says' => AsSaid::class, 'answers' => 'array', 'happened_at' => 'datetime'];
}
