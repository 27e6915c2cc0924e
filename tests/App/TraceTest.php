<?php

use Illuminate\Support\Facades\DB;

require_once dirname(__DIR__).'/Begun.php';
require_once dirname(__DIR__).'/Decocted.php';

/** @return array<string, string> what is to be done with each, by name */
function does(array $trace): array
{
    return array_column(array_filter($trace['things'], fn (array $each) => $each['side'] !== 'back'), 'do', 'name');
}

/** A lot of calendula, 250 mL of oil bottled from it, a salve of some of that, and things given and sold. */
function traced(): array
{
    $test = test();
    $lot = $test
        ->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'state' => 'dried', 'amount' => '500 g']])
        ->json('lot.id');
    $wax = $test
        ->atHouse('POST', '/lots', ['lot' => ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '100 g', 'called' => 'yellow wax']])
        ->json('lot.id');
    $batch = basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $test->atHouse('POST', "/batches/{$batch}/use", ['bottle' => 3, 'how' => 'given', 'to' => 'Torin'])->assertOk();
    $test->atHouse('POST', "/batches/{$batch}/use", ['bottle' => 2, 'how' => 'given', 'amount' => '20 mL', 'to' => 'Maren'])->assertOk();
    $made = $test
        ->atHouse('POST', '/makings', [
            'wish' => ['oils' => [['batch' => $batch]], 'tins' => [['ml' => 30, 'count' => 3]]],
            'acknowledged' => [],
        ])
        ->assertOk()
        ->json('id');
    $test->atHouse('POST', "/makings/{$made}/pour", ['tins' => [['ml' => 30, 'count' => 3]], 'where' => 'the larder'])->assertOk();
    $test->atHouse('POST', "/makings/{$made}/tins", ['tin' => 1, 'how' => 'given', 'to' => 'Maren'])->assertOk();
    $test->atHouse('POST', "/makings/{$made}/tins", ['tin' => 2, 'how' => 'sold', 'to' => 'the fair', 'price' => 5])->assertOk();

    return [$lot, $wax, $batch, $made];
}

it('follows a bad lot to whoever holds some of it', function () {
    [$lot] = traced();
    $trace = $this->atHouse('GET', "/lots/{$lot}/trace")
        ->assertOk()
        ->json();
    expect(does($trace))
        ->toMatchArray([
            'calendula' => 'throw-away',
            'no. 3 of 26-001' => 'tell',
            'no. 2 of 26-001' => 'throw-away',
            'some of no. 2 of 26-001' => 'tell',
            'P26-001, Calendula salve' => 'throw-away',
            'no. 1 of P26-001' => 'tell',
            'no. 2 of P26-001' => 'tell',
            'no. 3 of P26-001' => 'throw-away',
        ])
        ->and($trace['people'])
        ->toBe([
            ['person' => 'Maren', 'holds' => ['some of no. 2 of 26-001', 'no. 1 of P26-001']],
            ['person' => 'the fair', 'holds' => ['no. 2 of P26-001']],
            ['person' => 'Torin', 'holds' => ['no. 3 of 26-001']],
        ]);
});

it('follows a product back to everything behind it, and a wax only to what it went into', function () {
    [, $wax, , $made] = traced();
    $back = array_filter($this->atHouse('GET', "/makings/{$made}/trace")->json('things'), fn (array $each) => $each['side'] === 'back');
    expect(array_column($back, 'kind', 'name'))->toBe([
        'calendula' => 'lot',
        'yellow wax' => 'lot',
        '26-001, Calendula in sunflower oil' => 'batch',
        // The one it was poured from, and no other.
        'no. 2 of 26-001' => 'bottle',
    ]);
    $names = array_column($this->atHouse('GET', "/lots/{$wax}/trace")->json('things'), 'name');
    expect($names)
        ->toContain('P26-001, Calendula salve')
        ->and($names)
        ->not->toContain('26-001, Calendula in sunflower oil')
        ->and($names)
        ->not->toContain('Torin');
});

it('tells nobody of what was undone, and finds a lot that is out of Stores', function () {
    [$lot, , $batch] = traced();
    $entries = $this->atHouse('GET', "/batches/{$batch}")->json('entries');
    $line = array_values(array_filter($entries, fn (array $each) => str_contains($each['title'], 'Torin')))[0];
    $this->atHouse('POST', "/batches/{$batch}/undo", ['entry' => $line['id']])->assertOk();
    $this->atHouse('DELETE', "/lots/{$lot}")->assertNoContent();
    $trace = $this->atHouse('GET', "/lots/{$lot}/trace")
        ->assertOk()
        ->json();
    expect(array_column($trace['people'], 'person'))
        ->toBe(['Maren', 'the fair'])
        ->and($trace['things'][0]['detail'])
        ->toBe('no longer in Stores');
});

it('asks the database no more often for a large house, and shows nobody another house', function () {
    [$lot, , , $made] = traced();
    $asks = function () use ($lot): int {
        DB::enableQueryLog();
        $this->atHouse('GET', "/lots/{$lot}/trace")->assertOk();
        $count = count(DB::getQueryLog());
        DB::disableQueryLog();
        DB::flushQueryLog();

        return $count;
    };
    $asks();
    $before = $asks();
    $batch = basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $this->atHouse('POST', '/makings', [
        'wish' => ['oils' => [['batch' => $batch]], 'tins' => [['ml' => 30, 'count' => 3]]],
        'acknowledged' => [],
    ])->assertOk();
    expect($asks())->toBe($before);
    $other = $this->aHouse($this->keeper, 'Another');
    foreach (["/lots/{$lot}/trace", "/makings/{$made}/trace"] as $path) {
        $this->call_('GET', "/houses/{$other->uid}{$path}")->assertStatus(404);
    }
});

it('sets two products and two batches side by side', function () {
    [, , $batch, $made] = traced();
    $second = basename(bottledBatch(['herb' => ['id' => 'calendula'], 'oils' => ['olive']], '300 mL'));
    $other = $this->atHouse('POST', '/makings', [
        'wish' => ['oils' => [['batch' => $second]], 'firmness' => 'firm', 'tins' => [['ml' => 30, 'count' => 3]]],
        'acknowledged' => [],
    ])->json('id');
    $alone = $this->atHouse('GET', "/makings/{$made}/beside")->assertOk();
    expect($alone->json('rows'))->toBe([])->and($alone->json('others.0.id'))->toBe($other);
    $beside = $this->atHouse('GET', "/makings/{$made}/beside?other={$other}")->assertOk();
    expect(array_column($beside->json('rows'), 'name'))
        ->toContain('How firm')
        ->toContain('Poured from')
        ->and(array_column($beside->json('rows'), 'by'))
        ->toBe(collect($beside->json('rows'))->pluck('by')->sortDesc()->values()->all());
    $rows = array_column(
        $this->atHouse('GET', "/batches/{$batch}/beside?other={$second}")
            ->assertOk()
            ->json('rows'),
        'one',
        'name',
    );
    expect($rows['Oil'])->toBe('sunflower oil')->and($rows['Came out'])->toBe('260 mL')->and($rows)->not->toHaveKey('Herb');
    $this->atHouse('GET', "/batches/{$batch}/beside?other=nobody")->assertStatus(404);
});

it('follows what somebody has, back to the plant, and what a product is made of once more', function () {
    [$made, $batch] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/weigh", ['part' => 'beeswax'])->assertOk();
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]], 'where' => 'the dresser'])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'given', 'to' => 'the ferry crew'])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 2, 'how' => 'given', 'to' => 'the lighthouse'])->assertOk();
    $this->atHouse('POST', "/batches/{$batch}/use", ['bottle' => 3, 'how' => 'given', 'to' => 'The Ferry Crew'])->assertOk();
    $trace = $this->atHouse('GET', '/trace/person?name='.rawurlencode('the ferry crew'))
        ->assertOk()
        ->json();
    $kinds = fn (string $kind): array => array_values(
        array_column(array_filter($trace['things'], fn (array $thing) => $thing['kind'] === $kind), 'name'),
    );
    // One tin and one bottle of the many there are, the bottle that tin was poured from, and all that these came from.
    expect($kinds('tin'))
        ->toBe(["no. 1 of {$made['code']}"])
        ->and($kinds('bottle'))
        ->toHaveCount(2)
        ->and($kinds('product'))
        ->toHaveCount(1)
        ->and($kinds('batch'))
        ->toHaveCount(1)
        ->and($kinds('person'))
        ->toBe(['The Ferry Crew']);
    $this->atHouse('GET', '/trace/person?name=nobody')->assertStatus(404);
    $this->atHouse('GET', '/trace/person')->assertStatus(404);
    expect(
        $this->atHouse('GET', "{$path}/again?times=2")
            ->assertOk()
            ->json('wish.tins.0.count'),
    )->toBe(8);
    foreach (['0', '500', 'many', '-1'] as $times) {
        $this->atHouse('GET', "{$path}/again?times={$times}")
            ->assertStatus(422)
            ->assertJsonPath('faults.0.field', 'times');
    }
});

it('closes all that a lot went into with one press, each in its own logbook', function () {
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '100 g', 'price' => '5.00']])
        ->assertOk()
        ->json('lot.id');
    [$made, $batch] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/weigh", ['part' => 'beeswax'])->assertOk();
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]], 'where' => 'the dresser'])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'given', 'to' => 'the ferry crew'])->assertOk();
    $throws = fn (array $trace): array => array_values(
        array_column(array_filter($trace['things'], fn (array $thing) => $thing['do'] === 'throw-away'), 'id'),
    );
    $trace = $this->atHouse('GET', "/lots/{$lot}/trace")->json();
    $seen = $throws($trace);
    // The lot, the product and its two tins that are here; the third is with somebody.
    expect($seen)->toHaveCount(4);
    // Something became of it meanwhile: what was not seen is not thrown away.
    $this->atHouse('POST', "{$path}/tins", ['tin' => 2, 'how' => 'used'])->assertOk();
    $this->atHouse('POST', "/lots/{$lot}/recall", ['reason' => 'smells of paint', 'things' => $seen])->assertStatus(409);
    expect(DB::table('tins')->where('state', 'thrown')->count())->toBe(0);
    $seen = $throws($this->atHouse('GET', "/lots/{$lot}/trace")->json());
    $this->atHouse('POST', "/lots/{$lot}/recall", ['reason' => '', 'things' => $seen])->assertStatus(422);
    $this->atHouse('POST', "/lots/{$lot}/recall", ['reason' => 'smells of paint', 'things' => ['batch 1']])->assertStatus(409);
    $closed = $this->atHouse('POST', "/lots/{$lot}/recall", ['reason' => 'smells of paint', 'things' => $seen])
        ->assertOk()
        ->json();
    expect($throws($closed))
        ->toBe([])
        // Whom to tell is not closed by throwing away what is here.
        ->and(array_column($closed['people'], 'person'))
        ->toBe(['the ferry crew'])
        ->and((float) $this->atHouse('GET', "/lots/{$lot}")->json('lot.left'))
        ->toEqual(0.0)
        ->and(array_column($this->atHouse('GET', $path)->json('tins'), 'state'))
        ->toBe(['given', 'used', 'thrown'])
        ->and($this->atHouse('GET', $path)->json('entries.0.note'))
        ->toBe('smells of paint');
    // A retry after a lost answer has nothing left to throw away.
    $this->atHouse('POST', "/lots/{$lot}/recall", ['reason' => 'smells of paint', 'things' => $seen])->assertStatus(409);
    // The oil is sound: recalled, its bottles go too.
    $seen = $throws($this->atHouse('GET', "/batches/{$batch}/trace")->json());
    $closed = $this->atHouse('POST', "/batches/{$batch}/recall", ['reason' => 'mould', 'things' => $seen])
        ->assertOk()
        ->json();
    expect($throws($closed))->toBe([])->and(inBottles($batch))->toEqual(0.0);
});

it('tells each person once, by whatever capitals, of all they were given, and says of what nobody’s name was written', function () {
    $lot = $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'herb', 'material' => 'calendula', 'state' => 'dried', 'amount' => '500 g'],
    ])->json('lot.id');
    $batch = basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $give = fn (int $bottle, string $to, ?string $amount = null) => $this->atHouse(
        'POST',
        "/batches/{$batch}/use",
        ['bottle' => $bottle, 'how' => 'given', 'to' => $to] + ($amount === null ? [] : ['amount' => $amount]),
    )->assertOk();
    $give(1, 'Aunt Mo', '10 mL');
    $give(1, "aunt\n MO", '10 mL');
    $give(1, 'Torin', '10 mL');
    // Whoever has the last of it is not all who have some.
    $give(1, 'Maren');
    $give(2, '', '20 mL');
    $give(3, '');
    $trace = $this->atHouse('GET', "/lots/{$lot}/trace")
        ->assertOk()
        ->json();
    expect($trace['people'])
        ->toBe([
            ['person' => 'Aunt Mo', 'holds' => ['some of no. 1 of 26-001']],
            ['person' => 'Maren', 'holds' => ['no. 1 of 26-001']],
            ['person' => 'Torin', 'holds' => ['some of no. 1 of 26-001']],
            ['person' => '', 'holds' => ['some of no. 2 of 26-001', 'no. 3 of 26-001']],
        ])
        ->and(does($trace)['26-001, Calendula in sunflower oil'])
        ->toBe('throw-away');
    foreach (['Aunt Mo', 'AUNT  mo', ' aunt mo'] as $name) {
        $has = $this->atHouse('GET', '/trace/person?name='.rawurlencode($name))
            ->assertOk()
            ->json();
        expect(array_column($has['things'], 'name'))->toContain('some of no. 1 of 26-001', 'Aunt Mo');
    }
    // All of it went: there is nothing of it to throw away, and somebody to tell.
    $give(2, 'Torin');
    $trace = $this->atHouse('GET', "/batches/{$batch}/trace")->json();
    expect(does($trace)['26-001, Calendula in sunflower oil'])
        ->toBe('nothing')
        ->and(array_column($trace['people'], 'holds', 'person')['Torin'])
        ->toBe(['some of no. 1 of 26-001', 'no. 2 of 26-001']);
});

it('tells who was given some of a decoction, and not what it was used for', function () {
    $pot = decocted();
    $take = fn (array $how) => $this->atHouse('POST', "/boils/{$pot}/take", ['amount' => '20 mL'] + $how);
    $take(['to' => 'a cream'])->assertOk();
    $take(['how' => 'given', 'to' => 'Torin'])->assertOk();
    $struck = $take(['how' => 'given', 'to' => 'Maren'])
        ->assertOk()
        ->json('entries.0');
    $take(['how' => 'sold', 'to' => 'Torin'])->assertStatus(422);
    expect($struck['title'])->toStartWith('Given: 20 mL');
    $this->atHouse('POST', "/boils/{$pot}/undo", ['entry' => $struck['id']])->assertOk();
    expect($this->atHouse('GET', "/boils/{$pot}/trace")->json('people'))
        ->toBe([['person' => 'Torin', 'holds' => ['some of D26-001']]])
        ->and(array_column($this->atHouse('GET', '/trace/person?name=torin')->json('things'), 'kind'))
        ->toContain('pot', 'bottle', 'person');
    $this->atHouse('GET', '/trace/person?name=maren')->assertStatus(404);
});
