<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Kettle\Diary\Step;

/**
 * What there is to do, folded from the logbook and written anew with each entry.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $key
 * @property Step $step
 * @property string $place
 * @property Carbon $due_at
 * @property bool $open
 * @property int $minutes
 * @property-read Batch $batch
 */
class Task extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'tasks';

    protected $guarded = [];

    protected $casts = ['due_at' => 'datetime', 'open' => 'boolean', 'step' => Step::class, 'minutes' => 'integer'];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }
}
