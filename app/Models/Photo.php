<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A picture of the oil, made small and without its metadata.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $uid
 * @property string $jpeg
 */
class Photo extends Model
{
    use BelongsToHouse;

    protected $table = 'photos';

    protected $guarded = [];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    public function getRouteKeyName(): string
    {
        return 'uid';
    }
}
