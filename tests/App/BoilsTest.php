<?php

use App\Models\Boil;
use App\Models\BoilEntry;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A pot 300 mm wide and 250 mm high: 70.7 mL to the mm. */
function cleansing(array $more = []): array
{
    return [
        'what' => 'long-oil',
        'stage' => 'cleanse',
        'oil' => '1 L',
        'carrier' => 'sesame',
        'width' => '30 cm',
        'height' => '25 cm',
        'hours_a_day' => '8',
        ...$more,
    ];
}

function pot(string $id, string $do, array $with = [], int $status = 200): Illuminate\Testing\TestResponse
{
    return test()
        ->atHouse('POST', "/boils/{$id}/{$do}", $with)
        ->assertStatus($status);
}

beforeEach(fn () => Carbon::setTestNow('2026-11-24T09:00:00Z'));

it('begins a pot from its plan, with a code, a logbook and its level to scale', function () {
    $pot = $this->atHouse('POST', '/boils', cleansing())->assertOk();
    // 1 L of oil, 4 L of water, 250 g of paste that takes up 200 mL: 5.2 L, and 1.2 L when the water is gone.
    $pot->assertJson([
        'code' => 'D26-001',
        'name' => 'Cleansing sesame oil',
        'kind' => 'cleanse',
        'stage' => 'planned',
        'next' => 'Put it over the flame.',
        'left' => '4 L',
        'learned' => false,
        'ends_ml' => 1200,
    ]);
    expect($pot->json('pot.now_mm'))
        ->toEqualWithDelta(5200 / (M_PI * 0.15 ** 2 * 1000), 0.06)
        ->and($pot->json('pot.ends_mm'))
        ->toEqualWithDelta(1200 / (M_PI * 0.15 ** 2 * 1000), 0.06)
        ->and(array_column($pot->json('signs'), 'is'))
        ->toBe([null, null, null, null]);
    $this->atHouse('GET', '/boils')->assertOk()->assertJsonPath('open.0.says', 'Put it over the flame.');
    expect($this->atHouse('POST', '/boils', cleansing())->json('code'))->toBe('D26-002');
});

it('is begun when what is to be read of its herbs was read', function () {
    $comfrey = ['what' => 'decoction', 'herbs' => ['comfrey-leaf'], 'want' => '400 mL'];
    $must = array_values(array_filter($this->atHouse('POST', '/boil', $comfrey)->json('notes'), fn (array $note) => $note['must_read']));
    expect(array_column($must, 'id'))->toContain('pyrrolizidine');
    $this->atHouse('POST', '/boils', $comfrey)->assertStatus(422)->assertJsonPath('faults.0.reason', 'unread');
    $this->atHouse('POST', '/boils', $comfrey + ['acknowledged' => array_column($must, 'id')])->assertOk();
});

it('learns the rate by its marks over the flame, and not by the night', function () {
    $id = $this->atHouse('POST', '/boils', cleansing())->json('id');
    pot($id, 'flame', ['on' => true]);
    pot($id, 'marks', ['level' => '5.2 L', 'by' => 'jug']);
    Carbon::setTestNow('2026-11-24T13:00:00Z');
    pot($id, 'marks', ['level' => '3.6 L', 'by' => 'jug']);
    pot($id, 'flame', ['on' => false]);
    // A night later nothing more has gone: 400 mL an hour by four hours of flame, and 2.4 L left to go, six hours.
    Carbon::setTestNow('2026-11-25T09:00:00Z');
    $off = $this->atHouse('GET', "/boils/{$id}")->json();
    expect($off)->toMatchArray(['stage' => 'off', 'left' => '2.4 L', 'more' => '6 h', 'learned' => true]);
    expect($off['rate'])->toStartWith('400 mL an hour')->and($off['done'])->toContain('25 Nov')->and($off['track'])->toHaveCount(2);
    pot($id, 'flame', ['on' => true]);
    Carbon::setTestNow('2026-11-25T11:00:00Z');
    $third = pot($id, 'marks', ['level' => '2.8 L', 'by' => 'jug']);
    expect($third->json('left'))->toBe('1.6 L')->and($third->json('more'))->toBe('4 h')->and($third->json('rate'))->toContain('by 3 marks');
    // The next pot may be taken to lose as much.
    $this->atHouse('GET', '/boils')->assertJsonPath('learned', [['rate' => '400 mL', 'of' => 'D26-001, 300 mm wide']]);
    // The last of eight hours a day is at 17:00, and four more are to go.
    expect($third->json('done'))->toContain('15:00');
});

it('refuses what cannot be at a pot, and keeps what was there', function () {
    $id = $this->atHouse('POST', '/boils', cleansing())->json('id');
    pot($id, 'flame', ['on' => false], 422)->assertJsonPath('detail', 'It is off the flame already.');
    pot($id, 'signs', ['flame' => 'quiet'], 422)->assertJsonPath('detail', 'It has not been over the flame yet.');
    pot($id, 'flame', ['on' => true]);
    pot($id, 'flame', ['on' => true], 422)->assertJsonPath('detail', 'It is over the flame already.');
    pot($id, 'marks', ['level' => '260 mm', 'by' => 'stick'], 422)->assertJsonPath('faults.0.field', 'level');
    pot($id, 'marks', ['level' => '60 mm', 'by' => 'stick']);
    pot($id, 'marks', ['level' => '70 mm', 'by' => 'stick'], 422)->assertJsonPath('faults.0.field', 'level');
    pot($id, 'marks', ['level' => '70 mm', 'by' => 'stick', 'anew' => true]);
    pot($id, 'marks', ['level' => 'high', 'by' => 'stick'], 422);
    pot($id, 'warmth', ['warmth' => '400 C'], 422);
    pot($id, 'signs', [], 422)->assertJsonPath('detail', 'Say what is seen of one sign at the least.');
    pot($id, 'signs', ['flame' => 'loud'], 422);
    pot($id, 'flame', ['on' => false, 'at' => '08:00'], 422)->assertJsonPath('faults.0.field', 'at');
    pot($id, 'flame', ['on' => false, 'at' => 'noonish'], 422)->assertJsonPath('faults.0.field', 'at');
    // What is to come is not taken for yesterday.
    pot($id, 'flame', ['on' => false, 'at' => '23:30'], 422)->assertJsonPath('faults.0.reason', 'out_of_range');
    pot($id, 'flame', ['on' => false, 'at' => 'tomorrow 9am'], 422)->assertJsonPath('faults.0.field', 'at');
    pot($id, 'take', ['amount' => '10 mL'], 422);
    expect(BoilEntry::query()->count())->toBe(4);
    foreach (
        [
            ['width' => '12 cm'],
            ['oil' => null, 'width' => null, 'height' => null],
            ['carrier' => 'engine'],
            ['purpose' => 'kitchen', 'stage' => 'cook'],
        ] as $wrong
    ) {
        $this->atHouse('POST', '/boils', cleansing($wrong))->assertStatus(422);
    }
    // What is deadly in oil is deadly in water, and is not begun.
    foreach (
        [
            ['what' => 'decoction', 'herbs' => ['foxglove'], 'want' => '400 mL'],
            ['what' => 'glycerin', 'herbs' => ['foxglove'], 'total' => '100 g'],
            cleansing(['stage' => 'cook', 'paste_herbs' => ['foxglove']]),
            cleansing(['stage' => 'cook', 'herbs' => ['foxglove']]),
        ] as $deadly
    ) {
        $this->atHouse('POST', '/boils', $deadly)->assertStatus(422)->assertJsonPath('faults.0.reason', 'never_so');
    }
    expect(Boil::query()->count())->toBe(1);
});

it('is strained when four signs agree, and not before unless it is said', function () {
    $id = $this->atHouse(
        'POST',
        '/boils',
        cleansing(['stage' => 'cook', 'herbs' => ['marshmallow-root'], 'paste_herbs' => ['marshmallow-root']]),
    )->json('id');
    pot($id, 'flame', ['on' => true]);
    Carbon::setTestNow('2026-11-24T18:00:00Z');
    pot($id, 'strain', ['amount' => '900 mL'], 422)
        ->assertJsonPath('faults.0.reason', 'not_done')
        ->assertJsonPath('faults.0.field', 'anyway');
    $seen = pot($id, 'signs', ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'breaks']);
    expect($seen->json('verdict.verdict'))
        ->toBe('not-yet')
        ->and(array_column($seen->json('verdict.why'), 'id'))
        ->toBe(['wick-breaks', 'look-senses']);
    Carbon::setTestNow('2026-11-24T18:30:00Z');
    $done = pot($id, 'signs', ['wick' => 'rolls', 'senses' => 'right']);
    expect($done->json('verdict.verdict'))
        ->toBe('done')
        ->and(array_column($done->json('signs'), 'agrees'))
        ->toBe([true, true, true, true])
        ->and($done->json('next'))
        ->toBe('Off the flame, and strain it warm.');
    // An hour and more of flame later a look says nothing any more.
    Carbon::setTestNow('2026-11-24T19:15:00Z');
    expect(array_column($this->atHouse('GET', "/boils/{$id}")->json('signs'), 'stale'))->toBe([true, true, false, false]);
    pot($id, 'strain', ['amount' => '900 mL'], 422);
    pot($id, 'signs', ['flame' => 'quiet', 'froth' => 'stands']);
    pot($id, 'strain', ['amount' => '5 L'], 422)->assertJsonPath('faults.0.field', 'amount');
    $made = pot($id, 'strain', ['amount' => '900 mL', 'where' => 'the larder']);
    // It is an oil of the house from then on, in its bottles.
    $batch = $this->atHouse('GET', '/batches/'.$made->json('made.batch'))
        ->assertOk()
        ->json();
    expect($made->json('stage'))
        ->toBe('gone')
        ->and($batch['stage'])
        ->toBe('bottled')
        ->and($batch['name'])
        ->toContain('arshmallow')
        ->and(array_column($batch['entries'], 'note'))
        ->toContain("{$made->json('code')}: {$made->json('name')}");
    $entry = $made->json('entries.0');
    expect($entry['can_undo'])->toBeFalse();
    pot($id, 'undo', ['entry' => $entry['id']], 422);
});

it('takes a time as it is said', function (string $at, string $meant) {
    $id = $this->atHouse('POST', '/boils', ['what' => 'decoction', 'hardness' => 'very-hard', 'herb' => '100 g'])->json('id');
    Carbon::setTestNow('2026-11-25T17:00:00Z');
    pot($id, 'flame', ['on' => true, 'at' => $at]);
    expect(App\Models\BoilEntry::query()->latest('id')->firstOrFail()->happened_at->toIso8601ZuluString())->toBe($meant);
})->with([
    ['now', '2026-11-25T17:00:00Z'],
    ['16:40', '2026-11-25T16:40:00Z'],
    ['4.40pm', '2026-11-25T16:40:00Z'],
    ['today at 16:40', '2026-11-25T16:40:00Z'],
    ['yesterday 9 pm', '2026-11-24T21:00:00Z'],
]);

it('moves a pot to a time as it is said, and takes what was weighed of a decoction', function () {
    $id = $this->atHouse('POST', '/boils', ['what' => 'decoction', 'hardness' => 'very-hard', 'herb' => '100 g'])->json('id');
    pot($id, 'move', ['until' => '2026-11-27', 'time' => 'evening'], 422)->assertJsonPath('faults.0.field', 'time');
    pot($id, 'move', ['until' => '2026-11-27', 'time' => '7am']);
    Carbon::setTestNow('2026-11-27T07:00:00Z');
    pot($id, 'flame', ['on' => true]);
    expect(pot($id, 'strain', ['amount' => '390 g'])->json('made.amount'))->toBe('390 mL');
});

it('asks for what it was not told of a pot', function (array $pot, string $field, string $says) {
    $answer = $this->atHouse('POST', '/boil', ['what' => 'decoction', 'hardness' => 'very-hard', 'herb' => '100 g', ...$pot])->assertStatus(
        422,
    );
    expect($answer->json('faults.0.field'))->toBe($field)->and($answer->json('faults.0.sentence'))->toBe($says);
})->with([
    [['width' => '20'], 'height', 'Say how high the pot is inside, too.'],
    [['height' => '20 cm'], 'width', 'Say how wide the pot is inside, too.'],
]);

it('keeps a decoction for three days, and an extract for a year, and says how much of it is left', function () {
    $id = $this->atHouse('POST', '/boils', ['what' => 'decoction', 'hardness' => 'very-hard', 'herb' => '100 g'])->json('id');
    pot($id, 'signs', ['flame' => 'quiet'], 422)->assertJsonPath('faults.0.field', 'signs');
    pot($id, 'flame', ['on' => true]);
    $made = pot($id, 'strain', ['amount' => '390 mL', 'where' => 'the refrigerator']);
    expect($made->json('made'))->toMatchArray(['amount' => '390 mL', 'best_before' => '27 Nov 2026', 'batch' => null, 'past' => false]);
    $less = pot($id, 'take', ['amount' => '150 mL', 'to' => 'a cream']);
    expect($less->json('made.left'))->toBe('240 mL')->and($less->json('stage'))->toBe('made');
    pot($id, 'take', ['amount' => '300 mL'], 422)->assertJsonPath('faults.0.field', 'amount');
    pot($id, 'take', ['amount' => '½'], 422)->assertJsonPath('faults.0.field', 'amount');
    $half = pot($id, 'take', ['amount' => 'half']);
    expect($half->json('made.left'))->toBe('120 mL');
    pot($id, 'undo', ['entry' => $half->json('entries.0.id')]);
    $this->atHouse('GET', '/boils')
        ->assertJsonPath('open', [])
        ->assertJsonPath('here.0.says', '240 mL, the refrigerator, until 27 Nov 2026');
    Carbon::setTestNow('2026-11-28T09:00:00Z');
    $this->atHouse('GET', '/boils')->assertJsonPath('here.0.urgent', true);
    // Undone the taking, and the straining, it stands at the stove again.
    $entries = $less->json('entries');
    pot($id, 'undo', ['entry' => $entries[1]['id']], 422);
    pot($id, 'undo', ['entry' => $entries[0]['id']]);
    expect(pot($id, 'undo', ['entry' => $entries[1]['id']])->json('stage'))->toBe('on');

    $id = $this->atHouse('POST', '/boils', ['what' => 'glycerin', 'total' => '100 g', 'share' => '80', 'extract_now' => '60 g'])->json(
        'id',
    );
    expect(pot($id, 'flame', ['on' => true])->json('left'))->toBe('40 g');
    pot($id, 'marks', ['level' => '45 g', 'by' => 'scale']);
    expect(pot($id, 'strain', ['amount' => '98 g'])->json('made.best_before'))->toBe('28 Nov 2027');
    pot($id, 'discard', ['reason' => 'spilled']);
    pot($id, 'discard', ['reason' => 'spilled'], 422);
});

it('says when the water is gone by the warmth', function () {
    $id = $this->atHouse('POST', '/boils', cleansing())->json('id');
    pot($id, 'flame', ['on' => true]);
    foreach (['60 C' => 'cool', '93 C' => 'as-it-should', '97 C' => 'gone'] as $warmth => $is) {
        Carbon::setTestNow(Carbon::now()->addMinutes(10));
        expect(pot($id, 'warmth', ['warmth' => $warmth])->json('watch.id'))->toBe($is);
    }
    Carbon::setTestNow(Carbon::now()->addHours(1));
    expect(pot($id, 'warmth', ['warmth' => '96 C'])->json('watch.id'))
        ->toBe('hot')
        ->and(pot($id, 'warmth', ['warmth' => '102 C'])->json('watch.rank'))
        ->toBe('stop');
});

it('never changes a line of a pot’s logbook', function () {
    $this->atHouse('POST', '/boils', cleansing())->assertOk();
    expect(fn () => DB::table('boil_entries')->update(['by' => 'nobody']))->toThrow(Illuminate\Database\QueryException::class);
    expect(fn () => DB::table('boil_entries')->delete())->toThrow(Illuminate\Database\QueryException::class);
});

it('is a pot of its own house only', function () {
    $id = $this->atHouse('POST', '/boils', cleansing())->json('id');
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('GET', "/boils/{$id}")->assertNotFound();
    pot($id, 'flame', ['on' => true], 404);
});

it('stands in the days to come with somebody at home, and in the calendar, and goes round who is away', function () {
    $id = $this->atHouse('POST', '/boils', cleansing(['rate' => '400 mL']))->json('id');
    $sessions = fn (): array => array_values(
        array_filter(
            array_merge(...array_column($this->atHouse('GET', '/diary')->assertOk()->json('days'), 'sessions')),
            fn (array $each) => $each['boil'] !== null,
        ),
    );
    // Not begun yet, nobody is asked to be at home for it.
    expect($sessions())->toBe([]);
    pot($id, 'flame', ['on' => true]);
    // Ten hours of flame at eight a day: today and tomorrow.
    $laid = $sessions();
    expect(array_column($laid, 'boil'))
        ->toBe([$id, $id])
        ->and($laid[0])
        ->toMatchArray(['herbs' => 'Cleansing sesame oil', 'cooker' => 'pot D26-001', 'batches' => [], 'text' => 'on, till 17:00']);
    expect($this->atHouse('GET', '/diary.ics')->getContent())->toContain('SUMMARY:Cleansing sesame oil');
    pot($id, 'flame', ['on' => false]);
    $this->atHouse('POST', '/absences', ['called' => 'away', 'from' => '2026-11-24', 'to' => '2026-11-25'])->assertOk();
    expect($sessions()[0]['text'])
        ->not->toContain('on')
        ->and($this->atHouse('GET', "/boils/{$id}")->json('next'))
        ->toContain('26 Nov');
});

it('goes out with the house and comes in again with every line, once', function () {
    $id = $this->atHouse('POST', '/boils', cleansing())->json('id');
    pot($id, 'flame', ['on' => true]);
    pot($id, 'marks', ['level' => '70 mm', 'by' => 'stick']);
    pot($id, 'warmth', ['warmth' => '92 C']);
    pot($id, 'signs', ['flame' => 'crackles']);
    pot($id, 'notes', ['note' => 'smells of hay']);
    pot($id, 'flame', ['on' => false]);
    $here = $this->atHouse('GET', "/boils/{$id}")->json();
    $out = json_decode($this->atHouse('GET', '/export')->getContent(), true);
    expect($out['boils'][0]['log'])->toHaveCount(7)->and($out['boils'][0]['name'])->toBe('Cleansing sesame oil');
    $this->house = $this->aHouse($this->keeper, 'Second house');
    expect($this->atHouse('POST', '/import', $out)->assertOk()->json('says'))->toContain('1 pots boiled down');
    expect($this->atHouse('GET', "/boils/{$id}")->json())->toEqual($here);
    expect($this->atHouse('POST', '/import', $out)->json('says'))->toStartWith('Everything in that file is here already');
    expect($this->atHouse('POST', '/boils', cleansing())->json('code'))->toBe('D26-002');

    foreach (
        [
            fn (array $file) => array_replace_recursive($file, ['boils' => [['plan' => ['kind' => 'soup']]]]),
            fn (array $file) => array_replace_recursive($file, ['boils' => [['plan' => ['rate' => ['value' => 0]]]]]),
            fn (array $file) => array_replace_recursive($file, ['boils' => [['log' => [2 => ['data' => ['ml' => 'much']]]]]]),
            fn (array $file) => array_replace_recursive($file, ['boils' => [['wish' => ['colour' => 'red']]]]),
            fn (array $file) => array_replace_recursive($file, ['boils' => [['id' => '01kz000000000000000000000x']]]),
        ] as $spoil
    ) {
        $this->atHouse('POST', '/import', $spoil($out))->assertStatus(422);
    }
});

it('tells of a month of a pot as much as of a few days of it', function () {
    $id = $this->atHouse('POST', '/boils', cleansing())->json('id');
    $boil = Boil::withoutGlobalScopes()->where('uid', $id)->firstOrFail();
    $rows = [];
    $level = 5200.0;
    foreach (range(0, 29) as $day) {
        $from = Carbon::parse('2026-10-20T09:00:00Z')->addDays($day);
        $line = function (string $kind, array $data, int $minutes) use (&$rows, $boil, $from): void {
            $rows[] = [
                'house_id' => $boil->house_id,
                'boil_id' => $boil->id,
                'uid' => strtolower((string) Illuminate\Support\Str::ulid()),
                'by' => 'Una',
                'kind' => $kind,
                'data' => json_encode($data),
                'happened_at' => $from->copy()->addMinutes($minutes),
                'recorded_at' => $from,
            ];
        };
        $line('lit', [], 0);
        foreach (range(1, 12) as $mark) {
            $line('marked', ['ml' => ($level -= 10), 'typed' => 'so much'], $mark * 10);
        }
        $line('covered', [], 125);
    }
    BoilEntry::query()->insert($rows);
    $pot = $this->atHouse('GET', "/boils/{$id}")
        ->assertOk()
        ->json();
    expect(count($pot['entries']))
        ->toBe(80)
        ->and($pot['entries_total'])
        ->toBe(421)
        ->and(count($pot['marks']))
        ->toBe(120)
        // The first and the last are among them.
        ->and([$pot['marks'][0]['ml'], $pot['marks'][119]['ml']])
        ->toBe([5190, 1600])
        ->and(count($pot['track']))
        ->toBe(60)
        ->and($pot['learned'])
        ->toBeTrue();
});
