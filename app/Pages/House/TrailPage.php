<?php

namespace App\Pages\House;

use App\Actions\People\Trail;
use App\House\Times;
use App\Models\Membership;
use App\Models\SecurityEvent;
use App\Models\Tenancy\CurrentHouse;
use App\Responses\House\TrailEvent;
use App\Responses\House\TrailView;

/** What happened to accounts and to who may do what, in words, for a keeper. */
final readonly class TrailPage
{
    private const MANY = 30;

    public function __construct(private CurrentHouse $current, private Times $times) {}

    public function before(?int $id): TrailView
    {
        $house = $this->current->house()->id;
        // Of the house that anybody may enter, nobody is told from where others came.
        $demo = $this->current->house()->is_demo;
        $events = SecurityEvent::query()
            ->where(
                fn ($query) => $query
                    ->where('house_id', $house)
                    ->orWhere(
                        fn ($account) => $account
                            ->whereNull('house_id')
                            ->whereIn('user_id', Membership::query()->where('house_id', $house)->select('user_id')),
                    ),
            )
            ->when($id !== null, fn ($query) => $query->where('id', '<', $id))
            ->with(['user', 'by'])
            ->orderByDesc('id')
            ->limit(self::MANY + 1)
            ->get();
        $more = $events->count() > self::MANY;
        $told = $events->take(self::MANY);

        return new TrailView(
            array_values(
                $told
                    ->map(
                        fn (SecurityEvent $event) => new TrailEvent(
                            $event->id,
                            self::says($event),
                            $this->times->logged($event->happened_at),
                            $demo && $event->from !== '' ? 'somewhere' : $event->from,
                        ),
                    )
                    ->all(),
            ),
            $more ? $told->last()?->id : null,
        );
    }

    private static function says(SecurityEvent $event): string
    {
        $who = $event->user->name;
        $by = $event->by_id === $event->user_id ? $who : $event->by->name ?? 'Somebody';
        $role = $event->role->value ?? 'reader';

        return match ($event->kind) {
            Trail::SIGNED_IN => "{$who} signed in",
            Trail::REFUSED => "A wrong password was given for {$who}",
            Trail::SIGNED_OUT => "{$who} was signed out elsewhere",
            Trail::PASSWORD => "{$who} changed the password",
            Trail::LINK_MADE => $by === $who ? "A new-password link was made for {$who}" : "{$by} made a new-password link for {$who}",
            Trail::LINK_USED => "{$who} set a new password by a link",
            Trail::JOINED => "{$who} came in, as a {$role}",
            Trail::PART => "{$by} made {$who} a {$role}",
            Trail::TAKEN_OFF => "{$by} took {$who} off",
            Trail::ASKED_IN => "{$by} made an invitation for a {$role}",
            Trail::SECOND_ON => "{$who} put a second step at the door",
            Trail::SECOND_OFF => "{$who} took the second step from the door",
            Trail::CODE_REFUSED => "A wrong code was given for {$who}, after the right password",
            Trail::PAPER_CODE => "{$who} came in by a code from paper",
            Trail::PAPER_CODES => "{$who} made new codes for paper",
            Trail::HOUSE_GOES => "{$who} ends this house",
            Trail::HOUSE_STAYS => "{$who} keeps this house after all",
            Trail::ACCOUNT_GOES => "{$who} ends the account",
            Trail::ACCOUNT_STAYS => "{$who} keeps the account after all",
            default => "Something happened to the account of {$who}",
        };
    }
}
