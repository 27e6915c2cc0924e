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
    use QuickReads;

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

    /** Whether nobody else keeps the house; held so until what is done by it is done. */
    public function keepsAlone(): bool
    {
        return $this->role === Role::Keeper &&
            self::query()
                ->where('house_id', $this->house_id)
                ->where('role', Role::Keeper)
                ->where('user_id', '!=', $this->user_id)
                ->lockForUpdate()
                ->doesntExist();
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
