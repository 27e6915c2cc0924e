<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * What came into a lot or went out of it. Never changed: a wrong count is followed by another.
 *
 * @property int $id
 * @property string $uid
 * @property int $lot_id
 * @property string $kind in, taken, topped, back, count, filed (counted as a file says) or righted (what was got was put right)
 * @property string $amount g, mL or pieces; below zero when it went out
 * @property ?int $batch_id
 * @property ?int $making_id
 * @property ?int $boil_id
 * @property string $by
 * @property string $note
 * @property Carbon $happened_at
 * @property-read Lot $lot
 * @property-read ?Batch $batch
 * @property-read ?Making $making
 * @property-read ?Boil $boil
 */
class LotMove extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'lot_moves';

    protected $guarded = [];

    protected $casts = ['happened_at' => 'datetime'];

    /**
     * Also a lot that has been taken out: what was made from it must still know it.
     *
     * @return BelongsTo<Lot, $this>
     */
    public function lot(): BelongsTo
    {
        $lot = $this->belongsTo(Lot::class);
        $lot->getQuery()->withoutGlobalScope(SoftDeletingScope::class);

        return $lot;
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return BelongsTo<Boil, $this> */
    public function boil(): BelongsTo
    {
        return $this->belongsTo(Boil::class);
    }

    /** @return BelongsTo<Making, $this> */
    public function making(): BelongsTo
    {
        return $this->belongsTo(Making::class);
    }
}
