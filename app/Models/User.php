<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property string $uid
 * @property string $name
 * @property string $email
 * @property string $password
 * @property ?Carbon $goes_at when the account is deleted
 * @property array{temperature: 'c'|'f', amounts: 'kitchen'|'metric'} $prefs
 */
class User extends Authenticatable
{
    use HasUlids, QuickReads;

    public const PREFS = ['temperature' => 'c', 'amounts' => 'metric'];

    protected $table = 'users';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'prefs' => 'array', 'goes_at' => 'datetime'];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['uid'];
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }
}
