<?php

namespace App\Http\Controllers;

use App\Actions\Houses\CreateHouse;
use App\Actions\People\Links;
use App\Http\Requests;
use App\Models\House;
use App\Models\Membership;
use App\Models\User;
use App\OpenApi\Adds;
use App\OpenApi\Edits;
use App\OpenApi\Reads;
use App\OpenApi\Removes;
use App\OpenApi\Sets;
use App\Pages\Door\DoorPresenter;
use App\Responses\HouseLink;
use App\Responses\InviteView;
use App\Responses\Me;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Coming in and going out: accounts, sessions, passwords, invitations. */
final class DoorController extends Controller
{
    #[Reads('/me', 'Me', 'Who is signed in')]
    public function me(Request $request): JsonResponse
    {
        return $this->json($this->shape($request->user()));
    }

    #[Reads('/example', 'DoorExample', 'One making, for the picture at the door')]
    public function example(DoorPresenter $words): JsonResponse
    {
        return $this->json($words->example());
    }

    #[Adds('/accounts', 'Me', 'Make an account, with a house of its own when one is named', 'MakeAccount')]
    public function makeAccount(Requests\MakeAccount $form, CreateHouse $createHouse): JsonResponse
    {
        $user = DB::transaction(function () use ($form, $createHouse): User {
            $user = User::query()->create([
                'name' => $form->string('name')->trim()->toString(),
                'email' => $form->string('email')->lower()->toString(),
                'password' => $form->string('password')->toString(),
                'prefs' => User::PREFS,
            ]);
            if ($form->filled('house')) {
                $createHouse($user, [
                    'name' => $form->string('house')->trim()->toString(),
                    'time_zone' => $form->string('time_zone', 'UTC')->toString() ?: 'UTC',
                    'measures' => $form->string('measures', 'metric')->toString() ?: 'metric',
                ]);
            }

            return $user;
        });

        return $this->signedIn($form, $user);
    }

    #[Adds('/session', 'Me', 'Sign in', 'SignIn')]
    public function signIn(Requests\SignIn $form): JsonResponse
    {
        $right = Auth::attempt([
            'email' => $form->string('email')->lower()->toString(),
            'password' => $form->string('password')->toString(),
        ]);
        $user = Auth::user();
        if (! $right || ! ($user instanceof User)) {
            throw ValidationException::withMessages([
                'password' => 'The e-mail address and the password do not belong together. Try again, or ask a keeper of your '.
                    'house for a new-password link.',
            ]);
        }

        return $this->signedIn($form, $user);
    }

    #[Removes('/session', '', 'Sign out')]
    public function signOut(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->nothing();
    }

    #[Adds('/demo', 'Me', 'Enter Skerry House')]
    public function enterDemo(Request $request): JsonResponse
    {
        $keeper =
            config('kettle.demo') !== true
                ? null
                : User::query()
                    ->whereHas('memberships', fn ($query) => $query->where('role', 'keeper')->whereRelation('house', 'is_demo', true))
                    ->orderBy('id')
                    ->first();
        if ($keeper === null) {
            throw new NotFoundHttpException();
        }

        return $this->signedIn($request, $keeper);
    }

    #[Sets('/me/password', '', 'Change one\'s password; other devices are signed out', 'ChangePassword')]
    public function changePassword(Requests\ChangePassword $form): JsonResponse
    {
        $user = $this->user($form);
        $user->update(['password' => $form->string('password')->toString()]);
        DB::table('sessions')
            ->where('user_id', $user->id)
            ->where('id', '!=', $form->session()->getId())
            ->delete();
        $form->session()->regenerate();

        return $this->nothing();
    }

    #[Edits('/me', 'Me', 'Change one\'s name and what one likes to see', 'ChangeMe')]
    public function changeMe(Requests\ChangeMe $form): JsonResponse
    {
        $user = $this->user($form);
        $user->update([
            'name' => $form->string('name', $user->name)->toString(),
            'prefs' => [...$user->prefs, ...$form->only(['temperature', 'amounts'])],
        ]);

        return $this->json($this->shape($user));
    }

    #[Adds('/houses', 'Me', 'Make another house', 'MakeHouse')]
    public function makeHouse(Requests\MakeHouse $form, CreateHouse $createHouse): JsonResponse
    {
        /** @var array<string, mixed> $settings */
        $settings = $form->validated();
        $createHouse($this->user($form), $settings);

        return $this->json($this->shape($this->user($form)));
    }

    #[Reads('/invitations/{token}', 'InviteView', 'What an invitation offers')]
    public function invitation(string $token, Links $links): JsonResponse
    {
        $invitation = $links->invitation($token);

        return $this->json(new InviteView($invitation->house->name, $invitation->role->value));
    }

    #[Adds('/invitations/{token}', 'Me', 'Accept an invitation')]
    public function accept(Request $request, string $token, Links $links): JsonResponse
    {
        $links->accept($token, $this->user($request));

        return $this->json($this->shape($this->user($request)));
    }

    #[Adds('/resets/{token}', 'Me', 'Set a new password by a link', 'NewPassword')]
    public function reset(Requests\NewPassword $form, string $token, Links $links): JsonResponse
    {
        return $this->signedIn($form, $links->useReset($token, $form->string('password')->toString()));
    }

    private function signedIn(Request $request, User $user): JsonResponse
    {
        Auth::login($user);
        $request->session()->regenerate();

        return $this->json($this->shape($user));
    }

    private function shape(mixed $user): Me
    {
        $demo = config('kettle.demo') === true && House::query()->where('is_demo', true)->exists();
        if (! ($user instanceof User)) {
            return new Me(false, $demo, '', '', '', 'c', 'metric', []);
        }
        $houses = Membership::query()
            ->where('user_id', $user->id)
            ->with('house')
            ->orderBy('id')
            ->get()
            ->map(fn (Membership $in) => new HouseLink($in->house->uid, $in->house->name, $in->role->value));

        return new Me(
            true,
            $demo,
            $user->uid,
            $user->name,
            $user->email,
            $user->prefs['temperature'],
            $user->prefs['amounts'],
            array_values($houses->all()),
        );
    }
}
