<?php

namespace App\Http\Controllers;

use App\Actions\Houses\CreateHouse;
use App\Actions\People\Links;
use App\Actions\People\Registration;
use App\Actions\People\SecondStepAtDoor;
use App\Actions\People\SignedIn;
use App\Actions\People\Trail;
use App\Http\Middleware\StartSession;
use App\Http\Requests;
use App\Models\House;
use App\Models\Membership;
use App\Models\User;
use App\OpenApi\Operation;
use App\Pages\Door\DoorPresenter;
use App\Responses\Door\DoorExample;
use App\Responses\Door\HouseLink;
use App\Responses\Door\InviteView;
use App\Responses\Door\Me;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Coming in and going out: accounts, sessions, passwords, invitations. */
final class DoorController extends Controller
{
    public function __construct(private readonly Trail $trail, private readonly SecondStepAtDoor $second) {}

    #[Operation('Who is signed in')]
    public function me(Request $request): Me
    {
        return $this->shape($request->user());
    }

    #[Operation('One making, for the picture at the door')]
    public function example(DoorPresenter $words): DoorExample
    {
        return $words->example();
    }

    #[Operation('Make an account, with a house of its own when one is named')]
    public function makeAccount(Requests\MakeAccount $form, CreateHouse $createHouse): Me
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

    #[Operation('Sign in')]
    public function signIn(Requests\SignIn $form): Me
    {
        // The second step is asked for, where there is one, of who has the right password, and before anybody is in.
        $right = Auth::attemptWhen(
            ['email' => $form->string('email')->lower()->toString(), 'password' => $form->string('password')->toString()],
            function (User $user) use ($form): bool {
                $this->second->pass($user, $form->string('code')->toString());

                return true;
            },
        );
        $user = Auth::user();
        if (! $right || ! ($user instanceof User)) {
            $this->refused($form->string('email')->lower()->toString());
            throw ValidationException::withMessages([
                'password' => 'The e-mail address and the password do not belong together. Try again, or ask a keeper of your '.
                    'house for a new-password link.',
            ]);
        }

        $this->trail->account(Trail::SIGNED_IN, $user);

        return $this->signedIn($form, $user);
    }

    /**
     * Of an address that nobody here has there is nothing to tell. Written when the answer is on its way, so that it takes as
     * long whether there is somebody or not.
     */
    private function refused(string $email): void
    {
        defer(function () use ($email): void {
            $user = User::query()->where('email', $email)->first();
            $user === null || $this->trail->account(Trail::REFUSED, $user);
        })->always();
    }

    #[Operation('Sign out')]
    public function signOut(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->nothing();
    }

    #[Operation('Enter Skerry House')]
    public function enterDemo(Request $request): Me
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

    #[Operation('Change one\'s password; other devices are signed out')]
    public function changePassword(Requests\ChangePassword $form): Response
    {
        $user = $this->user($form);
        $user->update(['password' => $form->string('password')->toString()]);
        $this->trail->account(Trail::PASSWORD, $user);
        SignedIn::rows()
            ->where('user_id', $user->id)
            ->where('id', '!=', $form->session()->getId())
            ->delete();
        $form->session()->regenerate();

        return $this->nothing();
    }

    #[Operation('Change one\'s name and what one likes to see')]
    public function changeMe(Requests\ChangeMe $form): Me
    {
        $user = $this->user($form);
        $user->update([
            'name' => $form->string('name', $user->name)->toString(),
            'prefs' => [...$user->prefs, ...$form->only(['temperature', 'amounts'])],
        ]);

        return $this->shape($user);
    }

    #[Operation('Make another house')]
    public function makeHouse(Requests\MakeHouse $form, CreateHouse $createHouse): Me
    {
        /** @var array<string, mixed> $settings */
        $settings = $form->validated();
        $createHouse($this->user($form), $settings);

        return $this->shape($this->user($form));
    }

    #[Operation('What an invitation offers')]
    public function invitation(string $token, Links $links): InviteView
    {
        $invitation = $links->invitation($token);

        return new InviteView($invitation->house->name, $invitation->role->value);
    }

    #[Operation('Accept an invitation')]
    public function accept(Request $request, string $token, Links $links): Me
    {
        $joined = $links->accept($token, $this->user($request));
        $this->trail->part(Trail::JOINED, $joined->house, $this->user($request), null, $joined->role);

        return $this->shape($this->user($request));
    }

    #[Operation('Set a new password by a link')]
    public function reset(Requests\NewPassword $form, string $token, Links $links): Me
    {
        $this->second->pass($links->whose($token), $form->string('code')->toString());
        $user = $links->useReset($token, $form->string('password')->toString());
        $this->trail->account(Trail::LINK_USED, $user);

        return $this->signedIn($form, $user);
    }

    private function signedIn(Request $request, User $user): Me
    {
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->put(StartSession::BEGAN, Carbon::now()->getTimestamp());

        return $this->shape($user);
    }

    /** By the house's own clock: it is not entered here. */
    private static function goes(House $house): ?string
    {
        return $house->goes_at?->copy()->setTimezone($house->time_zone)->format('j M');
    }

    private function shape(mixed $user): Me
    {
        $demo = config('kettle.demo') === true && House::query()->where('is_demo', true)->exists();
        if (! ($user instanceof User)) {
            return new Me(false, $demo, '', '', '', 'c', 'metric', [], Registration::here()->value);
        }
        $houses = Membership::query()
            ->where('user_id', $user->id)
            ->with('house')
            ->orderBy('id')
            ->get()
            // Who looks around enters the house that is shown, whatever others were begun beside it.
            ->sortByDesc(fn (Membership $in) => $in->house->is_demo)
            ->map(fn (Membership $in) => new HouseLink($in->house->uid, $in->house->name, $in->role->value, self::goes($in->house)));

        return new Me(
            true,
            $demo,
            $user->uid,
            $user->name,
            $user->email,
            $user->prefs['temperature'],
            $user->prefs['amounts'],
            array_values($houses->all()),
            Registration::here()->value,
        );
    }
}
