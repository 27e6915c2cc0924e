<?php

use App\Models\Batch;
use Illuminate\Support\Carbon;

beforeEach(fn () => Carbon::setTestNow('2026-11-24T09:00:00Z'));

function burners(?int $count, int $status = 200): Illuminate\Testing\TestResponse
{
    $house = test()->atHouse('GET', '')->json();
    $edit = array_intersect_key($house, array_flip(['version', 'name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml']));

    return test()
        ->atHouse('PATCH', '', [...$edit, 'burners' => $count])
        ->assertStatus($status);
}

/** 1 L of oil cleansed with 4 L of water, eight hours a day. */
function cleansingPot(): string
{
    return test()
        ->atHouse('POST', '/boils', [
            'what' => 'long-oil',
            'stage' => 'cleanse',
            'oil' => '1 L',
            'carrier' => 'sesame',
            'hours_a_day' => '8',
        ])
        ->assertOk()
        ->json('id');
}

function saysOf(string $id): string
{
    return test()
        ->atHouse('GET', "/boils/{$id}")
        ->assertOk()
        ->json('next');
}

/** @return list<string> its whiles in the diary: "4 10:00 to 18:00", of the fourth day from today */
function diaryOf(string $id): array
{
    $whiles = [];
    foreach (test()->atHouse('GET', '/diary')->json('days') as $i => $day) {
        foreach ($day['sessions'] as $session) {
            if ($session['boil'] === $id) {
                $whiles[] = "{$i} {$session['text']}";
            }
        }
    }

    return $whiles;
}

function lightPot(string $id, bool $on = true): void
{
    test()
        ->atHouse('POST', "/boils/{$id}/flame", ['on' => $on])
        ->assertOk();
}

it('counts the burners of the stove, and leaves them uncounted', function () {
    burners(3)->assertJsonPath('burners', 3);
    burners(null)->assertJsonPath('burners', null);
    foreach ([0, 25, -1] as $none) {
        burners($none, 422)->assertJsonPath('faults.0.field', 'burners');
    }
});

it('has a pot wait for a burner, in its words, in the list, in the diary and where one more is planned', function () {
    $first = cleansingPot();
    lightPot($first);
    $second = cleansingPot();
    // Nobody counted: both boil at once.
    expect(saysOf($second))->toBe('Put it over the flame.');
    burners(1);
    // Lit at nine for eight hours of the day: the burner is free from 17:00.
    expect(saysOf($second))->toBe('Every burner is taken. Put it over the flame today 17:00.');
    $list = $this->atHouse('GET', '/boils')->json('open');
    expect(array_column($list, 'says', 'id')[$second])->toBe('Every burner is taken. Put it over the flame today 17:00.');
    // A day given, it stands in the diary too: today when the burner is free.
    $this->atHouse('POST', "/boils/{$second}/move", ['until' => '2026-11-24', 'time' => '12:00'])->assertOk();
    expect(diaryOf($second)[0])->toBe('0 17:00 to 22:30')->and(diaryOf($first)[0])->toBe('0 on, till 17:00');
    // One more, planned now: 4 L at 450 mL an hour are 8 h 54 min; the first has 54 min of tomorrow from 7:00, the second had
    // 5 h 30 min before bed and has 3 h 24 min more after it.
    $days = $this->atHouse('POST', '/boil', ['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'carrier' => 'sesame'])->json(
        'days',
    );
    expect($days[0]['says'])->toBe('Wed 25 Nov, 11:18 to 19:18');
    burners(3);
    expect(saysOf($second))->toBe('Put it over the flame today 12:00.');
    // Off the flame, what has been over it goes on first.
    burners(1);
    Carbon::setTestNow('2026-11-24T11:00:00Z');
    lightPot($first, false);
    expect(saysOf($first))->toBe('On again, while somebody is by.')->and(saysOf($second))->toStartWith('Every burner is taken.');
    // Thrown away, it leaves the burner.
    $this->atHouse('POST', "/boils/{$first}/discard", ['reason' => 'burnt'])->assertOk();
    expect(saysOf($second))->toBe('Put it over the flame today 12:00.');
});

it('waits for a double boiler that has the burner, and not for a slow cooker', function () {
    burners(1);
    $pot = cleansingPot();
    $slow = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $slots = fn (Batch $of): array => Batch::query()->withoutGlobalScopes()->findOrFail($of->id)->diary->slots;
    Carbon::setTestNow(Carbon::instance($slots($slow)[0]->from)->addMinute());
    expect(saysOf($pot))->toBe('Put it over the flame.');
    $boiler = $this->batch(['method' => 'double-boiler', 'school' => 'long']);
    Carbon::setTestNow(Carbon::instance($slots($boiler)[0]->from)->addMinute());
    expect(saysOf($pot))->toStartWith('Every burner is taken.');
});

it('moves a pot to a day, and back; the diary and the calendar follow', function () {
    $id = cleansingPot();
    $move = fn (string $day, string $time, int $status = 200) => $this->atHouse('POST', "/boils/{$id}/move", [
        'until' => $day,
        'time' => $time,
    ])->assertStatus($status);
    $moved = $move('2026-11-28', '10:00');
    expect($moved->json('next'))
        ->toBe('Put it over the flame Sat 28 Nov.')
        ->and($moved->json('entries.0.title'))
        ->toBe('Moved: over the flame from Sat 28 Nov, 10:00');
    expect(diaryOf($id)[0])->toBe('4 10:00 to 18:00');
    expect($this->atHouse('GET', '/diary.ics')->assertOk()->getContent())->toContain('DTSTART:20261128T100000Z');
    $this->atHouse('POST', "/boils/{$id}/undo", ['entry' => $moved->json('entries.0.id')])->assertOk();
    expect(saysOf($id))->toBe('Put it over the flame.');
    $move('2026-11-24', '08:59', 422)->assertJsonPath('faults.0.field', 'until');
    $move('2026-02-31', '09:00', 422)->assertJsonPath('faults.0.field', 'until');
    $move('2026-11-28', '25:00', 422)->assertJsonPath('faults.0.field', 'time');
    $move('2027-11-28', '09:00', 422)->assertJsonPath('faults.0.field', 'until');
    lightPot($id);
    $move('2026-11-28', '09:00', 422)->assertJsonPath('detail', 'It is over the flame: take it off before it is moved.');
    lightPot($id, false);
    // A night covered is its way; for days what is watery does not stand.
    $notes = fn ($page): array => array_column($page->json('notes'), 'id');
    expect($notes($move('2026-11-25', '08:00')))
        ->not->toContain('stands-watery')
        ->and($notes($move('2026-11-28', '09:00')))
        ->toContain('stands-watery');
});

it('puts off no pot past the day of what was poured into it', function () {
    $water = $this->atHouse('POST', '/boils', ['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'want' => '5 L'])->json('id');
    lightPot($water);
    $this->atHouse('POST', "/boils/{$water}/strain", ['amount' => '5 L', 'anyway' => true])->assertOk();
    $cook = [
        'what' => 'long-oil',
        'stage' => 'cook',
        'oil' => '1 L',
        'carrier' => 'sesame',
        'liquid' => 'decoction',
        'liquid_from' => $water,
    ];
    $id = $this->atHouse('POST', '/boils', $cook)->assertOk()->json('id');
    // A decoction of the 24th is good for three days in the refrigerator.
    $this->atHouse('POST', "/boils/{$id}/move", ['until' => '2026-11-28', 'time' => '09:00'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'deadline');
    $this->atHouse('POST', "/boils/{$id}/move", ['until' => '2026-11-27', 'time' => '09:00'])->assertOk();
});

it('goes out and in with the house, and refuses a move to no moment', function () {
    $id = cleansingPot();
    $this->atHouse('POST', "/boils/{$id}/move", ['until' => '2026-11-28', 'time' => '10:00'])->assertOk();
    $out = json_decode($this->atHouse('GET', '/export')->assertOk()->getContent(), true);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $bad = $out;
    $bad['boils'][0]['log'][1]['data']['until'] = 'Saturday';
    $this->atHouse('POST', '/import', $bad)->assertStatus(422);
    $this->atHouse('POST', '/import', $out)->assertOk();
    expect(saysOf($id))->toBe('Put it over the flame Sat 28 Nov.');
});
