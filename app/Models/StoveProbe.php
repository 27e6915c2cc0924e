<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;

/**
 * A thermometer in a session, with what its readings come to so far.
 *
 * @property int $stove_session_id
 * @property int $probe_id
 * @property array<string, mixed> $gathered
 * @property-read Probe $probe
 * @property-read StoveSession $session
 */
class StoveProbe extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'stove_probes';

    protected $guarded = [];

    protected $casts = ['gathered' => 'array'];

    /** @return BelongsTo<StoveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(StoveSession::class, 'stove_session_id');
    }

    /** @return BelongsTo<Probe, $this> */
    public function probe(): BelongsTo
    {
        $probe = $this->belongsTo(Probe::class);
        // One taken off the list is still the one that measured.
        $probe->getQuery()->withoutGlobalScope(SoftDeletingScope::class);

        return $probe;
    }
}
