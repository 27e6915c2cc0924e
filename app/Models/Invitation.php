<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use App\Models\Tenancy\Role;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property string $uid
 * @property int $house_id
 * @property Role $role
 * @property string $token_hash
 * @property Carbon $expires_at
 * @property ?Carbon $used_at
 * @property-read House $house
 */
class Invitation extends Model
{
    use BelongsToHouse, HasUlids;

    protected $table = 'invitations';

    protected $guarded = [];

    protected $casts = ['role' => Role::class, 'expires_at' => 'datetime', 'used_at' => 'datetime'];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['uid'];
    }

    public function isOpen(): bool
    {
        return $this->used_at === null && $this->expires_at->isFuture();
    }
}
