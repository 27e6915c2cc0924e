<?php

namespace App\Models;

use App\Models\Tenancy\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something that happened to an account, or to somebody's part in a house.
 *
 * @property int $id
 * @property ?int $house_id
 * @property int $user_id whose account
 * @property ?int $by_id who did it
 * @property string $kind
 * @property ?Role $role the part it is about
 * @property string $from the address it came from; empty where it was the command line
 * @property Carbon $happened_at
 * @property-read User $user
 * @property-read ?User $by
 */
class SecurityEvent extends Model
{
    public $timestamps = false;

    protected $table = 'security_events';

    protected $guarded = [];

    protected $casts = ['role' => Role::class, 'happened_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }
}
