<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A thermometer: one that sends with a key, one that is simulated, or a person's own eye.
 *
 * @property int $id
 * @property int $house_id
 * @property string $uid
 * @property string $called
 * @property string $kind hand, sends or simulated
 * @property ?string $key_hash
 * @property array<string, mixed>|null $state
 */
class Probe extends Model
{
    use BelongsToHouse, SoftDeletes;

    public const HAND = 'hand';

    public const SENDS = 'sends';

    public const SIMULATED = 'simulated';

    protected $table = 'probes';

    protected $guarded = [];

    protected $casts = ['state' => 'array'];

    /** Whether it stands in a pot that is not over; an eye can look into several. */
    public function stands(): bool
    {
        return $this->kind !== self::HAND &&
            StoveProbe::query()
                ->where('probe_id', $this->id)
                ->whereHas('session', fn ($query) => $query->where('state', '!=', StoveSession::ENDED))
                ->exists();
    }
}
