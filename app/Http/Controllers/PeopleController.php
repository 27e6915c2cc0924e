<?php

namespace App\Http\Controllers;

use App\Actions\Clash;
use App\Actions\People\Links;
use App\Actions\People\Trail;
use App\Http\Requests;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\OpenApi\Operation;
use App\Pages\House\PeoplePage;
use App\Pages\House\TrailPage;
use App\Responses\House\Invite;
use App\Responses\House\Link;
use App\Responses\House\People;
use App\Responses\House\TrailView;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The people of a house: who they are, their part, and who is asked in. */
final class PeopleController extends Controller
{
    public function __construct(
        private readonly CurrentHouse $current,
        private readonly Links $links,
        private readonly PeoplePage $page,
        private readonly Trail $trail,
    ) {}

    #[Operation('Who is of the house')]
    public function index(Request $request): People
    {
        return $this->page->for($this->user($request));
    }

    #[Operation('What happened to accounts and to who may do what', query: ['before' => '^\d{1,15}$'])]
    public function trail(Request $request, TrailPage $trail): TrailView
    {
        $before = $this->asked($request, 'before');

        return $trail->before($before === '' ? null : (int) $before);
    }

    #[Operation('Give somebody another part')]
    public function changeRole(Requests\ChangeRole $form, string $person): People
    {
        $membership = $this->membership($person);
        $this->keepAKeeper($membership, Role::from($form->string('role')->toString()));
        $membership->update(['role' => $form->string('role')->toString()]);
        $this->trail->part(Trail::PART, $this->current->house(), $membership->user, $this->user($form), $membership->role);

        return $this->page->for($this->user($form));
    }

    #[Operation('Take somebody off; their entries stay')]
    public function remove(Request $request, string $person): People
    {
        $membership = $this->membership($person);
        $this->keepAKeeper($membership, null);
        $membership->delete();
        $this->trail->part(Trail::TAKEN_OFF, $this->current->house(), $membership->user, $this->user($request), null);

        return $this->page->for($this->user($request));
    }

    #[Operation('A new-password link for somebody, to pass on')]
    public function reset(Request $request, string $person): Link
    {
        $membership = $this->membership($person);
        Gate::authorize('giveNewPassword', $membership->user);

        $this->trail->account(Trail::LINK_MADE, $membership->user, $this->user($request));

        return new Link(
            url('/new-password/'.$this->links->reset($membership->user)),
            $this->page->until(Carbon::now()->addHours(config()->integer('kettle.reset_hours'))),
        );
    }

    #[Operation('Ask somebody in, by a link to pass on')]
    public function invite(Requests\AskIn $form): Invite
    {
        [$invitation, $token] = $this->links->invite(Role::from($form->string('role')->toString()), $this->user($form));

        $this->trail->part(Trail::ASKED_IN, $this->current->house(), $this->user($form), null, $invitation->role);

        return new Invite($invitation->uid, $invitation->role->value, $this->page->until($invitation->expires_at), url('/join/'.$token));
    }

    #[Operation('Withdraw an invitation')]
    public function withdraw(Request $request, string $invitation): People
    {
        $found = Invitation::query()->where('uid', $invitation)->first() ?? throw new NotFoundHttpException();
        $found->delete();

        return $this->page->for($this->user($request));
    }

    private function membership(string $person): Membership
    {
        return Membership::query()
            ->where('house_id', $this->current->house()->id)
            ->whereRelation('user', 'uid', $person)
            ->with('user')
            ->first() ?? throw new NotFoundHttpException();
    }

    /** @throws Clash when the house would be left without a keeper */
    private function keepAKeeper(Membership $membership, ?Role $next): void
    {
        if ($next !== Role::Keeper && $membership->keepsAlone()) {
            throw new Clash('A house needs a keeper. Make somebody else a keeper first.');
        }
    }
}
