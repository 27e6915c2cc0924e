<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link with which one person sets a new password, once.
 *
 * @property string $token_hash
 * @property Carbon $expires_at
 * @property-read User $user
 */
class Reset extends Model
{
    protected $table = 'resets';

    protected $guarded = [];

    protected $casts = ['expires_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
