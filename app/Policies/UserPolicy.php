<?php

namespace App\Policies;

use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\Models\User;

/** What one person may do for another; the framework finds it by its name. */
final readonly class UserPolicy
{
    public function __construct(private CurrentHouse $current) {}

    /**
     * Whether a keeper of this house may give this person a new password: only when every house the
     * person belongs to is kept by the same keeper, so that one house opens no other; in the demo nobody. To
     * another keeper, or one that was, no keeper does: that is for whoever looks after the machine, by the command.
     */
    public function giveNewPassword(User $keeper, User $person): bool
    {
        $keeps = Membership::query()->where('user_id', $person->id)->where('was_keeper', true)->exists();
        if ($this->current->house()->is_demo || ($keeps && $person->isNot($keeper))) {
            return false;
        }
        $theirs = Membership::query()->where('user_id', $keeper->id)->where('role', Role::Keeper)->pluck('house_id');

        return Membership::query()->where('user_id', $person->id)->whereNotIn('house_id', $theirs)->doesntExist();
    }
}
