<?php

/*
 * kettle bench callers [how many] [seed]: so many requests, a hundred thousand unless told otherwise, made from
 * docs/openapi.json by five kinds of callers (nobody signed in, a reader, a helper and a keeper of the house, and a keeper
 * of another), to every operation alike, their bodies the document's own examples with something changed. No answer may be
 * a 500 or come of one, none may take longer than 5 s, and nobody may get what tests/fixtures/roles.txt does not give them.
 * Each worker has 192 MB (256 for what is heavy): one that wants more dies, and that is seen as a 502. Ends with 1 where
 * something is wrong, with the first of each kind.
 */

use App\Actions\Houses\CreateHouse;
use App\Demo\SkerryHouse;
use App\Models\House;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const AT_ONCE = 6;

const ROUNDS = 8;

const SLOW_S = 5.0;

const PASSWORD = 'a kettle on the harbour wall';

/** Letters of roles.txt; null for who is not of the house. */
const CALLERS = ['nobody' => null, 'reader' => 'r', 'helper' => 'h', 'keeper' => 'k', 'stranger' => null];

/** Something changed in what would be taken: in a value, in what is there, or in the text of it. */
final class Changed
{
    private const ODD = [
        null,
        true,
        0,
        -1,
        1.5,
        1e308,
        PHP_INT_MAX,
        '',
        ' ',
        '0',
        '-3 g',
        '1e9 kg',
        '8 cloves',
        "4\u{00bd} cups",
        'NaN',
        "\u{202e}olive\u{202c}",
        "line\nline",
        "\u{0000}",
        "\u{1f33f}\u{fe0f}",
        "Robert'); DROP TABLE batches;--",
        '<script>alert(1)</script>',
        '{{7*7}}',
        '../../../etc/passwd',
        '2026-02-30',
        '0000-00-00',
        '9999-12-31',
        '2026-11-28T25:61',
        '24:00',
        [],
        [[]],
        [null],
        ['id' => 'olive'],
        ['a' => ['b' => ['c' => ['d' => 1]]]],
    ];

    /** @return string a body as it is sent */
    public static function body(mixed $example): string
    {
        $kind = mt_rand(0, 99);
        if ($kind < 4) {
            return self::broken((string) json_encode($example));
        }
        for ($i = $kind < 34 ? 0 : mt_rand(1, 3); $i > 0; $i--) {
            $example = self::somewhere($example, 0);
        }
        $text = json_encode($example, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);

        return $text === false ? '{}' : $text;
    }

    private static function somewhere(mixed $value, int $depth): mixed
    {
        if (! is_array($value) || $value === [] || ($depth > 0 && mt_rand(0, 3) === 0)) {
            return self::odd($value);
        }
        $key = array_rand($value);
        $how = mt_rand(0, 11);
        if ($how === 0) {
            unset($value[$key]);
        } elseif ($how === 1) {
            $value['unheard_of'] = self::odd(null);
        } elseif ($how === 2 && array_is_list($value) && count($value) < 100) {
            $value = array_merge(...array_fill(0, mt_rand(2, 60), $value));
        } else {
            $value[$key] = self::somewhere($value[$key], $depth + 1);
        }

        return $value;
    }

    private static function odd(mixed $was): mixed
    {
        return match (mt_rand(0, 9)) {
            0 => is_string($was) && strlen($was) < 1000 ? str_repeat($was.' ', mt_rand(2, 3000)) : $was,
            1 => is_string($was) ? strrev($was) : [$was],
            2 => is_string($was) ? Str::upper($was) : (string) json_encode($was),
            3 => is_numeric($was) ? $was * -1000 : $was,
            default => self::ODD[array_rand(self::ODD)],
        };
    }

    private static function broken(string $text): string
    {
        return match (mt_rand(0, 8)) {
            0 => '',
            1 => substr($text, 0, intdiv(strlen($text), 2)),
            2 => "\xff\xfe".$text,
            3 => str_repeat('[', 700).str_repeat(']', 700),
            4 => '"\ud800"',
            5 => '{"a":1e400}',
            6 => '['.$text.']',
            7 => 'null',
            default => $text.str_repeat(' ', 300_000),
        };
    }

    /** A part of an address that is no id of anything. */
    public static function id(): string
    {
        $odd = [
            '0',
            '-1',
            'x',
            strtolower((string) Str::ulid()),
            str_repeat('a', 300),
            '%00',
            '..%2f..',
            "'",
            '%F0%9F%8C%BF',
            '%ff',
            'null',
        ];

        return $odd[array_rand($odd)];
    }
}

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
        }
        $this->ids['person'] = array_column($this->users, 'uid');
        $this->ids['entry'] = DB::table('log_entries')
            ->where('house_id', $this->house->id)
            ->orderByDesc('id')
            ->limit(60)
            ->pluck('uid')
            ->all();
        $this->ids['kind'] = ['herbs', 'oils', 'methods', 'faults', 'cautions', 'products', 'waxes'];
        $this->ids['key'] = ['calendula', 'olive', 'cold', 'slow-cooker', 'beeswax', 'salve'];
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

    /** The document's example with the ids of what there is, by the names of its fields; and a version as it may be. */
    public function ofHere(mixed $value, string $name = ''): mixed
    {
        if (is_array($value)) {
            foreach ($value as $key => $each) {
                $value[$key] = $this->ofHere($each, is_string($key) ? $key : $name);
            }

            return $value;
        }
        if ($name === 'version') {
            return mt_rand(0, 3);
        }
        if (! is_string($value) || preg_match('/^01[0-9a-z]{24}$/i', $value) !== 1) {
            return $value;
        }
        $known = $this->ids[['size' => 'bottle', 'batches' => 'batch'][$name] ?? $name] ?? [];

        return $known === [] ? $value : $known[array_rand($known)];
    }

    /** @return array{string, bool} an address made of a path of the document, and whether it is of the house itself */
    public function address(string $path): array
    {
        $ours = true;
        $filled = preg_replace_callback(
            '/\{(\w+)\}/',
            function (array $m) use (&$ours): string {
                $luck = mt_rand(0, 99);
                if ($m[1] === 'house') {
                    $ours = $luck < 92;

                    return $luck < 92 ? $this->house->uid : ($luck < 97 ? $this->other->uid : Changed::id());
                }
                $from = $luck < 70 ? $this->ids : ($luck < 85 ? $this->others : []);
                $known = $from[$m[1]] ?? [];

                return $known === [] ? Changed::id() : $known[array_rand($known)];
            },
            $path,
        );

        return ['/api'.$filled, $ours];
    }
}

$many = max(ROUNDS, (int) ($argv[1] ?? 100_000));
$seed = (int) ($argv[2] ?? 11);
mt_srand($seed);
$users = [];
foreach (['reader', 'helper', 'keeper', 'stranger'] as $name) {
    $users[$name] = User::query()
        ->create([
            'name' => $name,
            'email' => Str::lower(Str::random(8)).'@kettle.example',
            'password' => PASSWORD,
            'prefs' => User::PREFS,
        ])
        ->refresh();
}
Auth::login($users['stranger']);
$other = app(CreateHouse::class)($users['stranger'], ['name' => 'Elsewhere', 'time_zone' => 'UTC', 'measures' => 'metric'])->refresh();
Auth::logout();
$called = new Called(rtrim((string) config('app.url'), '/'), $users, $other);

$may = [];
foreach ((array) file(__DIR__.'/../tests/fixtures/roles.txt', FILE_IGNORE_NEW_LINES) as $line) {
    if ($line !== '' && $line[0] !== '#') {
        [$verb, $path, $who] = explode(' ', (string) $line);
        $may["{$verb} ".rtrim("/houses/{house}{$path}", '/')] = $who;
    }
}
/** @var array{paths: array<string, array<string, array<string, mixed>>>, components: array<string, mixed>} $document */
$document = json_decode((string) file_get_contents(__DIR__.'/../docs/openapi.json'), true);
$operations = [];
foreach ($document['paths'] as $path => $verbs) {
    foreach ($verbs as $verb => $operation) {
        // Only who has the key of a thermometer calls there, and nobody here has.
        $operations[] = [
            'verb' => $verb,
            'path' => $path,
            'body' => $operation['requestBody']['content']['application/json']['example'] ?? null,
            'takes' => isset($operation['requestBody']),
            'query' => array_column(array_filter($operation['parameters'] ?? [], fn (array $each) => $each['in'] === 'query'), 'name'),
        ];
    }
}

$statuses = $by = $slowest = $wrong = $did = [];
// What was written there by what ran before is not of this.
$log = getenv('KETTLE_VAR').'/storage/logs/laravel.log';
! is_file($log) || file_put_contents($log, '');
$note = function (string $what, string $line) use (&$wrong): void {
    $wrong[$what] ??= ['many' => 0, 'first' => []];
    $wrong[$what]['many']++;
    $wrong[$what]['many'] > 5 || fprintf(STDERR, "%s: %s\n", $what, substr($line, 0, 400));
    count($wrong[$what]['first']) >= 25 || ($wrong[$what]['first'][] = $line);
};
$multi = curl_multi_init();
$going = [];
$sent = 0;
$began = microtime(true);
for ($round = 0; $round < ROUNDS; $round++) {
    $called->lay();
    $until = (int) (($many * ($round + 1)) / ROUNDS);
    while ($sent < $until || $going !== []) {
        while ($sent < $until && count($going) < AT_ONCE) {
            $operation = $operations[$sent % count($operations)];
            // At the door one leaves the session one had, and is let in but ten times a minute: most who knock there have none.
            $caller =
                ! str_contains($operation['path'], '/houses') && $operation['verb'] !== 'get' && mt_rand(0, 9) > 0
                    ? 'nobody'
                    : array_rand(CALLERS);
            // Who ends sessions is let in anew, and the rest go on as they were.
            $sent % 2000 !== 1999 || $going !== [] || $called->refresh();
            [$path, $ours] = $called->address($operation['path']);
            $asked = [];
            foreach ($operation['query'] as $name) {
                mt_rand(0, 2) === 0 ||
                    ($asked[$name] = ['1', '0', 'x', '', '-1', '2026', "\u{1f33f}", str_repeat('9', 40), 'calendula'][mt_rand(0, 8)]);
            }
            $asked === [] || ($path .= '?'.http_build_query($asked));
            $body = $operation['takes'] ? Changed::body($called->ofHere($operation['body'] ?? [])) : null;
            $curl = $called->handle($caller, $operation['verb'], $path, $body);
            if (curl_multi_add_handle($multi, $curl) !== CURLM_OK) {
                throw new RuntimeException("{$path} could not be asked.");
            }
            $going[(int) spl_object_id($curl)] = [$curl, $operation, $caller, $ours, $path, $body];
            $sent++;
            $sent % 5000 !== 0 || fprintf(STDERR, "%d of %d, %d s\n", $sent, $many, microtime(true) - $began);
        }
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.05);
        while (($done = curl_multi_info_read($multi)) !== false) {
            $curl = $done['handle'];
            [, $operation, $caller, $ours, $path, $body] = $going[(int) spl_object_id($curl)];
            unset($going[(int) spl_object_id($curl)]);
            $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
            $took = (float) curl_getinfo($curl, CURLINFO_TOTAL_TIME);
            $said = (string) curl_multi_getcontent($curl);
            curl_multi_remove_handle($multi, $curl);
            $name = strtoupper($operation['verb']).' '.$operation['path'];
            $line =
                "{$status} {$caller} ".
                strtoupper($operation['verb']).
                " {$path} ".
                substr((string) $body, 0, 600).
                ' -> '.
                substr($said, 0, 200);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            ! in_array($status, [401, 419], true) || $called->ended($caller);
            $by[$caller][$status] = ($by[$caller][$status] ?? 0) + 1;
            $slowest[$name] = max($slowest[$name] ?? 0.0, $took);
            $did[$name][intdiv($status, 100)] = ($did[$name][intdiv($status, 100)] ?? 0) + 1;
            $both = str_contains($said, 'Two things were written at once');
            if ($status === 0 || ($status >= 500 && ! $both)) {
                $note('failed', $line);
            }
            $both && $note('waited for each other', $line);
            $took <= SLOW_S || $note('slow', sprintf('%.1f s ', $took).$line);
            $letter = CALLERS[$caller];
            $given = $may[$name] ?? null;
            if ($ours && $status < 400 && $given !== null && ($letter === null || ! str_contains($given, $letter))) {
                $note('given to who may not', $line);
            }
            if (str_contains($said, 'SQLSTATE') || str_contains($said, '/vendor/') || str_contains($said, 'Stack trace')) {
                $note('told of its inside', $line);
            }
        }
    }
}
$took = microtime(true) - $began;
ksort($statuses);
arsort($slowest);
$never = array_keys(array_filter($did, fn (array $each) => ! isset($each[2])));
printf("%d requests to %d operations in %d s (seed %d)\n", $sent, count($operations), $took, $seed);
echo 'answers: ', implode(', ', array_map(fn (int $status, int $many) => "{$status}: {$many}", array_keys($statuses), $statuses)), "\n";
foreach ($by as $caller => $each) {
    ksort($each);
    echo "  {$caller}: ", implode(', ', array_map(fn (int $status, int $many) => "{$status}: {$many}", array_keys($each), $each)), "\n";
}
echo 'slowest: ',
implode(
    ', ',
    array_map(
        fn (string $name, float $s) => sprintf('%s %.2f s', $name, $s),
        array_keys(array_slice($slowest, 0, 5)),
        array_slice($slowest, 0, 5),
    ),
),
"\n";
echo 'never taken: ', implode(', ', $never) ?: 'none', "\n";
$reported = is_file($log) ? preg_match_all('/^\[[^]]+\] \w+\.(ERROR|CRITICAL)/m', (string) file_get_contents($log)) : 0;
echo "reported in the log: {$reported}\n";
foreach ($wrong as $what => ['many' => $count, 'first' => $lines]) {
    echo "\n{$what}: {$count}\n", implode("\n", $lines), "\n";
}
exit(array_diff_key($wrong, ['waited for each other' => 0]) === [] && $reported === 0 ? 0 : 1);
