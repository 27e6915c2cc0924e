<?php

namespace App\Pages\House;

use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use App\Responses\House\Invite;
use App\Responses\House\People;
use App\Responses\House\Person;
use Illuminate\Support\Carbon;
use Kettle\Time\Dates;

/** Who is of the house, and who was asked in. */
final readonly class PeoplePage
{
    public function __construct(private CurrentHouse $current) {}

    public function for(User $you): People
    {
        $people = Membership::query()
            ->where('house_id', $this->current->house()->id)
            ->with('user')
            ->orderBy('id')
            ->get()
            ->map(
                fn (Membership $m) => new Person(
                    $m->user->uid,
                    $m->user->name,
                    $m->user->email,
                    $m->role->value,
                    $m->user_id === $you->id,
                    $m->was_keeper,
                ),
            );
        $open = Invitation::query()
            ->whereNull('used_at')
            ->where('expires_at', '>', Carbon::now())
            ->orderBy('id')
            ->get()
            ->map(fn (Invitation $i) => new Invite($i->uid, $i->role->value, $this->until($i->expires_at), null));

        return new People(array_values($people->all()), array_values($open->all()));
    }

    /** "3 December, 14:05", by the house's clock */
    public function until(Carbon $moment): string
    {
        return Dates::say($moment->copy()->setTimezone($this->current->house()->time_zone), 'day_of_year_moment');
    }
}
