<?php

namespace App\Models;

use App\Models\Tenancy\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $house_id
 * @property int $user_id
 * @property Role $role
 * @property bool $was_keeper whether they keep the house, or ever did
 * @property-read House $house
 * @property-read User $user
 */
class Membership extends Model
{
    protected $table = 'memberships';

    protected $guarded = [];

    protected $casts = ['role' => Role::class, 'was_keeper' => 'boolean'];

    protected static function booted(): void
    {
        static::saving(function (self $membership): void {
            if ($membership->role === Role::Keeper) {
                $membership->was_keeper = true;
            }
        });
    }

    /** @return BelongsTo<House, $this> */
    public function house(): BelongsTo
    {
        return $this->belongsTo(House::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
