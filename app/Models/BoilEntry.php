<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Kettle\Batch\Line\Line;
use Kettle\Boiling\Lines;

/**
 * A line of a pot's logbook.
 *
 * @property int $id
 * @property string $uid
 * @property int $boil_id
 * @property string $by
 * @property string $kind of Kettle\Boiling\Lines::KINDS
 * @property array<string, mixed> $data
 * @property ?string $note
 * @property ?string $corrects
 * @property Carbon $happened_at
 * @property Carbon $recorded_at
 */
class BoilEntry extends Model
{
    use AppendOnly, BelongsToHouse;

    public $timestamps = false;

    protected $table = 'boil_entries';

    protected $guarded = [];

    protected $casts = ['data' => 'array', 'happened_at' => 'datetime', 'recorded_at' => 'datetime'];

    /** What it says, as the core reads it. */
    public function line(): Line
    {
        return Lines::read($this->kind, $this->data);
    }
}
