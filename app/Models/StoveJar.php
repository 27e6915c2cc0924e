<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The jars of one batch in a session.
 *
 * @property int $id
 * @property int $stove_session_id
 * @property int $batch_id
 * @property ?int $probe_id its own thermometer; else the session's first
 * @property int $count
 * @property string $planned_h
 * @property string $had_h at warmth before it was put in
 * @property ?string $hours at warmth here, when it was taken out
 * @property string $logged_h of them, what its logbook knows
 * @property Carbon $in_at
 * @property ?Carbon $out_at
 * @property-read Batch $batch
 * @property-read StoveSession $session
 */
class StoveJar extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'stove_jars';

    protected $guarded = [];

    protected $casts = ['in_at' => 'datetime', 'out_at' => 'datetime', 'count' => 'integer'];

    /**
     * Jars that stand in a cooker just now, trials apart.
     *
     * @return Builder<StoveJar>
     */
    public static function standing(): Builder
    {
        return self::query()
            ->whereNull('out_at')
            ->whereHas('session', fn (Builder $query) => $query->where('state', '!=', StoveSession::ENDED)->where('speed', 1));
    }

    /** @return BelongsTo<StoveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(StoveSession::class, 'stove_session_id');
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }
}
