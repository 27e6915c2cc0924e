<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Lines;

/**
 * A line of a batch's logbook. Never changed and never taken out: a correction points at what it corrects.
 *
 * @property int $id
 * @property string $uid
 * @property int $batch_id
 * @property string $by
 * @property string $kind started, task, strained, decanted, bottled, used, checked, kept, purpose, fault, acknowledged,
 *     look, note, discarded or undone
 * @property array<string, mixed> $data
 * @property ?string $note
 * @property ?string $corrects
 * @property Carbon $happened_at
 * @property Carbon $recorded_at
 */
class LogEntry extends Model
{
    use AppendOnly, BelongsToHouse;

    public $timestamps = false;

    protected $table = 'log_entries';

    protected $guarded = [];

    protected $casts = ['data' => 'array', 'happened_at' => 'datetime', 'recorded_at' => 'datetime'];

    /** What it says, as the core reads it. */
    public function line(): Line
    {
        return Lines::read($this->kind, $this->data);
    }
}
