<?php

require_once dirname(__DIR__).'/Decocted.php';

use App\Models\Boil;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A cream with so much of it as its water. */
function creamOf(string $boil, array $more = []): array
{
    return [
        'product' => 'cream',
        'total' => '400 g',
        'oils' => [['id' => 'olive']],
        'others' => [['boil' => $boil], ['id' => 'emulsifying-wax', 'percent' => 6], ['id' => 'preservative', 'percent' => 1]],
        ...$more,
    ];
}

function plannedCream(array $wish, int $status = 200): Illuminate\Testing\TestResponse
{
    return test()
        ->atHouse('POST', '/melt/reckon', ['wish' => $wish])
        ->assertStatus($status);
}

/** Begun, with what is to be read of it read. */
function begunCream(string $boil, array $more = []): Illuminate\Testing\TestResponse
{
    return test()->atHouse('POST', '/makings', ['wish' => creamOf($boil, $more), 'acknowledged' => ['water-in-it', 'decoction-in-it']]);
}

beforeEach(fn () => Carbon::setTestNow('2026-11-24T09:00:00Z'));

it('plans a cream with a decoction of the house: its plant is named, minded and on the label', function () {
    $boil = decocted();
    $choice = collect($this->atHouse('GET', '/melt')->json('others'))->firstWhere('id', "boil.{$boil}");
    expect($choice)->toMatchArray([
        'name' => 'marshmallow root decoction of 24 November',
        'note' => 'D26-001: 400 g, until 27 Nov 2026',
        'kind' => 'water',
    ]);
    $plan = plannedCream(creamOf($boil));
    expect($plan->json('text'))
        ->toContain('with marshmallow root decoction of 24 November, 6 % emulsifying wax')
        ->and($plan->json('ingredients.cook'))
        ->toContain('marshmallow root decoction of 24 November', 'marshmallow root, in its water')
        ->and($plan->json('ingredients.inci'))
        ->toContain('Aqua', 'Althaea officinalis Extract')
        ->and(array_column($plan->json('cautions'), 'id'))
        ->toContain('decoction-in-it')
        // With a preservative in it the days of the decoction are no longer those of the cream.
        ->and($plan->json('figures.best_before.value'))
        ->toBe('2027-05-24');
    // What comfrey is minded for in an oil it is minded for in a water.
    $read = ['acknowledged' => ['pyrrolizidine']];
    $comfrey = plannedCream(creamOf(decocted(['herbs' => ['comfrey-leaf']] + $read)));
    expect(array_column($comfrey->json('cautions'), 'id'))->toContain('pyrrolizidine');
});

it('refuses what is not there, not strained, gone, past its day, or over before the cream is made; each with a way out', function () {
    $boil = decocted();
    $fault = fn (array $wish): array => plannedCream($wish, 422)->json('faults.0');
    expect($fault(creamOf('01NOBODY')))
        ->toMatchArray(['field' => 'others.0.boil', 'reason' => 'unknown'])
        ->and($fault(['others' => [['boil' => $boil, 'id' => 'water']]] + creamOf($boil))['field'])
        ->toBe('others.0.boil')
        ->and($fault(['others' => [['boil' => 7]]] + creamOf($boil))['field'])
        ->toStartWith('others.0');
    $open = $this->atHouse('POST', '/boils', ['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'want' => '1 L'])->json('id');
    $notYet = $fault(creamOf($open));
    expect($notYet['reason'])->toBe('not_strained');
    plannedCream([...creamOf($open), ...$notYet['ways'][0]['change']]);
    $much = creamOf($boil, ['total' => '900 g']);
    $short = $fault($much);
    expect($short['reason'])->toBe('not_so_much')->and($short['sentence'])->toContain('400 g');
    $all = plannedCream([...$much, ...$short['ways'][0]['change']]);
    $pot = array_column($all->json('pot'), 'grams', 'id');
    // 900 g of cream: what is left of the decoction, and water for the rest of its water.
    expect($short['ways'][0]['says'])
        ->toBe('Use all there is of it, 400 g, and water for the rest')
        ->and($pot["boil.{$boil}"])
        ->toEqual(400)
        ->and($pot['water'] ?? 0)
        ->toBeGreaterThan(100.0);
    // Three days: good today, and over on the day it would be made for.
    $late = $fault(creamOf($boil, ['ready_by' => '2026-12-05']));
    expect($late)->toMatchArray(['field' => 'ready_by', 'reason' => 'over_by']);
    plannedCream(creamOf($boil, ['ready_by' => '2026-11-27']));
    // Into a salve it never goes: water is no part of one.
    expect($fault(['product' => 'salve', 'oils' => ['olive'], 'others' => [['boil' => $boil, 'percent' => 5]]])['reason'])->toBe('water');
    Carbon::setTestNow('2026-11-28T09:00:00Z');
    expect($fault(creamOf($boil))['reason'])->toBe('past');
});

it('takes it out of its pot with the cream, follows what was weighed, and gives it back', function () {
    $boil = decocted();
    $left = fn () => (float) Boil::query()->where('uid', $boil)->value('left');
    $made = begunCream($boil)->assertOk()->json();
    $planned = collect($made['pot'])->firstWhere('id', "boil.{$boil}")['grams'];
    expect($left())
        ->toEqualWithDelta(400 - $planned, 0.01)
        ->and($made['from'][0])
        ->toMatchArray(['kind' => 'boil', 'id' => $boil, 'name' => 'D26-001, decoction of marshmallow root'])
        ->and($made['ingredients'])
        ->toContain('marshmallow root, in its water')
        ->and($made['name'])
        ->toContain('arshmallow');
    $line = $this->atHouse('GET', "/boils/{$boil}")->json('entries.0');
    expect($line['title'])->toContain($made['code'])->and($line['can_undo'])->toBeFalse();
    $this->atHouse('POST', "/boils/{$boil}/undo", ['entry' => $line['id']])->assertStatus(422);
    $weigh = fn (string $amount) => $this->atHouse('POST', "/makings/{$made['id']}/weigh", ['part' => "boil.{$boil}", 'amount' => $amount]);
    $weighed = $weigh('300 g')->assertOk()->json();
    expect($left())
        ->toEqualWithDelta(100, 0.01)
        ->and(DB::table('boil_takes')->value('amount'))
        ->toEqual('300.000');
    // More than there is is not weighed, and nothing of it is written.
    $weigh('600 g')->assertStatus(422);
    expect($left())->toEqualWithDelta(100, 0.01);
    $this->atHouse('POST', "/makings/{$made['id']}/undo", ['entry' => $weighed['entries'][0]['id']])->assertOk();
    expect($left())->toEqualWithDelta(400 - $planned, 0.01);
    expect(
        $this->atHouse('GET', "/makings/{$made['id']}/label")
            ->assertOk()
            ->getContent(),
    )->toContain('From decoction of marshmallow root (D26-001)');
});

it('is not weighed or poured once the decoction is past its day, unless it went in before', function () {
    $boil = decocted();
    [$in, $out] = [begunCream($boil, ['total' => '150 g'])->json('id'), begunCream($boil, ['total' => '150 g'])->json('id')];
    $weigh = fn (string $id) => $this->atHouse('POST', "/makings/{$id}/weigh", ['part' => "boil.{$boil}"]);
    $pour = fn (string $id) => $this->atHouse('POST', "/makings/{$id}/pour", ['tins' => [['ml' => 50, 'count' => 2]], 'where' => '']);
    $weigh($in)->assertOk();
    Carbon::setTestNow('2026-11-28T09:00:00Z');
    $weigh($out)->assertStatus(422)->assertJsonPath('faults.0.reason', 'past');
    $pour($out)->assertStatus(422)->assertJsonPath('faults.0.reason', 'past');
    $pour($in)->assertOk();
});

it('is a decoction by its name in a recipe, for no other house has that pot', function () {
    $boil = decocted();
    $kept = $this->atHouse('POST', '/recipes', ['name' => 'Root cream', 'wish' => creamOf($boil)])->assertOk();
    expect($kept->json('wish.others.0'))->toBe(['id' => 'decoction']);
    $water = ['water' => ['boil' => $boil, 'amount' => '200 g'], 'others' => creamOf($boil)['others']];
    array_shift($water['others']);
    $kept = $this->atHouse('POST', '/recipes', ['name' => 'Root cream too', 'wish' => $water + creamOf($boil)])->assertOk();
    expect($kept->json('wish.water'))->toEqual(['id' => 'decoction', 'amount' => '200 g']);
});
