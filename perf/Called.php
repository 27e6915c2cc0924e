<?php

use App\Demo\SkerryHouse;
use App\Models\House;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The house as it stands, and who calls at it. */
final class Called
{
    /** @var array<string, string> by caller, what is sent as cookies */
    private array $cookies = [];

    /** @var array<string, string> */
    private array $tokens = [];

    /** @var array<string, list<string>> by the name of a part of an address */
    private array $ids = [];

    /** @var array<string, list<string>> of another house */
    private array $others = [];

    /** @var array<string, true> */
    private array $out = [];

    /** By the part of an address: the table of the thing, the one of its lines, and what they have of it. */
    private const LINES = [
        'batch' => ['batches', 'log_entries', 'batch_id'],
        'making' => ['makings', 'making_entries', 'making_id'],
        'boil' => ['boils', 'boil_entries', 'boil_id'],
        'lot' => ['lots', 'lot_moves', 'lot_id'],
    ];

    /** Of each kind of the almanac something that is there. */
    private const ALMANAC = [
        'plant' => 'calendula',
        'oil' => 'olive',
        'method' => 'slow-cooker',
        'fault' => 'cloudy',
        'wax' => 'beeswax',
        'scent' => 'lavender',
        'product' => 'salve',
    ];

    /** @var array<string, array<string, list<string>>> by the name of a part of an address and by the stage */
    private array $staged = [];

    public House $house;

    /** @param  array<string, User>  $users */
    public function __construct(private readonly string $base, private readonly array $users, private readonly House $other) {}

    /** Laid anew, for what was called took much of it away. */
    public function lay(): void
    {
        Artisan::call('kettle:demo', ['--fresh' => true]);
        $this->house = SkerryHouse::find() ?? throw new LogicException('Skerry House was not laid.');
        $this->refresh();
    }

    /** Everybody has the part they had, is signed in, and the ids are of what there is. */
    public function refresh(): void
    {
        foreach (['reader', 'helper', 'keeper'] as $role) {
            Membership::query()->updateOrCreate(['house_id' => $this->house->id, 'user_id' => $this->users[$role]->id], ['role' => $role]);
        }
        Membership::query()->updateOrCreate(
            ['house_id' => $this->other->id, 'user_id' => $this->users['stranger']->id],
            ['role' => 'keeper'],
        );
        User::query()
            ->whereKey(array_column($this->users, 'id'))
            ->update(['goes_at' => null]);
        DB::table('houses')
            ->whereIn('id', [$this->house->id, $this->other->id])
            ->update(['goes_at' => null]);
        DB::table('second_steps')->whereIn('user_id', array_column($this->users, 'id'))->delete();
        foreach (array_keys(CALLERS) as $caller) {
            $this->signIn($caller);
        }
        $tables = [
            'absence' => 'absences',
            'batch' => 'batches',
            'boil' => 'boils',
            'bottle' => 'bottle_sizes',
            'calendar' => 'calendars',
            'cooker' => 'cookers',
            'invitation' => 'invitations',
            'jar' => 'jars',
            'lot' => 'lots',
            'making' => 'makings',
            'own' => 'own_things',
            'photo' => 'photos',
            'probe' => 'probes',
            'recipe' => 'recipes',
            'session' => 'stove_sessions',
            'transfer' => 'transfers',
            'wanted' => 'wanted_products',
        ];
        foreach ($tables as $name => $table) {
            $of = fn (House $house): array => DB::table($table)
                ->where('house_id', $house->id)
                ->inRandomOrder()
                ->limit(60)
                ->pluck($table === 'own_things' ? 'slug' : 'uid')
                ->all();
            [$this->ids[$name], $this->others[$name]] = [$of($this->house), $of($this->other)];
            if (in_array($table, ['batches', 'boils', 'makings'], true)) {
                $rows = DB::table($table)
                    ->where('house_id', $this->house->id)
                    ->get(['uid', 'stage']);
                $this->staged[$name] = $rows->groupBy('stage')->map(fn ($each) => $each->pluck('uid')->all())->all();
            }
        }
        $this->ids['person'] = array_column($this->users, 'uid');
        $this->ids['entry'] = DB::table('log_entries')
            ->where('house_id', $this->house->id)
            ->orderByDesc('id')
            ->limit(60)
            ->pluck('uid')
            ->all();
        $this->ids['kind'] = array_keys(self::ALMANAC);
        $this->ids['key'] = array_values(self::ALMANAC);
        $this->ids['token'] = [Str::random(40)];
    }

    /** Whose session was ended is let in anew before they call again. */
    public function ended(string $caller): void
    {
        ! isset($this->users[$caller]) || ($this->out[$caller] = true);
    }

    private function signIn(string $caller): void
    {
        unset($this->out[$caller]);
        [$this->cookies[$caller], $this->tokens[$caller]] = ['', ''];
        $this->keep($caller, $this->plain($caller, 'GET', '/api/me', null));
        if (isset($this->users[$caller])) {
            $this->keep(
                $caller,
                $this->plain($caller, 'POST', '/api/session', ['email' => $this->users[$caller]->email, 'password' => PASSWORD]),
            );
        }
    }

    /** @param  array<string, string>|null  $body */
    private function plain(string $caller, string $verb, string $path, ?array $body): string
    {
        $curl = $this->handle($caller, $verb, $path, $body === null ? null : (string) json_encode($body));
        curl_setopt($curl, CURLOPT_HEADER, true);
        $said = (string) curl_exec($curl);
        if ($body !== null && curl_getinfo($curl, CURLINFO_RESPONSE_CODE) === 429) {
            // Ten a minute, as for anybody: later, then.
            $this->out[$caller] = true;
        } elseif ($body !== null && curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== 200) {
            throw new RuntimeException("{$caller} was not let in: ".substr($said, 0, 800));
        }

        return $said;
    }

    private function keep(string $caller, string $head): void
    {
        preg_match_all('/^set-cookie: ([^=]+)=([^;]+)/mi', $head, $found, PREG_SET_ORDER);
        parse_str(str_replace('; ', '&', $this->cookies[$caller]), $kept);
        foreach ($found as [, $name, $value]) {
            $kept[$name] = urldecode($value);
        }
        $this->cookies[$caller] = implode(
            '; ',
            array_map(fn (string $name, $value) => "{$name}=".urlencode((string) $value), array_keys($kept), $kept),
        );
        $this->tokens[$caller] = (string) ($kept['XSRF-TOKEN'] ?? '');
    }

    public function handle(string $caller, string $verb, string $path, ?string $body): CurlHandle
    {
        if (isset($this->out[$caller]) && $path !== '/api/session' && mt_rand(0, 20) === 0) {
            $this->signIn($caller);
        }
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_URL => $this->base.$path,
            CURLOPT_CUSTOMREQUEST => strtoupper($verb),
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_PATH_AS_IS => true,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                "Cookie: {$this->cookies[$caller]}",
                "X-XSRF-TOKEN: {$this->tokens[$caller]}",
                'Idempotency-Key: '.Str::random(24),
                ...mt_rand(0, 9) === 0 && $verb === 'post' ? ['Done-Ago: '.[0, 60, 86_400, 2_000_000, -1, 'x'][mt_rand(0, 5)]] : [],
            ],
        ]);
        if ($body !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, $body);
        }

        return $curl;
    }

    /**
     * The document's example with the ids of what there is, by the names of its fields; and a version as it may be, every other
     * time as it is.
     *
     * @param  array<string, string>  $of the ids of the address, by the names of its parts
     */
    public function ofHere(mixed $value, array $of, string $name = ''): mixed
    {
        if (is_array($value)) {
            foreach ($value as $key => $each) {
                $value[$key] = $this->ofHere($each, $of, is_string($key) ? $key : $name);
            }

            return $value;
        }
        if ($name === 'version') {
            return mt_rand(0, 1) === 0 ? mt_rand(0, 3) : $this->versionOf($of);
        }
        if (! is_string($value) || preg_match('/^01[0-9a-z]{24}$/i', $value) !== 1) {
            return $value;
        }
        $lines = $name === 'entry' ? $this->linesOf($of) : [];
        if ($lines !== []) {
            return $lines[array_rand($lines)];
        }
        $known = $this->ids[['size' => 'bottle', 'batches' => 'batch'][$name] ?? $name] ?? [];

        return $known === [] ? $value : $known[array_rand($known)];
    }

    /** @param  array<string, string>  $of */
    private function versionOf(array $of): int
    {
        foreach (self::LINES + ['recipe' => ['recipes'], 'house' => ['houses']] as $part => [$table]) {
            if (isset($of[$part])) {
                return (int) (DB::table($table)->where('uid', $of[$part])->value('version') ?? 0);
            }
        }

        return 0;
    }

    /**
     * @param  array<string, string>  $of
     * @return list<string> of the lines of what the address is of, the last few
     */
    private function linesOf(array $of): array
    {
        foreach (self::LINES as $part => [$table, $lines, $column]) {
            if (isset($of[$part])) {
                $id = DB::table($table)->where('uid', $of[$part])->value('id');

                return DB::table($lines)->where($column, $id)->orderByDesc('id')->limit(3)->pluck('uid')->all();
            }
        }

        return [];
    }

    /** @return array{string, bool, array<string, string>} an address of a path, whether it is of the house, and its parts by name */
    public function address(string $path): array
    {
        $ours = true;
        $parts = [];
        $filled = preg_replace_callback(
            '/\{(\w+)\}/',
            function (array $m) use (&$ours, &$parts): string {
                $luck = mt_rand(0, 99);
                if ($m[1] === 'house') {
                    $ours = $luck < 92;

                    return $parts['house'] = $luck < 92 ? $this->house->uid : ($luck < 97 ? $this->other->uid : Changed::id());
                }
                if ($m[1] === 'key' && $luck < 70 && isset(self::ALMANAC[$parts['kind'] ?? ''])) {
                    return self::ALMANAC[$parts['kind']];
                }
                if ($luck < 70 && ($this->staged[$m[1]] ?? []) !== []) {
                    $stage = $this->staged[$m[1]][array_rand($this->staged[$m[1]])];

                    return $parts[$m[1]] = $stage[array_rand($stage)];
                }
                $from = $luck < 70 ? $this->ids : ($luck < 85 ? $this->others : []);
                $known = $from[$m[1]] ?? [];

                return $parts[$m[1]] = $known === [] ? Changed::id() : $known[array_rand($known)];
            },
            $path,
        );

        return ['/api'.$filled, $ours, $parts];
    }
}
