<?php

use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;
use Tests\BusyHouse;

it('exports a house that keeps to its schema, and reads back equal', function () {
    BusyHouse::in($this);
    $text = $this->atHouse('GET', '/export')->getContent();
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/house.schema.json')));
    expect((new Validator())->validate(json_decode($text), $schema)->isValid())->toBeTrue();
    $first = json_decode($text, true);
    $pages = [];
    foreach ($first['batches'] as $batch) {
        $pages[$batch['id']] = $this->atHouse('GET', "/batches/{$batch['id']}")->json();
    }
    $made = $first['makings'][0]['id'];
    $salve = $this->atHouse('GET', "/makings/{$made}")
        ->assertOk()
        ->json();

    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $first)->assertOk()->assertJsonPath('batches', 4);
    $second = BusyHouse::exported($this);
    expect($second['batches'])
        ->toEqual($first['batches'])
        ->and($second['lots'])
        ->toEqual($first['lots'])
        ->and($second['recipes'])
        ->toEqual($first['recipes'])
        ->and(count($first['makings']))
        ->toBe(1)
        ->and($second['makings'])
        ->toEqual($first['makings']);
    expect(
        array_diff_key(
            $this->atHouse('GET', "/makings/{$made}")
                ->assertOk()
                ->json(),
            ['version' => 0],
        ),
    )->toEqual(array_diff_key($salve, ['version' => 0]));
    $lot = $first['lots'][0]['id'];
    expect($this->atHouse('GET', "/lots/{$lot}")->json('lot.left_text'))->not->toBe('500 g');
    foreach ($pages as $id => $page) {
        $now = $this->atHouse('GET', "/batches/{$id}")
            ->assertOk()
            ->json();
        $parts = [
            'stage',
            'stage_text',
            'tasks',
            'bottles',
            'best_before',
            'entries',
            'press',
            'label',
            'purpose',
            'kept',
            'cautions',
            'lots',
        ];
        foreach ($parts as $part) {
            expect($now[$part])->toEqual($page[$part], $part);
        }
    }
    expect(collect($second['jars'])->firstWhere('called', 'crock'))
        ->not->toBeNull()
        ->and($second['almanac'])
        ->toEqual($first['almanac'])
        ->and($this->atHouse('GET', '/yields')->json('lines'))
        ->not->toBe([]);
});

it('makes nothing twice from the same file', function () {
    BusyHouse::in($this);
    $file = BusyHouse::exported($this);
    $count = fn () => [
        DB::table('batches')->count(),
        DB::table('log_entries')->count(),
        DB::table('making_entries')->count(),
        DB::table('tins')->count(),
        DB::table('jars')->count(),
        DB::table('bottles')->count(),
        DB::table('lots')->count(),
        DB::table('lot_moves')->count(),
        DB::table('lot_checks')->count(),
        DB::table('recipe_versions')->count(),
    ];
    $before = $count();
    $this->atHouse('POST', '/import', $file)->assertOk()->assertJsonPath('batches', 0)->assertJsonPath('entries', 0);
    expect($count())->toBe($before);
});

it('takes in nothing of a press that cannot be', function () {
    BusyHouse::in($this);
    $whole = BusyHouse::exported($this);
    $at = collect($whole['batches'])->search(fn ($batch) => collect($batch['log'])->contains('kind', 'bottled'));
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $breaks = [
        ['used', 'bottle', 0],
        ['used', 'ml', 'all of it'],
        ['checked', 'verdict', 'lovely'],
        ['kept', 'place', 'attic'],
        ['purpose', 'to', 'petrol'],
        ['bottled', 'taken', [['lot' => 'moon', 'count' => 1]]],
        ['decanted', 'ml', null],
        ['acknowledged', 'cautions', 'all'],
        ['fault', 'signs', 'cloudy'],
    ];
    foreach ($breaks as [$kind, $key, $value]) {
        $file = $whole;
        $line = collect($file['batches'][$at]['log'])->search(fn ($line) => $line['kind'] === $kind);
        $file['batches'][$at]['log'][$line]['data'][$key] = $value;
        $this->atHouse('POST', '/import', $file)->assertStatus(422);
    }
    $label = $whole;
    $label['batches'][$at]['label']['size'] = 'papyrus';
    $this->atHouse('POST', '/import', $label)->assertStatus(422);
    $note = $whole;
    $note['almanac'][0]['kind'] = 'stone';
    $this->atHouse('POST', '/import', $note)->assertStatus(422);
    $this->atHouse('GET', '/shelf')->assertJsonPath('empty', true);
});

it('adds the lines of a logbook that are not here yet', function () {
    $batch = $this->batch();
    $early = BusyHouse::exported($this);
    $this->fill($batch);
    $late = BusyHouse::exported($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $early)->assertOk();
    $this->atHouse('POST', '/import', $late)->assertOk()->assertJsonPath('batches', 0)->assertJsonPath('entries', 1);
    $this->atHouse('GET', "/batches/{$batch->uid}")->assertJsonPath('stage', 'steeping');
});

it('goes on counting after what was taken in', function () {
    $this->batch();
    $this->batch();
    $file = BusyHouse::exported($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $file)->assertOk();
    expect($this->batch()->code)->toBe('26-003');
});

it('changes nothing by a half-broken file', function (Closure $break) {
    $this->batch();
    $this->batch();
    $file = BusyHouse::exported($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $broken = $break($file);
    $answer = is_string($broken)
        ? $this->actingAs($this->keeper)->call(
            'POST',
            "/api/houses/{$this->house->uid}/import",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => 'broken-import', 'HTTP_ACCEPT' => 'application/json'],
            $broken,
        )
        : $this->atHouse('POST', '/import', $broken);
    expect($answer->status())
        ->toBe(422)
        ->and($answer->json('detail'))
        ->toMatch(is_string($broken) ? '/^That is neither a zip nor a JSON document of a house/' : '/\.$/');
    app(CurrentHouse::class)->within($this->house, fn () => expect(Batch::query()->count())->toBe(0));
})->with([
    'cut short' => [fn (array $f) => substr((string) json_encode($f), 0, -200)],
    'a picture' => [fn () => "\x89PNG\r\n\x1a\n"],
    'words' => [fn () => 'calendula in olive'],
    'another thing' => [fn (array $f) => ['hello' => 'world']],
    'a wrong version' => [fn (array $f) => ['version' => 9] + $f],
    'the second batch broken' => [
        function (array $f) {
            unset($f['batches'][1]['plan']['jar']);

            return $f;
        },
    ],
    'an unknown method' => [
        function (array $f) {
            $f['batches'][1]['plan']['method']['id'] = 'microwave';

            return $f;
        },
    ],
    'an unknown oil' => [
        function (array $f) {
            $f['batches'][1]['plan']['oils'][0]['id'] = 'petrol';

            return $f;
        },
    ],
    'two batches of one code' => [
        function (array $f) {
            $f['batches'][1]['code'] = $f['batches'][0]['code'];

            return $f;
        },
    ],
    'a bad moment' => [
        function (array $f) {
            $f['batches'][1]['log'][0]['happened_at'] = 'yesterday';

            return $f;
        },
    ],
    'a moment that is no moment' => [
        function (array $f) {
            $f['batches'][1]['log'][0]['happened_at'] = '2026-99-99T99:99:99Z';

            return $f;
        },
    ],
    'a strained entry of nothing' => [
        function (array $f) {
            $f['batches'][1]['log'][] =
                ['id' => str_repeat('0', 26), 'data' => ['ml' => 'x'], 'kind' => 'strained'] + $f['batches'][1]['log'][0];

            return $f;
        },
    ],
    'one id for two lines' => [
        function (array $f) {
            $f['batches'][1]['log'][0]['id'] = $f['batches'][0]['log'][0]['id'];

            return $f;
        },
    ],
]);

it('takes cookers, warm sessions with their line, days away, weather and pictures out and in, once', function () {
    $batch = $this->batch(['method' => 'slow-cooker', 'school' => 'usual', 'jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $this->atHouse('POST', '/cookers', [
        'called' => 'the oval one',
        'shape' => 'oval',
        'length' => '300 mm',
        'width' => '210 mm',
        'height' => '140 mm',
        'method' => 'slow-cooker',
    ])->assertOk();
    $cooker = collect($this->atHouse('GET', '/stove')->json('cookers'))->firstWhere('called', 'the oval one')['id'];
    $pot = $this->atHouse('POST', '/stove', [
        'cooker' => $cooker,
        'setting' => 'Warm',
        'batches' => [$batch->uid],
        'watch' => 'hand',
    ])->json('id');
    foreach ([46, 49, 62] as $warmth) {
        Carbon::setTestNow(Carbon::now()->addMinutes(40));
        $this->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => (string) $warmth])->assertOk();
    }
    $this->atHouse('POST', "/stove/{$pot}/tend", ['what' => 'end'])->assertOk();
    $this->atHouse('POST', '/absences', ['from' => '2026-12-24', 'to' => '2026-12-26'])->assertOk();
    $this->atHouse('POST', '/weather', ['csv' => base64_encode("day,cloud\n2026-11-20,0.4\n"), 'do' => true])->assertOk();
    $image = imagecreatetruecolor(60, 60);
    ob_start();
    imagejpeg($image);
    $this->atHouse('POST', "/batches/{$batch->uid}/looks", [
        'what' => 'colour',
        'photo' => base64_encode((string) ob_get_clean()),
        'oil' => [0.5, 0.5],
    ])->assertOk();
    $before = $this->atHouse('GET', "/batches/{$batch->uid}/warmth")->json();
    $file = $this->atHouse('GET', '/export')->assertOk()->json();
    $own = $this->aHouse($this->keeper, 'Another');
    $first = $this->call_('POST', "/houses/{$own->uid}/import", $file);
    expect($first->json('detail'))->toBeNull()->and($first->json('says'))->toContain('5 things of the stove');
    $after = $this->call_('GET', "/houses/{$own->uid}/batches/{$batch->uid}/warmth")
        ->assertOk()
        ->json();
    expect($after['had_text'])
        ->toBe($before['had_text'])
        ->and($after['sessions'][0]['over_text'])
        ->toBe($before['sessions'][0]['over_text'])
        ->and($after['sessions'][0]['chart']['points'])
        ->toBe($before['sessions'][0]['chart']['points']);
    // It is over there for good: what stood where it came from is not put back elsewhere.
    $there = $this->call_('GET', "/houses/{$own->uid}/stove/{$pot}")
        ->assertOk()
        ->json('done');
    expect($there[0]['text'])->toBe('All out, ended')->and(array_filter(array_column($there, 'entry')))->toBe([]);
    expect(array_filter(array_column($this->atHouse('GET', "/stove/{$pot}")->json('done'), 'entry')))->toHaveCount(1);
    expect($this->call_('POST', "/houses/{$own->uid}/import", $file)->json('says'))->toContain('here already');
    // What went out goes out the same from there.
    $again = $this->call_('GET', "/houses/{$own->uid}/export")->json();
    foreach (['weather', 'photos', 'absences'] as $part) {
        expect($again[$part])->toBe($file[$part]);
    }
});

it('holds what a product is, and how it is wished, as the Melt publishes it', function () {
    $read = fn (string $file): array => json_decode((string) file_get_contents(base_path("docs/formats/{$file}.schema.json")), true);
    $melt = $read('reckon')['$defs']['melt'];
    $house = $read('house')['$defs'];
    foreach (['house', ...App\Http\Requests\ReckonProduct::OF_THE_HOUSE] as $field) {
        unset($melt['asks']['properties'][$field]);
    }
    expect($house['product'])->toBe($melt['answers'])->and($house['productWish'])->toBe($melt['asks']);
});

it('takes a shouldered jar out and in once, tells it from one like it, and refuses one that cannot be', function () {
    $shouldered = ['called' => 'flagon', 'brim' => '460 mL', 'height' => '130 mm', 'marks' => '400 mL at 100 mm'];
    $this->atHouse('POST', '/jars', ['marks' => '500 mL at 100 mm'] + $shouldered)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'marks');
    $jars = $this->atHouse('POST', '/jars', $shouldered)->assertOk()->json('jars');
    expect(array_column($jars, 'text', 'called')['flagon'])->toBe('460 mL to the brim, 130 mm high; 400 mL at 100 mm');
    $file = $this->atHouse('GET', '/export')->assertOk()->json();
    $there = $this->aHouse($this->keeper, 'Another');
    $this->call_('POST', "/houses/{$there->uid}/import", $file)->assertOk();
    $this->call_('POST', "/houses/{$there->uid}/import", $file)->assertOk();
    $flagons = fn (): array => array_values(
        array_filter($this->call_('GET', "/houses/{$there->uid}/export")->json('jars'), fn (array $jar) => $jar['called'] === 'flagon'),
    );
    expect(array_column($flagons(), 'marks'))->toEqual([[['ml' => 400, 'mm' => 100]]]);
    $at = array_search('flagon', array_column($file['jars'], 'called'), true);
    $file['jars'][$at] = ['id' => str_repeat('0', 26), 'marks' => [['ml' => 300, 'mm' => 80]]] + $file['jars'][$at];
    $this->call_('POST', "/houses/{$there->uid}/import", $file)->assertOk();
    expect($flagons())->toHaveCount(2);
    $file['jars'][$at] = ['id' => str_repeat('1', 26), 'marks' => [['ml' => 455, 'mm' => 20]]] + $file['jars'][$at];
    $this->call_('POST', "/houses/{$there->uid}/import", $file)->assertStatus(422);
    expect($flagons())->toHaveCount(2);
});
