<?php

namespace App\Actions\People;

use App\Models\House;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Reset;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Invitations and new-password links. Only a hash of each is kept, so a link can be read once, when it is made.
 */
final readonly class Links
{
    /** @return array{Invitation, string} the invitation and its secret */
    public function invite(Role $role, User $by): array
    {
        $token = Str::random(40);
        $invitation = Invitation::query()->create([
            'role' => $role,
            'token_hash' => self::hash($token),
            'made_by' => $by->id,
            'expires_at' => Carbon::now()->addDays(config()->integer('kettle.invitation_days')),
        ]);

        return [$invitation, $token];
    }

    /** @throws NotFoundHttpException when it was used, withdrawn, never made, or is too old */
    public function invitation(string $token): Invitation
    {
        // Read before any house is entered: the secret itself is what opens the door.
        $invitation = Invitation::query()->withoutGlobalScope('house')->with('house')->where('token_hash', self::hash($token))->first();

        return $invitation !== null && $invitation->isOpen() ? $invitation : throw new NotFoundHttpException();
    }

    public function accept(string $token, User $user): Membership
    {
        return DB::transaction(function () use ($token, $user): Membership {
            $invitation = $this->invitation($token);
            $taken = DB::table('invitations')
                ->where('uid', $invitation->uid)
                ->whereNull('used_at')
                ->update(['used_at' => Carbon::now()]);
            if ($taken === 0) {
                throw new NotFoundHttpException();
            }

            // Somebody already of the house keeps the part they have.
            return Membership::query()->firstOrCreate(
                ['house_id' => $invitation->house_id, 'user_id' => $user->id],
                ['role' => $invitation->role],
            );
        });
    }

    /** @return string the secret of a new-password link */
    public function reset(User $user): string
    {
        $token = Str::random(40);
        Reset::query()->where('user_id', $user->id)->delete();
        Reset::query()->create([
            'user_id' => $user->id,
            'token_hash' => self::hash($token),
            'expires_at' => Carbon::now()->addHours(config()->integer('kettle.reset_hours')),
        ]);

        return $token;
    }

    /** @throws NotFoundHttpException when the link was used, never made, or is too old */
    public function whose(string $token): User
    {
        $reset = Reset::query()->with('user')->where('token_hash', self::hash($token))->first();

        return $reset === null || $reset->expires_at->isPast() ? throw new NotFoundHttpException() : $reset->user;
    }

    /** @throws NotFoundHttpException when the link was used, never made, or is too old */
    public function useReset(string $token, string $password): User
    {
        return DB::transaction(function () use ($token, $password): User {
            $reset = Reset::query()->with('user')->where('token_hash', self::hash($token))->lockForUpdate()->first();
            if ($reset === null || $reset->expires_at->isPast()) {
                throw new NotFoundHttpException();
            }
            $user = $reset->user;
            $user->update(['password' => $password]);
            $reset->delete();
            // Whoever is signed in elsewhere with the old password is signed out.
            SignedIn::rows()->where('user_id', $user->id)->delete();

            return $user;
        });
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
