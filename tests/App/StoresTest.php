<?php

use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** @param  array<string, mixed>  $fields */
function aLot($test, array $fields = []): string
{
    return $test
        ->atHouse('POST', '/lots', ['lot' => $fields + ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 L']])
        ->assertOk()
        ->json('lot.id');
}

function leftOf($test, string $id): string
{
    return $test
        ->atHouse('GET', "/lots/{$id}")
        ->assertOk()
        ->json('lot.left_text');
}

it('takes a lot in as it is written, and shows it', function () {
    $id = aLot($this, [
        'kind' => 'herb',
        'material' => 'calendula',
        'amount' => '8 oz',
        'price' => '£12.50',
        'got_how' => 'gathered',
        'got_where' => 'the walled garden',
        'got_on' => '2026-07-20',
        'food_grade' => true,
        'part' => 'petals',
        'note' => 'Dried on racks.',
    ]);
    $detail = $this->atHouse('GET', "/lots/{$id}")->assertOk();
    $detail
        ->assertJsonPath('lot.called', 'calendula')
        ->assertJsonPath('lot.left_text', '227 g')
        ->assertJsonPath('lot.got', 'gathered, the walled garden, 20 Jul 2026')
        ->assertJsonPath('lot.price_text', '12.50')
        ->assertJsonPath('lot.condition', 'sound')
        ->assertJsonPath('lot.what', 'petals; flower heads or petals, dried')
        ->assertJsonPath('fields.amount', '8 oz')
        ->assertJsonPath('fields.note', 'Dried on racks.')
        ->assertJsonPath('moves.0.text', '227 g came in')
        ->assertJsonPath('moves.0.by', 'Keeper')
        ->assertJsonCount(4, 'asks');
});

it('refuses a lot with a sentence beside each field', function () {
    $answer = $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => 'lots', 'price' => 'cheap', 'best_before' => '2026-02-31'],
    ])->assertStatus(422);
    expect(array_column($answer->json('faults'), 'field'))->toBe(['amount', 'price', 'best_before']);
    $this->atHouse('POST', '/lots', ['lot' => 'calendula'])->assertStatus(422);
    $this->atHouse('POST', '/lots', [])->assertStatus(422);
});

it('counts what is left, and keeps what was thought beside it', function () {
    $id = aLot($this);
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '2 cups', 'note' => 'the cat'])
        ->assertOk()
        ->assertJsonPath('lot.left_text', '473 mL')
        ->assertJsonPath('moves.0.text', 'Counted: 527 mL less than thought')
        ->assertJsonPath('moves.0.note', 'the cat')
        ->assertJsonPath('moves.1.text', '1 L came in');
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '600 mL'])
        ->assertOk()
        ->assertJsonPath('moves.0.text', 'Counted: 127 mL more than thought');
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '0'])
        ->assertOk()
        ->assertJsonPath('lot.left_text', '0 mL')
        ->assertJsonPath('lot.low', true);
    // By weight, through the oil's own density: 460 g of sunflower at 0.920 g/mL.
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '460 g'])
        ->assertOk()
        ->assertJsonPath('lot.left_text', '500 mL');
    foreach (['-1 L', 'some', '', '900 L'] as $bad) {
        $this->atHouse('POST', "/lots/{$id}/count", ['amount' => $bad])->assertStatus(422);
    }
    expect(leftOf($this, $id))->toBe('500 mL');
});

it('counts jars by the piece', function () {
    $jar = $this->jarOf(505)->uid;
    $id = aLot($this, ['kind' => 'jar', 'material' => $jar, 'amount' => '12']);
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '9'])
        ->assertOk()
        ->assertJsonPath('lot.left_text', '9')
        ->assertJsonPath('lot.called', 'pint jar')
        ->assertJsonCount(0, 'asks');
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '9.5'])->assertStatus(422);
    $this->atHouse('POST', "/lots/{$id}/checks", ['answers' => []])->assertStatus(422);
});

it('checks a lot and keeps the verdict till the next', function () {
    $id = aLot($this, ['best_before' => '2028-01-01']);
    $this->atHouse('POST', "/lots/{$id}/checks", ['answers' => ['smell' => 'itself', 'look' => 'clear', 'rim' => 'sticky']])
        ->assertOk()
        ->assertJsonPath('lot.condition', 'ageing')
        ->assertJsonPath('checks.0.verdict', 'soon')
        ->assertJsonPath('checks.0.says', 'Use it soon: sticky or varnished.');
    $this->atHouse('POST', "/lots/{$id}/checks", ['answers' => ['smell' => 'old', 'look' => 'clear', 'rim' => 'sticky']])
        ->assertOk()
        ->assertJsonPath('lot.condition', 'past')
        ->assertJsonCount(2, 'checks')
        ->assertJsonPath('checks.0.verdict', 'past');
    $this->atHouse('POST', "/lots/{$id}/checks", ['answers' => ['smell' => 'itself']])->assertStatus(422);
    $this->atHouse('POST', "/lots/{$id}/checks", ['answers' => 'fine'])->assertStatus(422);
});

it('shows a clash and does not overwrite', function () {
    $id = aLot($this);
    $detail = $this->atHouse('GET', "/lots/{$id}");
    $fields = $detail->json('fields');
    $version = $detail->json('lot.version');
    $this->atHouse('PATCH', "/lots/{$id}", ['lot' => ['note' => 'mine'] + $fields, 'version' => $version])
        ->assertOk()
        ->assertJsonPath('fields.note', 'mine');
    $this->atHouse('PATCH', "/lots/{$id}", ['lot' => ['note' => 'theirs'] + $fields, 'version' => $version])->assertStatus(409);
    $this->atHouse('GET', "/lots/{$id}")->assertJsonPath('fields.note', 'mine');
    $this->atHouse('PATCH', "/lots/{$id}", [
        'lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '5 g'],
        'version' => $version + 1,
    ])->assertStatus(422);
});

it('puts right what was got, and what is left with it', function () {
    $id = aLot($this);
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '400 mL']);
    $detail = $this->atHouse('GET', "/lots/{$id}");
    $this->atHouse('PATCH', "/lots/{$id}", [
        'lot' => ['amount' => '1.5 L'] + $detail->json('fields'),
        'version' => $detail->json('lot.version'),
    ])
        ->assertOk()
        ->assertJsonPath('lot.left_text', '900 mL')
        ->assertJsonPath('lot.got_text', '1.5 L');
});

it('takes a lot out, and its batches still know it', function () {
    $id = aLot($this, ['amount' => '2 L']);
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->atHouse('DELETE', "/lots/{$id}")->assertNoContent();
    $this->atHouse('GET', "/lots/{$id}")->assertNotFound();
    $this->atHouse('GET', '/stores')->assertJsonPath('total', 0);
    $this->atHouse('GET', "/batches/{$batch->uid}")
        ->assertOk()
        ->assertJsonPath('lots.0.called', 'sunflower oil');
});

it('keeps each house’s stores to itself', function () {
    $id = aLot($this);
    $other = $this->person('Other');
    $house = $this->aHouse($other, 'Other house');
    foreach ([['GET', ''], ['PATCH', ''], ['DELETE', ''], ['POST', '/count'], ['POST', '/checks']] as [$method, $path]) {
        $this->call_(
            $method,
            "/houses/{$house->uid}/lots/{$id}{$path}",
            ['amount' => '1', 'version' => 1, 'lot' => ['kind' => 'herb'], 'answers' => ['a' => 'b']],
            $other,
        )->assertNotFound();
    }
    $this->call_('GET', "/houses/{$house->uid}/stores", [], $other)->assertJsonPath('total', 0);
});

it('lets a reader look and not touch', function () {
    $id = aLot($this);
    $reader = $this->member(Role::Reader);
    $this->atHouse('GET', "/lots/{$id}", [], $reader)->assertOk();
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '1 L'], $reader)->assertForbidden();
    $this->atHouse(
        'POST',
        '/lots',
        ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '1 g']],
        $reader,
    )->assertForbidden();
    $this->atHouse('POST', '/stores/csv', ['csv' => '', 'do' => false], $reader)->assertForbidden();
});

it('pages, finds and sorts by kind', function () {
    foreach (range(1, 45) as $n) {
        aLot($this, [
            'kind' => 'herb',
            'material' => '',
            'called' => sprintf('herb %02d', $n),
            'amount' => '10 g',
            'got_where' => $n === 7 ? 'the lighthouse' : '',
        ]);
    }
    aLot($this);
    $this->atHouse('GET', '/stores')
        ->assertJsonPath('total', 46)
        ->assertJsonPath('pages', 2)
        ->assertJsonCount(40, 'lots')
        ->assertJsonPath('kinds.0.count', 45)
        ->assertJsonPath('kinds.1.count', 1);
    $this->atHouse('GET', '/stores?page=2')->assertJsonCount(6, 'lots');
    $this->atHouse('GET', '/stores?kind=carrier')->assertJsonPath('total', 1);
    $this->atHouse('GET', '/stores?q=lighthouse')->assertJsonPath('lots.0.called', 'herb 07');
    $this->atHouse('GET', '/stores?q=herb%2003')->assertJsonPath('total', 1);
    $this->atHouse('GET', '/stores?q=%25')->assertJsonPath('total', 0);
    foreach (['page=-1', 'page=x', 'page[]=1', 'kind[]=herb', 'q[]=x', 'kind=ghost', 'used[]=1', 'page=99999999999'] as $odd) {
        $this->atHouse('GET', "/stores?{$odd}")
            ->assertStatus(422)
            ->assertJsonPath('faults.0.field', preg_replace('/\W.*/', '', $odd));
    }
    $this->atHouse('GET', '/find?q=herb 0')->assertOk()->assertJsonPath('found.0.kind', 'lot');
});

it('asks the database as often for many lots as for few', function () {
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->atHouse('GET', '/stores');
        $this->atHouse('POST', '/reckon', ['wish' => $this->wish()]);

        return count(DB::getQueryLog());
    };
    aLot($this, ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '500 g']);
    aLot($this);
    $count();
    $few = $count();
    foreach (range(1, 20) as $n) {
        aLot($this, ['called' => "sunflower {$n}"]);
        aLot($this, ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '50 g', 'called' => "root {$n}"]);
    }
    expect($count())->toBe($few);
});

it('leaves what is used up out, unless it is asked for', function () {
    $id = aLot($this);
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '0']);
    $this->atHouse('GET', '/stores')->assertJsonPath('total', 0);
    $this->atHouse('GET', '/stores?used=1')->assertJsonPath('total', 1);
});

it('tells on Today what is past, ageing or low, and nothing that has more of its like', function () {
    aLot($this, ['material' => 'sesame', 'amount' => '500 mL', 'best_before' => '2026-11-20']);
    aLot($this, ['material' => 'olive', 'best_before' => '2026-12-10']);
    $low = aLot($this, ['material' => 'jojoba', 'amount' => '700 mL']);
    $this->atHouse('POST', "/lots/{$low}/count", ['amount' => '90 mL']);
    $plenty = aLot($this, ['material' => 'rice-bran', 'amount' => '700 mL', 'best_before' => '2028-01-01']);
    $this->atHouse('POST', "/lots/{$plenty}/count", ['amount' => '50 mL']);
    aLot($this, ['material' => 'rice-bran', 'amount' => '2 L', 'best_before' => '2029-01-01']);
    $today = $this->atHouse('GET', '/today')->assertOk();
    expect(array_map(fn (array $each) => [$each['called'], $each['rank']], $today->json('stores')))
        ->toBe([['sesame oil', 'past'], ['olive oil', 'ageing'], ['jojoba', 'low']])
        ->and($today->json('stores.0.says'))
        ->toBe('Its best-before was 20 Nov 2026.')
        ->and($today->json('stores.2.says'))
        ->toBe('Only 90 mL left.')
        ->and($today->json('stores_more'))
        ->toBeFalse();
});

it('tells on Today what has been open or kept too long, though no day is on it', function () {
    aLot($this, ['kind' => 'herb', 'material' => 'self-heal', 'amount' => '100 g', 'got_on' => '2025-01-01']);
    aLot($this, ['material' => 'sunflower', 'opened_on' => '2026-01-01']);
    aLot($this, ['kind' => 'herb', 'material' => 'chickweed', 'state' => 'fresh', 'amount' => '300 g', 'got_on' => '2026-11-20']);
    aLot($this, ['kind' => 'herb', 'material' => 'calendula', 'amount' => '100 g', 'got_on' => '2026-07-01']);
    expect(array_map(fn (array $each) => [$each['called'], $each['rank']], $this->atHouse('GET', '/today')->json('stores')))->toBe([
        ['self-heal', 'ageing'],
        ['sunflower oil', 'ageing'],
        ['chickweed', 'ageing'],
    ]);
});

it('has a verdict told on Today, and stops telling when it is used up', function () {
    $id = aLot($this, ['best_before' => '2028-01-01']);
    $this->atHouse('POST', "/lots/{$id}/checks", ['answers' => ['smell' => 'old', 'look' => 'clear', 'rim' => 'clean']]);
    $this->atHouse('GET', '/today')
        ->assertJsonPath('stores.0.rank', 'past')
        ->assertJsonPath('stores.0.says', 'It did not pass its last check.');
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '0']);
    expect(array_column($this->atHouse('GET', '/today')->json('stores'), 'rank'))->toBe(['low']);
});

it('never lets what happened to a lot be changed', function () {
    aLot($this);
    expect(fn () => DB::table('lot_moves')->update(['amount' => 5]))->toThrow(Illuminate\Database\QueryException::class, 'append-only');
});

it('does a repeated write once', function () {
    $id = aLot($this);
    $key = 'same-key-twice-over';
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '400 mL'], null, $key)->assertOk();
    $this->atHouse('POST', "/lots/{$id}/count", ['amount' => '400 mL'], null, $key)
        ->assertOk()
        ->assertHeader('Idempotent-Replay', 'true');
    expect($this->atHouse('GET', "/lots/{$id}")->json('moves'))->toHaveCount(2);
});

it('sums what is left from what came and went, whatever is done', function () {
    mt_srand(3);
    $id = aLot($this, ['amount' => '5 L']);
    $jar = $this->jarOf(505)->uid;
    for ($i = 0; $i < 12; $i++) {
        match (mt_rand(0, 2)) {
            0 => $this->atHouse('POST', "/lots/{$id}/count", ['amount' => mt_rand(1, 4000).' mL'])->assertOk(),
            1 => $this->batch(['jar' => $jar]),
            default => $this->atHouse('POST', '/batches/'.$this->batch(['jar' => $jar])->uid.'/discard', [
                'reason' => 'spilt',
            ])->assertOk(),
        };
        app(CurrentHouse::class)->within($this->house, function () use ($id): void {
            $lot = Lot::query()->where('uid', $id)->firstOrFail();
            expect((float) $lot->left)->toEqualWithDelta((float) $lot->moves()->sum('amount'), 0.0005)->toBeGreaterThanOrEqual(0.0);
        });
        Carbon::setTestNow(Carbon::now()->addMinute());
    }
});
