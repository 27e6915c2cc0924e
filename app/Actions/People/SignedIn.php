<?php

namespace App\Actions\People;

use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Where somebody is signed in. A session is called by a digest of its number, for who knows that number is in. */
final class SignedIn
{
    private const MANY = 50;

    /** What a browser says of itself, and what it is called; the first that is in it. */
    private const BROWSERS = ['Firefox/' => 'Firefox', 'Edg/' => 'Edge', 'OPR/' => 'Opera', 'Chrome/' => 'Chrome', 'Safari/' => 'Safari'];

    private const SYSTEMS = [
        'Android' => 'Android',
        'iPhone' => 'iPhone',
        'iPad' => 'iPad',
        'Windows' => 'Windows',
        'Mac OS X' => 'Mac',
        'Linux' => 'Linux',
    ];

    /** @return list<array{id: string, with: string, from: string, used: Carbon, here: bool}> the last used first */
    public function all(User $user, string $here): array
    {
        $rows = $this->of($user, $here)
            ->orderByDesc('last_activity')
            ->limit(self::MANY)
            ->get(['id', 'ip_address', 'user_agent', 'last_activity']);
        $all = [];
        /** @var object{id: string, ip_address: ?string, user_agent: ?string, last_activity: int} $row */
        foreach ($rows as $row) {
            $all[] = [
                'id' => self::called($row->id),
                'with' => self::browser((string) $row->user_agent),
                'from' => (string) $row->ip_address,
                'used' => Carbon::createFromTimestamp($row->last_activity),
                'here' => $row->id === $here,
            ];
        }

        return $all;
    }

    /** All of them. They may stand in a database of their own, which is in no backup and no log. */
    public static function rows(): Builder
    {
        return DB::table(config()->string('session.table'));
    }

    /** Signs one out; whether there was one. */
    public function end(User $user, string $called, string $here): bool
    {
        foreach ($this->of($user, $here)->pluck('id') as $id) {
            if (is_string($id) && hash_equals(self::called($id), $called)) {
                return self::rows()->where('id', $id)->delete() > 0;
            }
        }

        return false;
    }

    /** Signs all out but the one it is said from. */
    public function endOthers(User $user, string $here): void
    {
        $this->of($user, $here)->where('id', '!=', $here)->delete();
    }

    /** Of the account that anybody may enter with one press, nobody sees or ends another's. */
    private function of(User $user, string $here): Builder
    {
        $sessions = self::rows()->where('user_id', $user->id);
        $shared = $user->memberships()->whereRelation('house', 'is_demo', true)->exists();

        return $shared ? $sessions->where('id', $here) : $sessions;
    }

    private static function called(string $session): string
    {
        return substr(hash('sha256', 'session '.$session), 0, 32);
    }

    private static function browser(string $agent): string
    {
        [$browser, $system] = [self::first(self::BROWSERS, $agent), self::first(self::SYSTEMS, $agent)];

        return match (true) {
            $browser === '' && $system === '' => '',
            $browser === '' => $system,
            $system === '' => $browser,
            default => "{$browser} on {$system}",
        };
    }

    /** @param  array<string, string>  $names */
    private static function first(array $names, string $agent): string
    {
        foreach ($names as $says => $name) {
            if (str_contains($agent, $says)) {
                return $name;
            }
        }

        return '';
    }
}
