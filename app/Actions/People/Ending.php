<?php

namespace App\Actions\People;

use App\Actions\Transfers\Transfers;
use App\Models\House;
use App\Models\Membership;
use App\Models\Transfer;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Ends a house or an account, after days in which it can be taken back. */
final readonly class Ending
{
    public function __construct(private Transfers $transfers, private Trail $trail) {}

    /**
     * All of the house is deleted then, for everybody of it.
     *
     * @param  string  $name as it was typed, to be sure which
     *
     * @throws EndingException
     */
    public function house(House $house, User $by, string $name): void
    {
        ! $house->is_demo || throw EndingException::ofAll();
        mb_strtolower(trim($name)) === mb_strtolower($house->name) || throw EndingException::anotherName($house->name);
        $this->transfers->there(Transfer::OUT)?->state === Transfer::DONE || throw EndingException::notOut();
        $house->update(['goes_at' => $house->goes_at ?? self::then()]);
        $this->trail->part(Trail::HOUSE_GOES, $house, $by, $by, null);
    }

    public function keepHouse(House $house, User $by): void
    {
        if ($house->goes_at !== null) {
            $house->update(['goes_at' => null]);
            $this->trail->part(Trail::HOUSE_STAYS, $house, $by, $by, null);
        }
    }

    /** @throws EndingException where a house would have no keeper */
    public function account(User $user): void
    {
        $keeps = self::keptAlone($user);
        $keeps === [] || throw EndingException::keeps($keeps);
        $user->memberships()->whereRelation('house', 'is_demo', true)->doesntExist() || throw EndingException::ofAll();
        $user->update(['goes_at' => $user->goes_at ?? self::then()]);
        $this->trail->account(Trail::ACCOUNT_GOES, $user);
    }

    public function keepAccount(User $user): void
    {
        if ($user->goes_at !== null) {
            $user->update(['goes_at' => null]);
            $this->trail->account(Trail::ACCOUNT_STAYS, $user);
        }
    }

    /** Deletes what had its days. Lines of logbooks keep the name of who wrote them, and nothing else of an account. */
    public static function sweep(): void
    {
        House::query()->where('goes_at', '<', Carbon::now())->delete();
        foreach (User::query()->where('goes_at', '<', Carbon::now())->get() as $user) {
            DB::transaction(function () use ($user): void {
                // Who was made the last keeper meanwhile is not taken away from a house.
                if (self::keptAlone($user) === []) {
                    SignedIn::rows()->where('user_id', $user->id)->delete();
                    User::query()->whereKey($user->id)->where('goes_at', '<', Carbon::now())->delete();
                } else {
                    $user->update(['goes_at' => null]);
                }
            });
        }
    }

    /** @return list<string> houses that have no other keeper, by name; those that go themselves apart */
    private static function keptAlone(User $user): array
    {
        $alone = Membership::query()
            ->where('user_id', $user->id)
            ->whereHas('house', fn ($query) => $query->whereNull('goes_at'))
            ->with('house')
            ->get()
            ->filter(fn (Membership $in) => $in->keepsAlone());

        return array_values($alone->map(fn (Membership $in) => $in->house->name)->all());
    }

    private static function then(): Carbon
    {
        return Carbon::now()->addDays(config()->integer('kettle.ending_days'));
    }
}
