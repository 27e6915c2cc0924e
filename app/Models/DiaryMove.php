<?php

namespace App\Models;

use App\Models\Casts\AsSaid;
use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Kettle\Reason\Said;

/**
 * A warm session that the diary moved, and why; gone once somebody has seen it.
 *
 * @property int $id
 * @property int $batch_id
 * @property Carbon $was_at
 * @property Carbon $is_at
 * @property ?Said $why
 * @property Carbon $moved_at
 * @property-read Batch $batch
 */
class DiaryMove extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'diary_moves';

    protected $guarded = [];

    protected $casts = ['why' => AsSaid::class, 'was_at' => 'datetime', 'is_at' => 'datetime', 'moved_at' => 'datetime'];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }
}
