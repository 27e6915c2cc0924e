<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a batch gave, as the next plan learns from it. Folded from the logbook, and made again with it.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $form of HerbMix::uptakeKey
 * @property string $way
 * @property string $oil_ml
 * @property string $out_ml
 * @property string $dry_g
 * @property float $uptake mL left in each g
 * @property float $variance
 * @property Carbon $strained_at
 * @property-read ?Batch $batch
 */
class BatchYield extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'yields';

    protected $guarded = [];

    protected $casts = [
        'oil_ml' => 'decimal:3',
        'out_ml' => 'decimal:3',
        'dry_g' => 'decimal:3',
        'uptake' => 'float',
        'variance' => 'float',
        'strained_at' => 'datetime',
    ];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }
}
