<?php

/*
 * The core is plain PHP: no framework, no clock, no chance, no input or output but the table reader.
 */

arch('the core knows nothing of what is built on it')
    ->expect('Kettle')
    ->not->toUse(['App', 'Illuminate', 'Symfony', 'Carbon', 'Database']);

arch('the core is strict')->expect('Kettle')->toUseStrictTypes();

arch('the core asks nothing of the outside')
    ->expect('Kettle')
    ->not->toUse([
        'time',
        'microtime',
        'hrtime',
        'date',
        'mktime',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'uniqid',
        'shuffle',
        'array_rand',
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'curl_init',
        'exec',
        'shell_exec',
        'getenv',
        'echo',
        'print',
        'var_dump',
        'dd',
        'session_start',
    ])
    // They read the tables and the schemas that ship with it.
    ->ignoring(['Kettle\Material\Tables', 'Kettle\Ask\Schemas']);

it('makes no moment of its own', function () {
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core', FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        $code = (string) file_get_contents((string) $file);
        expect($code)->not->toMatch('/new \\\\?DateTime(Immutable)?(\(\)|;|\(\'now\')/', (string) $file);
    }
});

it('is tested by no clock but the one it is given', function () {
    foreach (['Core', 'App'] as $suite) {
        foreach (glob(dirname(__DIR__)."/{$suite}/*Test.php") ?: [] as $file) {
            $code = (string) file_get_contents($file);
            // "-3 months", "today" and nothing at all are reckoned from the machine's own now.
            expect($code)
                ->not->toMatch('/new \\\\?DateTime(Immutable)?\((\)|\'(now|today|tomorrow|yesterday)|\'[+-]\d|\'[+-]\'\.)/', $file)
                ->not->toMatch('/(?<![\w>:\'$])(time|microtime|date)\(/', $file);
        }
    }
});

arch('controllers leave the work to actions')
    ->expect('App\Http\Controllers')
    ->not->toUse(['Kettle\Recipe\Planner', 'Kettle\Diary\Progress']);

/*
 * The rooms of the core, the lowest first: each may use those before it, and of them only what stands here. A new arrow is
 * a decision: write it down here and draw it in docs/how-it-is-built.md.
 */
const ARROWS = [
    'Reason' => [],
    'Time' => [],
    'Measure' => ['Reason'],
    'Material' => ['Reason', 'Measure'],
    'Vessel' => ['Reason', 'Measure', 'Material'],
    'Infusion' => ['Reason', 'Measure', 'Material', 'Vessel'],
    'Warmth' => ['Reason', 'Measure', 'Vessel'],
    'Diary' => ['Reason', 'Time', 'Vessel', 'Infusion', 'Warmth'],
    'Decoction' => ['Reason', 'Time', 'Material', 'Warmth', 'Diary'],
    'Caution' => ['Reason', 'Time', 'Material', 'Infusion'],
    'Keeping' => ['Reason', 'Material', 'Caution'],
    'Stores' => ['Reason', 'Time', 'Measure', 'Material', 'Keeping'],
    'Fault' => ['Reason', 'Material'],
    'Recipe' => [
        'Reason',
        'Time',
        'Measure',
        'Material',
        'Vessel',
        'Infusion',
        'Warmth',
        'Diary',
        'Decoction',
        'Caution',
        'Keeping',
        'Stores',
    ],
    'Melt' => ['Reason', 'Time', 'Measure', 'Material', 'Vessel', 'Infusion', 'Diary', 'Caution', 'Keeping', 'Stores', 'Recipe'],
    'Share' => ['Reason', 'Measure', 'Material', 'Vessel', 'Infusion', 'Caution', 'Recipe'],
    'Batch' => ['Reason', 'Time', 'Measure', 'Material', 'Vessel', 'Infusion', 'Warmth', 'Diary', 'Caution', 'Keeping', 'Stores', 'Recipe'],
    'Making' => ['Reason', 'Time', 'Measure', 'Material', 'Recipe', 'Melt', 'Batch'],
    'Boiling' => ['Reason', 'Time', 'Material', 'Diary', 'Decoction', 'Batch'],
    'Trace' => ['Reason'],
    'Practice' => ['Reason', 'Measure', 'Material', 'Vessel', 'Warmth', 'Diary', 'Caution', 'Fault', 'Recipe', 'Melt'],
    'Ask' => [
        'Reason',
        'Time',
        'Measure',
        'Material',
        'Vessel',
        'Infusion',
        'Warmth',
        'Diary',
        'Decoction',
        'Boiling',
        'Caution',
        'Keeping',
        'Stores',
        'Fault',
        'Recipe',
        'Melt',
        'Share',
        'Trace',
    ],
];

/** @return array<string, list<string>> by room, those that its files name */
function arrowsOf(string $folder, string $root): array
{
    $arrows = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        $room = explode('/', substr((string) $file, strlen($folder) + 1))[0];
        $arrows[$room] ??= [];
        preg_match_all('/(?<![\w\\\\])'.$root.'\\\\(\w+)\\\\/', (string) file_get_contents((string) $file), $named);
        $arrows[$room] = array_values(array_unique([...$arrows[$room], ...array_diff($named[1], [$room])]));
    }

    return $arrows;
}

it('goes from room to room one way only, by the arrows that are drawn', function () {
    $lower = [];
    foreach (ARROWS as $room => $uses) {
        expect(array_diff($uses, $lower))->toBe([], "{$room} uses a room that comes after it");
        $lower[] = $room;
    }
    $arrows = arrowsOf(dirname(__DIR__, 2).'/core', 'Kettle');
    expect(array_diff(array_keys($arrows), array_keys(ARROWS)))->toBe([]);
    foreach (ARROWS as $room => $uses) {
        $found = $arrows[$room] ?? [];
        sort($found);
        sort($uses);
        expect($found)->toBe($uses, "what {$room} uses");
    }
});

/* The rooms of the application, the same way. */
const APP_ARROWS = [
    'OpenApi' => [],
    'Models' => [],
    'Policies' => ['Models'],
    'House' => ['Models'],
    'Responses' => ['OpenApi'],
    'Backup' => [],
    'Files' => [],
    'Live' => [],
    'Devices' => [],
    'Labels' => ['Models', 'Responses'],
    'Actions' => ['Models', 'House', 'Responses', 'Files'],
    'Pages' => ['Models', 'House', 'Responses', 'Backup', 'Live', 'Devices', 'Labels', 'Actions'],
    'Http' => ['OpenApi', 'Models', 'House', 'Responses', 'Files', 'Labels', 'Actions', 'Pages'],
    'Jobs' => ['Models', 'Actions'],
    'Demo' => ['Models', 'Actions'],
    'Providers' => ['Models', 'House'],
    'Console' => ['OpenApi', 'Models', 'Responses', 'Live', 'Actions', 'Http', 'Demo', 'Providers'],
];

it('answers from the records up to the screen one way only', function () {
    $lower = [];
    foreach (APP_ARROWS as $room => $uses) {
        expect(array_diff($uses, $lower))->toBe([], "{$room} uses a room that comes after it");
        $lower[] = $room;
    }
    $arrows = arrowsOf(dirname(__DIR__, 2).'/app', 'App');
    expect(array_diff(array_keys($arrows), array_keys(APP_ARROWS)))->toBe([]);
    foreach (APP_ARROWS as $room => $uses) {
        $found = $arrows[$room] ?? [];
        sort($found);
        sort($uses);
        expect($found)->toBe($uses, "what {$room} uses");
    }
});

it('says of which house where Eloquent does not', function () {
    // What it does not know itself it hands on to the query without its scopes: a row of every house is changed.
    $handedOn = '/->(?:incrementEach|decrementEach|updateFrom|updateOrInsert|truncate)\(/';
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/app')) as $file) {
        if ($file->getExtension() !== 'php') {
            continue;
        }
        foreach (preg_split('/[;{}]/', (string) file_get_contents($file->getPathname())) ?: [] as $statement) {
            if (
                preg_match($handedOn, $statement) === 1 &&
                ! str_contains($statement, 'DB::table(') &&
                ! str_contains($statement, 'toBase()')
            ) {
                $found[] = $file->getFilename().': '.trim($statement);
            }
        }
    }
    expect($found)->toBe([]);
});
