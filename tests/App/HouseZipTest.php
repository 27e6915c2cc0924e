<?php

use App\Demo\SkerryHouse;
use App\Jobs\SweepUp;
use App\Models\Batch;
use App\Models\Tenancy\Role;
use App\Models\Transfer;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;
use Tests\AppCase;
use Tests\BusyHouse;

require_once dirname(__DIR__).'/Kept.php';

/** The zip of the house that is entered, made and fetched. */
function zipOf(AppCase $test): string
{
    $begun = $test->atHouse('POST', '/transfers', ['way' => 'out'])->assertOk();
    expect($test->atHouse('GET', '/transfers')->json('out.state'))->toBe('done');
    $sent = $test->atHouse('GET', "/transfers/{$begun->json('id')}/file")->assertOk();
    expect($sent->headers->get('X-Accel-Redirect'))->toBe("/{$begun->json('id')}.zip");

    return (string) file_get_contents(storage_path('app/transfers'.$sent->headers->get('X-Accel-Redirect')));
}

/**
 * @param  array<string, bool>  $choices
 * @return array<string, mixed> what became of it
 */
function takeZip(AppCase $test, string $zip, array $choices = []): array
{
    $id = $test
        ->atHouse('POST', '/transfers', ['way' => 'in', 'size' => strlen($zip)])
        ->assertOk()
        ->json('id');
    foreach (str_split($zip, 1_500_000) as $i => $part) {
        $test->atHouse('POST', "/transfers/{$id}/bytes", ['from' => $i * 1_500_000, 'base64' => base64_encode($part)])->assertOk();
    }
    $test->atHouse('POST', "/transfers/{$id}/take", $choices)->assertOk();

    return $test->atHouse('GET', '/transfers')->json('in');
}

/** @return array<string, string> by its name, what each file of it holds; as another tool unpacks it */
function unpacked(string $zip): array
{
    $folder = sys_get_temp_dir().'/kettle-zip-'.getmypid();
    File::deleteDirectory($folder);
    File::makeDirectory($folder);
    file_put_contents("{$folder}.zip", $zip);
    exec(
        'unzip -tq '.
            escapeshellarg("{$folder}.zip").
            ' && unzip -q '.
            escapeshellarg("{$folder}.zip").
            ' -d '.
            escapeshellarg($folder),
        $out,
        $code,
    );
    expect($code)->toBe(0, implode("\n", $out));
    $files = [];
    foreach (File::allFiles($folder) as $file) {
        $files[$file->getRelativePathname()] = $file->getContents();
    }
    File::deleteDirectory($folder);
    unlink("{$folder}.zip");

    return $files;
}

/**
 * @param  array<string, ?string>  $change files in place of those there; null takes one out
 */
function changed(string $zip, array $change): string
{
    $path = tempnam(sys_get_temp_dir(), 'zip');
    $made = new ZipArchive();
    $made->open($path, ZipArchive::OVERWRITE);
    foreach (array_filter($change + unpacked($zip), is_string(...)) as $name => $content) {
        $made->addFromString($name, $content);
    }
    $made->close();

    return (string) file_get_contents($path);
}

/** A pot put to warm, which somebody looks at. */
function potLookedAt(AppCase $test): string
{
    $batch = $test->batch(['method' => 'slow-cooker', 'school' => 'usual', 'jar' => $test->jarOf(505)->uid]);
    $test->fill($batch);
    $oval = ['called' => 'the oval one', 'shape' => 'oval', 'length' => '300 mm', 'width' => '210 mm', 'height' => '140 mm'];
    $test->atHouse('POST', '/cookers', $oval + ['method' => 'slow-cooker'])->assertOk();
    $cooker = collect($test->atHouse('GET', '/stove')->json('cookers'))->firstWhere('called', 'the oval one')['id'];

    return $test
        ->atHouse('POST', '/stove', ['cooker' => $cooker, 'setting' => 'Warm', 'batches' => [$batch->uid], 'watch' => 'hand'])
        ->json('id');
}

it('goes out as a zip that other tools open, each line held to its schema, and comes back the same', function () {
    BusyHouse::in($this);
    $image = imagecreatetruecolor(60, 60);
    ob_start();
    imagejpeg($image);
    $jpeg = (string) ob_get_clean();
    $batch = Batch::query()->withoutGlobalScope('house')->where('house_id', $this->house->id)->firstOrFail();
    $this->atHouse('POST', "/batches/{$batch->uid}/looks", [
        'what' => 'colour',
        'photo' => base64_encode($jpeg),
        'oil' => [0.5, 0.5],
    ])->assertOk();
    $this->atHouse('POST', '/absences', ['from' => '2026-12-24', 'to' => '2026-12-26'])->assertOk();
    $zip = zipOf($this);
    $first = unpacked($zip);
    expect(array_keys($first))->toContain('house.json', 'batches.jsonl', 'readings.jsonl', 'calendars.jsonl');
    expect(array_filter(array_keys($first), fn (string $name) => str_ends_with($name, '.jpg')))->toHaveCount(1);

    $validator = new Validator();
    foreach (['house', 'house-zip'] as $schema) {
        $validator->resolver()->registerFile("http://t.example/{$schema}.schema.json", base_path("docs/formats/{$schema}.schema.json"));
    }
    $lines = 0;
    foreach ($first as $name => $content) {
        if (str_ends_with($name, '.jsonl')) {
            foreach (array_filter(explode("\n", $content)) as $line) {
                $answer = $validator->validate(json_decode($line), "http://t.example/house-zip.schema.json#/properties/{$name}");
                expect($answer->isValid())->toBeTrue("{$name}: {$line}");
                $lines++;
            }
        }
    }
    $head = json_decode($first['house.json']);
    expect($validator->validate($head, 'http://t.example/house-zip.schema.json#/properties/house.json')->isValid())->toBeTrue();
    expect($lines)->toBeGreaterThan(20)->and(array_sum((array) $head->counts))->toBe($lines);

    $this->house = $this->aHouse($this->keeper, 'Second house');
    $came = takeZip($this, $zip, ['calendars' => true, 'thermometers' => true]);
    expect($came['says'])->toStartWith('Taken in: 4 batches')->and($came['state'])->toBe('done');
    $second = unpacked(zipOf($this));
    foreach (
        array_diff_key($first, ['house.json' => 0, 'cookers.jsonl' => 0, 'jars.jsonl' => 0, 'bottles.jsonl' => 0]) as $name => $content
    ) {
        expect($second[$name])->toBe($content, $name);
    }
    // What every house begins with is known by its likeness and keeps its own id.
    $called = fn (string $lines) => array_map(fn (string $line) => json_decode($line)->called, explode("\n", trim($lines)));
    foreach (['cookers.jsonl', 'jars.jsonl', 'bottles.jsonl'] as $name) {
        expect(array_diff($called($first[$name]), $called($second[$name])))->toBe([], $name);
    }
    // Once more changes nothing.
    expect(takeZip($this, $zip)['says'])->toStartWith('Everything in that file is here already');
});

it('takes bytes once however often they are sent, and none before those that come first', function () {
    BusyHouse::in($this);
    $zip = zipOf($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $id = $this->atHouse('POST', '/transfers', ['way' => 'in', 'size' => strlen($zip)])->json('id');
    $send = fn (int $from, int $to) => $this->atHouse('POST', "/transfers/{$id}/bytes", [
        'from' => $from,
        'base64' => base64_encode(substr($zip, $from, $to - $from)),
    ]);
    $send(500, 900)->assertStatus(422)->assertJsonPath('faults.0.reason', 'gap');
    $send(0, 900)->assertOk()->assertJsonPath('got', 900);
    $send(0, 900)->assertOk()->assertJsonPath('got', 900);
    $send(400, 1000)->assertOk()->assertJsonPath('got', 1000);
    $this->atHouse('POST', "/transfers/{$id}/take")
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'gap');
    $this->atHouse('POST', "/transfers/{$id}/bytes", ['from' => 1000, 'base64' => '(not base64)'])->assertStatus(422);
    $this->atHouse('POST', "/transfers/{$id}/bytes", [
        'from' => 1000,
        'base64' => base64_encode(substr($zip, 1000).'one more'),
    ])->assertStatus(422);
    foreach (str_split(substr($zip, 1000), 700_000) as $i => $part) {
        $send(1000 + $i * 700_000, 1000 + $i * 700_000 + strlen($part))->assertOk();
    }
    $this->atHouse('POST', "/transfers/{$id}/take")->assertOk();
    expect($this->atHouse('GET', '/transfers')->json('in.says'))->toStartWith('Taken in: 4 batches');
    // It is taken in; there is nothing to send any more, and the file is gone.
    $send(0, 900)->assertStatus(422)->assertJsonPath('faults.0.reason', 'busy');
    $this->atHouse('POST', "/transfers/{$id}/take")
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'busy');
    expect(glob(storage_path("app/transfers/{$id}*")))->toBe([]);
});

it('refuses a zip that is not whole, and changes nothing', function (Closure $break, string $says) {
    BusyHouse::in($this);
    $zip = zipOf($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $rows = fn () => [
        DB::table('batches')->count(),
        DB::table('log_entries')->count(),
        DB::table('lots')->count(),
        DB::table('photos')->count(),
        DB::table('jars')->count(),
    ];
    $before = $rows();
    $came = takeZip($this, $break($zip));
    expect($came['says'])->toContain($says)->and($came['state'])->toBe('failed')->and($rows())->toBe($before);
})->with([
    'cut short' => [fn (string $zip) => substr($zip, 0, -200), 'cut short'],
    'no zip' => [fn (string $zip) => str_repeat('calendula ', 30), 'no zip'],
    'a byte turned' => [
        function (string $zip): string {
            // In the middle of what was packed of the batches: the directory at the end stays whole.
            $at = (int) strpos($zip, 'batches.jsonl') + 400;
            $zip[$at] = chr(ord($zip[$at]) ^ 0xFF);

            return $zip;
        },
        'batches.jsonl',
    ],
    'a line lost' => [
        fn (string $zip) => changed($zip, ['lots.jsonl' => preg_replace('/^.*\n/', '', unpacked($zip)['lots.jsonl'], 1)]),
        'lots.jsonl',
    ],
    'a line cut' => [fn (string $zip) => changed($zip, ['lots.jsonl' => substr(unpacked($zip)['lots.jsonl'], 0, -10)]), 'has no end'],
    'no JSON' => [fn (string $zip) => changed($zip, ['recipes.jsonl' => "{\n"]), 'recipes.jsonl, line 1'],
    'a field nobody knows' => [
        fn (string $zip) => changed($zip, ['lots.jsonl' => preg_replace('/^\{/', '{"moon":1,', unpacked($zip)['lots.jsonl'], 1)]),
        'lots.jsonl, line 1',
    ],
    'a file nobody knows' => [fn (string $zip) => changed($zip, ['../evil.php' => 'x']), 'no house has such a file'],
    'without its head' => [fn (string $zip) => changed($zip, ['house.json' => null]), 'no zip of a house'],
    'a head of another version' => [
        fn (string $zip) => changed($zip, ['house.json' => str_replace('"version": 1', '"version": 9', unpacked($zip)['house.json'])]),
        'house.json / version',
    ],
    'a picture that is not there' => [
        fn (string $zip) => changed($zip, [
            'photos.jsonl' => '{"id":"'.
                str_repeat('0', 26).
                '","batch":"'.
                str_repeat('0', 26).
                '","file":"photos/'.
                str_repeat('0', 26).
                ".jpg\"}\n",
        ]),
        'there is no file',
    ],
]);

it('takes along what its keeper chooses, and no more', function () {
    BusyHouse::in($this);
    $this->atHouse('POST', '/probes', ['called' => 'by the window', 'kind' => 'sends'])->assertOk();
    $this->atHouse('POST', '/calendars', [
        'called' => 'work',
        'ics' => implode("\r\n", [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:x',
            'BEGIN:VEVENT',
            'UID:a@x',
            'DTSTAMP:20261101T000000Z',
            'DTSTART:20261203T080000Z',
            'DTEND:20261203T120000Z',
            'SUMMARY:shift',
            'END:VEVENT',
            'END:VCALENDAR',
            '',
        ]),
    ])->assertOk();
    DB::table('houses')
        ->where('id', $this->house->id)
        ->update(['wake' => '05:15', 'measures' => 'imperial', 'burners' => 3]);
    $this->house->refresh();
    $helper = $this->member(Role::Helper);
    $zip = zipOf($this);

    $bare = $this->aHouse($this->keeper, 'Bare');
    $this->house = $bare;
    expect(takeZip($this, $zip)['people'])->toBe([]);
    $now = unpacked(zipOf($this));
    expect(json_decode($now['house.json'])->house->name)
        ->toBe('Bare')
        ->and(json_decode($now['house.json'])->house->wake)
        ->not->toBe('05:15')
        ->and($now['calendars.jsonl'])
        ->toBe('')
        ->and(
            collect(explode("\n", trim($now['thermometers.jsonl'])))
                ->map(fn ($line) => json_decode($line))
                ->firstWhere('called', 'by the window')->retired,
        )
        ->toBeTrue();

    $this->house = $this->aHouse($this->keeper, 'All');
    $came = takeZip($this, $zip, ['settings' => true, 'calendars' => true, 'thermometers' => true, 'people' => true]);
    // The keeper is here already; the helper is named, and not put in.
    expect($came['people'])->toBe([['name' => $helper->name, 'role' => 'helper']]);
    $all = unpacked(zipOf($this));
    $settings = json_decode($all['house.json'])->house;
    expect($settings->wake)->toBe('05:15')->and($settings->measures)->toBe('imperial')->and($settings->burners)->toBe(3);
    expect($all['calendars.jsonl'])->toBe(unpacked($zip)['calendars.jsonl'])->not->toBe('');
    expect($all['thermometers.jsonl'])->toBe(unpacked($zip)['thermometers.jsonl']);
    expect(DB::table('memberships')->where('house_id', $this->house->id)->count())->toBe(1);
});

it('ends a pot that was warm at its last reading, and brings every reading along', function () {
    $pot = potLookedAt($this);
    foreach ([46, 49, 48] as $warmth) {
        Carbon::setTestNow(Carbon::now()->addMinutes(40));
        $this->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => (string) $warmth])->assertOk();
    }
    $last = Carbon::now()->utc()->format('Y-m-d\TH:i:s\Z');
    Carbon::setTestNow(Carbon::now()->addHours(5));
    $zip = zipOf($this);
    $sessions = fn (string $zip) => array_map(json_decode(...), explode("\n", trim(unpacked($zip)['sessions.jsonl'])));
    expect($sessions($zip)[0]->ended_at)->toBeNull()->and($sessions($zip)[0]->last_at)->toBe($last);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    expect(takeZip($this, $zip)['state'])->toBe('done');
    // Nobody is asked to switch off what stands in another house: it is off since its last, with the warmth it had.
    $batch = $sessions($zip)[0]->jars[0]->batch;
    $page = $this->atHouse('GET', "/batches/{$batch}")->json();
    expect(array_column($page['tasks'], 'step'))
        ->toContain('warm_on')
        ->and(collect($page['tasks'])->where('step', 'warm_off')->where('open', true)->all())
        ->toBe([])
        ->and(collect($page['entries'])->firstWhere('kind', 'task')['title'])
        ->toContain('off');
    $there = zipOf($this);
    expect($sessions($there)[0]->ended_at)
        ->toBe($last)
        ->and($sessions($there)[0]->jars[0]->out_at)
        ->toBe($last)
        ->and($sessions($there)[0]->jars[0]->hours)
        ->toBeGreaterThan(0.5)
        ->and(
            array_column(
                array_map(fn ($line) => json_decode($line, true), explode("\n", trim(unpacked($there)['readings.jsonl']))),
                'readings',
            ),
        )
        ->toBe(
            array_column(
                array_map(fn ($line) => json_decode($line, true), explode("\n", trim(unpacked($zip)['readings.jsonl']))),
                'readings',
            ),
        );
});

it('takes readings that come with a session that names its thermometers, too', function () {
    $pot = potLookedAt($this);
    Carbon::setTestNow(Carbon::now()->addMinutes(40));
    $this->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => '48'])->assertOk();
    $file = $this->atHouse('GET', '/export')->assertOk()->json();
    expect($file['sessions'][0]['readings'])->toHaveCount(1);
    $file['sessions'][0]['thermometers'] = [str_repeat('7', 26)];
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $file)->assertOk();
    expect($this->atHouse('GET', '/export')->json('sessions.0.readings'))->toBe($file['sessions'][0]['readings']);
});

it('has one of each way at a time, and keeps none for longer than a day', function () {
    array_map(unlink(...), glob(storage_path('app/transfers/*.zip')));
    BusyHouse::in($this);
    zipOf($this);
    $first = $this->atHouse('GET', '/transfers')->json('out.id');
    zipOf($this);
    expect($this->atHouse('GET', '/transfers')->json('out.id'))->not->toBe($first);
    $this->atHouse('GET', "/transfers/{$first}/file")->assertNotFound();
    expect(glob(storage_path('app/transfers/*')))->toHaveCount(1);
    $this->atHouse('POST', '/transfers', ['way' => 'in'])->assertStatus(422);
    $this->atHouse('POST', '/transfers', ['way' => 'in', 'size' => 5_000_000_000])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'large');
    $in = $this->atHouse('POST', '/transfers', ['way' => 'in', 'size' => 100])
        ->assertOk()
        ->json('id');
    $this->atHouse('DELETE', "/transfers/{$in}")
        ->assertOk()
        ->assertJsonPath('in', null);
    file_put_contents(Transfer::folder().'/stray.zip', 'x');
    Carbon::setTestNow(Carbon::now()->addHours(25));
    app()->call([new SweepUp(), 'handle']);
    expect($this->atHouse('GET', '/transfers')->json('out'))
        ->toBeNull()
        ->and(glob(Transfer::folder().'/*'))
        ->toBe([]);
});

it('takes Skerry House out and into another, with lines of every kind there is', function () {
    [$mine, $keeper] = [$this->house, $this->keeper];
    $this->house = $this->skerryHouse();
    $this->keeper = User::query()->where('email', SkerryHouse::EMAIL)->firstOrFail();
    $zip = zipOf($this);
    $was = BusyHouse::exported($this);
    [$this->house, $this->keeper] = [$mine, $keeper];
    $in = takeZip($this, $zip, ['settings' => true]);
    expect($in['state'])->toBe('done', $in['says'] ?? '');
    $is = BusyHouse::exported($this);
    // The jar that is warm there was switched off here, at its last.
    $differ = fn (array $batch, int $i): bool => $batch !== $was['batches'][$i];
    $warm = array_key_last(array_filter($is['batches'], $differ, ARRAY_FILTER_USE_BOTH));
    expect(array_pop($is['batches'][$warm]['log'])['data']['task'])->toBe('warm_off');
    foreach (['batches', 'makings', 'boils', 'lots'] as $what) {
        expect($was[$what])->not->toBe([])->and($is[$what])->toEqual($was[$what], $what);
    }
    expectKept();
});

it('knows in its schema each kind of line that a logbook has, and no other', function (string $of, string $lines, array $more) {
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/house.schema.json')), true);
    $published = $schema['properties'][$of]['items']['properties']['log']['items']['properties']['kind']['enum'];
    // As they stand in the code, without asking who reads them.
    $written = [];
    foreach (glob(base_path("core/{$lines}/Line/*.php")) as $file) {
        preg_match("/const KIND = '(\w+)'/", (string) file_get_contents($file), $m) === 1 && ($written[] = $m[1]);
    }
    $all = array_values(array_unique([...$written, ...$more]));
    sort($all);
    sort($published);
    expect($published)->toBe($all)->and(count($written))->toBeGreaterThan(6);
})->with([
    ['batches', 'Batch', []],
    // Kinds that these share with a batch's logbook.
    ['makings', 'Making', ['started', 'note', 'fault', 'discarded', 'undone']],
    ['boils', 'Boiling', ['started', 'note', 'discarded', 'undone']],
]);
