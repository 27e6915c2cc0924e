<?php

namespace App\Actions\People;

use App\Models\House;
use App\Models\SecurityEvent;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** Writes down what happens to accounts and to who may do what, as it happens. */
final readonly class Trail
{
    public const SIGNED_IN = 'signed-in';

    public const REFUSED = 'refused';

    public const SIGNED_OUT = 'signed-out';

    public const PASSWORD = 'password';

    public const LINK_MADE = 'link-made';

    public const LINK_USED = 'link-used';

    public const JOINED = 'joined';

    public const PART = 'part';

    public const TAKEN_OFF = 'taken-off';

    public const ASKED_IN = 'asked-in';

    public const SECOND_ON = 'second-on';

    public const SECOND_OFF = 'second-off';

    public const CODE_REFUSED = 'code-refused';

    public const PAPER_CODE = 'paper-code';

    public const PAPER_CODES = 'paper-codes';

    public const HOUSE_GOES = 'house-goes';

    public const HOUSE_STAYS = 'house-stays';

    public const ACCOUNT_GOES = 'account-goes';

    public const ACCOUNT_STAYS = 'account-stays';

    public function __construct(private Request $request) {}

    /**
     * About somebody's account: told to the keepers of every house they are of.
     *
     * @param  ?string  $from empty of the machine itself; null of who asks
     */
    public function account(string $kind, User $whose, ?User $by = null, ?string $from = null): void
    {
        $this->write($kind, $whose, $by, null, null, $from);
    }

    /** About somebody's part in a house: told there. */
    public function part(string $kind, House $house, User $whose, ?User $by, ?Role $role): void
    {
        $this->write($kind, $whose, $by, $house, $role);
    }

    private function write(string $kind, User $whose, ?User $by, ?House $house, ?Role $role, ?string $from = null): void
    {
        SecurityEvent::query()->create([
            'house_id' => $house?->id,
            'user_id' => $whose->id,
            'by_id' => ($by ?? $whose)->id,
            'kind' => $kind,
            'role' => $role,
            'from' => $from ?? (string) $this->request->ip(),
            'happened_at' => Carbon::now(),
        ]);
    }
}
