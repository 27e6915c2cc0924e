<?php

use Kettle\Batch\Entry;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Logbook;
use Kettle\Making\FrozenProduct;
use Kettle\Making\Hand;
use Kettle\Making\Line\Mended;
use Kettle\Making\Line\Poured;
use Kettle\Making\Line\Spooned;
use Kettle\Making\Line\StepDone;
use Kettle\Making\Line\TinGone;
use Kettle\Making\Line\Weighed;
use Kettle\Making\Lines;
use Kettle\Making\LossSeen;
use Kettle\Making\MakingException;
use Kettle\Making\MakingState;
use Kettle\Making\PotPart;
use Kettle\Making\Stage;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Melt\Verdict;
use Kettle\Recipe\Words;

/* A frozen plan written out by hand: 200 g of an oil of 0.9 g/mL from a batch, 50 g of beeswax of 0.96 g/mL, 2.5 g of lavender. */
function frozen(array $with = []): FrozenProduct
{
    $part = fn (string $id, string $kind, float $grams, float $density, array $more = []) => $more + [
        'id' => $id,
        'kind' => $kind,
        'said' => ['joined' => [$id]],
        'grams' => $grams,
        'g_per_ml' => $density,
        'hardness' => 0,
        'through' => [['name' => [$kind => $id], 'inci' => strtoupper($id), 'share' => 1]],
        'allergens' => [],
    ];

    return FrozenProduct::of(
        $with + [
            'product' => ['id' => 'salve', 'name' => 'salve', 'vessel' => 'tin'],
            'figures' => ['best_before' => ['value' => '2027-06-01']],
            'rule' => ['by_wax' => true],
            'parts' => [
                $part('batch.A', 'oil', 200, 0.9, ['batch' => 'A', 'allergens' => ['almond']]),
                $part('beeswax', 'wax', 50, 0.96, ['hardness' => 1, 'lots' => [['lot' => 'W', 'amount' => 50]]]),
                $part('lavender', 'scent', 2.5, 0.885, [
                    'drop_g' => 0.04425,
                    'most_share' => 0.02,
                    'lots' => [['lot' => 'L', 'amount' => 2.8]],
                ]),
            ],
            'steps' => array_map(fn (string $id) => ['id' => $id], [
                'dry',
                'weigh.batch.A',
                'weigh.beeswax',
                'melt',
                'spoon',
                'drops',
                'pour',
                'set',
                'wipe',
                'label',
            ]),
            'tins' => ['sizes' => [['ml' => 60, 'holds_ml' => 57, 'count' => 4]]],
            'ingredients' => ['fragrance' => ['Linalool']],
            'scent_ceiling' => 0.03,
            'loss_share' => 0.03,
        ],
    );
}

/** Where it stands after these lines, one a minute; "undo 2" strikes the third out. */
function after(FrozenProduct $plan, Line|string ...$lines): MakingState
{
    $at = new DateTimeImmutable('2026-11-24T10:00:00Z');
    $entries = [new Entry('begun', $at, 'K', new Started(null))];
    foreach (array_values($lines) as $i => $line) {
        $strikes = is_string($line) ? 'e'.substr($line, 5) : null;
        $entries[] = new Entry("e{$i}", $at->modify("+{$i} minutes"), 'K', is_string($line) ? new Undone('weighed') : $line, $strikes);
    }

    return MakingState::of($plan, new Logbook($entries));
}

function hand(MakingState $state): Hand
{
    return new Hand($state, Words::plain(new Cupboard(Tables::shipped())));
}

function more(string $id, float $grams, float $hardness, array $with = []): PotPart
{
    return PotPart::read(
        new Kettle\Batch\Stored(
            $with + [
                'id' => $id,
                'kind' => $hardness > 0 ? 'wax' : 'oil',
                'said' => ['joined' => [$id]],
                'grams' => $grams,
                'g_per_ml' => 0.95,
                'hardness' => $hardness,
                'through' => [['name' => ['wax' => $id], 'inci' => strtoupper($id), 'share' => 1]],
            ],
        ),
    );
}

/** @return list<Line> up to the spoon, as it was planned */
const WEIGHED = ['batch.A' => 200.0, 'beeswax' => 50.0];

function weighed(): array
{
    return array_map(fn (string $id, float $g) => new Weighed($id, [], $g), array_keys(WEIGHED), WEIGHED);
}

it('stands where its lines leave it', function (array $lines, Stage $stage) {
    expect(after(frozen(), ...$lines)->stage)->toBe($stage);
})->with([
    'nothing done' => [[], Stage::Planned],
    'a step' => [[new StepDone('dry')], Stage::Making],
    'a step undone' => [[new StepDone('dry'), 'undo 0'], Stage::Planned],
    'a spoon too soft' => [[new Spooned(new Verdict(0.2, 'too-soft'))], Stage::Making],
    'poured' => [[new Poured([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 4]], null)], Stage::Poured],
    'thrown away' => [[new Poured([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 4]], null), new Discarded()], Stage::Discarded],
]);

it('knows what is in the pot by what was weighed, melted, tried or mended, and what goes in cool by none of these', function (
    array $lines,
    bool $in,
    bool $weighed,
) {
    $state = after(frozen(), ...$lines);
    expect([$state->isIn('beeswax'), $state->isDone('weigh.beeswax'), $state->isIn('lavender')])->toBe([$in, $weighed, false]);
})->with([
    'nothing' => [[], false, false],
    'dried the tins' => [[new StepDone('dry')], false, false],
    'weighed' => [[new Weighed('beeswax', [], 50.0)], true, true],
    'the other weighed' => [[new Weighed('batch.A', [], 200.0)], false, false],
    'melted' => [[new StepDone('melt')], true, false],
    'tried' => [[new Spooned(new Verdict(0.2, 'right'))], true, false],
    'mended' => [[new Mended(more('beeswax', 12, 1), 0.0)], true, true],
]);

/* 200 / 0.9 + 50 / 0.96 + 2.5 / 0.885 mL are 277; less 3 % that stays in the pot 269 mL, of which 57 mL fill a tin: four. */
it('fills more of what is whipped, by as much as it swells', function (float $whipped, int $tins) {
    expect(after(frozen(['whipped' => [1.0, $whipped, $whipped]]), ...weighed())->filling())->toBe([['ml' => 60.0, 'count' => $tins]]);
})->with([[1.0, 4], [1.5, 7], [1.8, 8]]);

it('reckons what is in the pot by hand', function () {
    // 200 g and 50 g: X = 50 / 250 without the drops.
    $state = after(frozen(), ...weighed());
    expect($state->inPot()->massG)->toEqualWithDelta(250, 1e-9)->and($state->inPot()->firmness)->toEqualWithDelta(0.2, 1e-9);
    // 10 g went with the spoon, of each its share: 192 and 48. 12 g of wax in: 60 / 252.
    $state = after(frozen(), ...weighed(), ...[new Spooned(new Verdict(0.2, 'too-soft'), 10.0), new Mended(more('beeswax', 12, 1), 0.0)]);
    expect($state->pot->part('batch.A')?->grams)
        ->toEqualWithDelta(192, 1e-9)
        ->and($state->pot->part('beeswax')?->grams)
        ->toEqualWithDelta(60, 1e-9)
        ->and($state->inPot()->firmness)
        ->toEqualWithDelta(60 / 252, 1e-9)
        // Lavender goes by what there is now: 2.5 g to 250 g, so 2.52 g to 252 g.
        ->and($state->pot->part('lavender')?->grams)
        ->toEqualWithDelta(2.52, 1e-9);
    // A fifth taken out, 25 g of a fat that counts a third put in: 40 + 25 / 3 of 225.
    $state = after(frozen(), ...weighed(), ...[new Mended(more('shea', 25, 1 / 3), 50.0)]);
    expect($state->inPot()->massG)
        ->toEqualWithDelta(225, 1e-9)
        ->and($state->inPot()->firmness)
        ->toEqualWithDelta((40 + 25 / 3) / 225, 1e-9);
});

it('keeps mass through every mend, whatever is done in which order', function () {
    mt_srand(7);
    for ($run = 0; $run < 60; $run++) {
        $lines = weighed();
        $mass = 250.0;
        for ($i = 0; $i < mt_rand(1, 6); $i++) {
            if (mt_rand(0, 1) === 0) {
                $stuck = mt_rand(0, 50) / 10;
                $lines[] = new Spooned(new Verdict(0.2, 'too-soft'), $stuck);
                $mass -= $stuck;
            } else {
                [$in, $out] = [mt_rand(1, 400) / 10, mt_rand(0, 300) / 10];
                $lines[] = new Mended(more(['beeswax', 'shea', 'batch.A'][mt_rand(0, 2)], $in, mt_rand(0, 10) / 10), $out);
                $mass += $in - $out;
            }
        }
        $state = after(frozen(), ...$lines);
        expect($state->inPot()->massG)->toEqualWithDelta($mass, 1e-6);
        // Everything that is in it stands in its list of ingredients, by weight.
        $grams = array_sum(array_column($state->ingredients()->each, 'grams'));
        expect($grams)
            ->toEqualWithDelta($state->pot->massG, 1e-6)
            ->and($state->ingredients()->allergens)
            ->toBe(['almond']);
    }
});

it('takes of bottles and lots what was weighed, and gives back what was not', function (
    array $lines,
    ?float $ml,
    ?float $wax,
    ?float $scent = 2.8,
) {
    $takes = after(frozen(), ...$lines)->takes;
    $scent === null ? expect($takes->lots)->not->toHaveKey('L') : expect($takes->lots['L'])->toEqualWithDelta($scent, 1e-6);
    expect($takes->bottles['A'] ?? null)
        ->toEqualWithDelta($ml, 1e-6)
        ->and($takes->lots['W'] ?? null)
        ->toEqualWithDelta($wax, 1e-6);
})->with([
    'as planned: 200 g at 0.9' => [[], 200 / 0.9, 50],
    'weighed otherwise' => [[new Weighed('batch.A', [], 180.0), new Weighed('beeswax', [], 55.0)], 200, 55],
    'weighed and undone' => [[new Weighed('beeswax', [], 55.0), 'undo 0'], 200 / 0.9, 50],
    'mended from a lot' => [[new Mended(more('beeswax', 12, 1, ['lots' => [['lot' => 'W', 'amount' => 12.0]]]), 0.0)], 200 / 0.9, 62],
    'mended from the bottle: 9.5 g at 0.95' => [[new Mended(more('batch.A', 9.5, 0, ['batch' => 'A']), 0.0)], 200 / 0.9 + 10, 50],
    'thrown away unbegun' => [[new Discarded()], null, null, null],
    'thrown away with the wax in' => [[new Weighed('beeswax', [], 55.0), new Discarded()], 200 / 0.9, 55, null],
    'thrown away with half of the drops in' => [[new Weighed('lavender', [], 1.25), new Discarded()], 200 / 0.9, 50, 1.4],
]);

it('has a spoon to mend until something is done about it', function (array $lines, ?string $mend, bool $done) {
    $state = after(frozen(), ...$lines);
    expect($state->toMend?->is)->toBe($mend)->and($state->isDone('spoon'))->toBe($done);
})->with([
    'not tried' => [[], null, false],
    'right' => [[new Spooned(new Verdict(0.2, 'right'))], null, true],
    'too hard' => [[new Spooned(new Verdict(0.2, 'too-hard'))], 'too-hard', false],
    'mended' => [[new Spooned(new Verdict(0.2, 'too-hard')), new Mended(more('oil', 12, 0), 0.0)], null, false],
    'mended and right' => [
        [new Spooned(new Verdict(0.2, 'too-hard')), new Mended(more('oil', 12, 0), 0.0), new Spooned(new Verdict(0.2, 'right'))],
        null,
        true,
    ],
    'left as it is' => [[new Spooned(new Verdict(0.2, 'too-soft', 'a-little')), new StepDone('spoon')], null, true],
]);

it('counts tins, what is in them, and where they went', function () {
    $pot = after(frozen())->pot;
    $poured = new Poured([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 2], ['ml' => 15.0, 'holds_ml' => 14.25, 'count' => 1]], 10.0);
    $state = after(frozen(), $poured, new TinGone(3, 'given', 'the neighbour'), new TinGone(1, 'sold', 'the fair', 6.5), 'undo 2');
    expect(count($state->tins))
        ->toBe(3)
        ->and($state->tins[0]->grams)
        ->toEqualWithDelta(57 * ($pot->massG / $pot->ml), 1e-9)
        ->and($state->tins[0]->state)
        ->toBe('in')
        ->and($state->tins[2]->state)
        ->toBe('given')
        ->and($state->tins[2]->ml)
        ->toBe(15.0)
        ->and($state->tinsLeft())
        ->toBe(2)
        // What is neither in tins nor left over stayed in pot and jug.
        ->and($state->loss)
        ->toEqualWithDelta(1 - (2 * 57 + 14.25 + 10) / $pot->ml, 1e-9);
});

it('is no better than what mended it', function (?string $until, string $best) {
    expect(after(frozen(), new Mended(more('wheat-germ', 9, 0, ['until' => $until]), 0.0))->bestBefore)->toBe($best);
})->with([
    'sooner' => ['2027-02-01', '2027-02-01'],
    // A day never moves later.
    'later' => ['2028-02-01', '2027-06-01'],
    'not known' => [null, '2027-06-01'],
]);

it('lets no drops go over a limit, its own or that of all together, and says how many may', function () {
    $state = after(frozen(), ...weighed());
    // 0.02 of the whole with 250 g of the rest: 250 x 0.02 / 0.98 = 5.102 g, 115 drops of 0.04425 g.
    expect(hand($state)->weigh('lavender', 5.1)->grams)->toEqualWithDelta(5.1, 1e-9);
    expect(fn () => hand($state)->weigh('lavender', 5.2))->toThrow(MakingException::class, '115 drops');
    // The ceiling of all together, where it is the stricter: 250 x 0.01 / 0.99 = 2.525 g, 57 drops.
    $strict = after(frozen(['scent_ceiling' => 0.01]), ...weighed());
    expect(fn () => hand($strict)->weigh('lavender', 3.0))->toThrow(MakingException::class, '57 drops');
    // What was planned may go in: it was read, or stopped, before it was begun.
    $planned = after(frozen(['scent_ceiling' => 0.001]), ...weighed());
    expect(hand($planned)->weigh('lavender', null)->grams)->toEqualWithDelta(2.5, 1e-9);
    // With half of the pot taken out there is half the room for it.
    $half = after(frozen(), ...weighed(), ...[new Mended(null, 125.0)]);
    expect(fn () => hand($half)->weigh('lavender', 3.0))->toThrow(MakingException::class);
});

it('lets nothing into what is eaten that is nothing to eat', function () {
    expect(fn () => hand(after(frozen(['eaten' => true])))->mend(more('candelilla', 3, 1), 0.0, false))->toThrow(MakingException::class);
    expect(hand(after(frozen(['eaten' => true])))->mend(more('cocoa', 3, 1), 0.0, true)->in?->id)->toBe('cocoa');
});

it('reads a line back as it was stored', function (Line $line) {
    expect(Lines::read($line->kind(), json_decode(json_encode($line->data(), JSON_THROW_ON_ERROR), true)))->toEqual($line);
})->with([
    [new Weighed('beeswax', ['wax' => 'beeswax'], 52.5, '52.5 g')],
    [new StepDone('melt', 66.0)],
    [new Spooned(new Verdict(0.2, 'too-soft', 'far', 19.0), 3.0, false)],
    [new Mended(more('beeswax', 12, 1, ['until' => '2027-01-01']), 3.0, '12 g')],
    [new Poured([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 4]], 3.5, 'the larder', [['lot' => 'T', 'count' => 4]])],
    [new TinGone(2, 'sold', 'the fair', 6.5)],
]);

it('learns what stays in the pot, in closed form', function (array $seen, float $mean) {
    expect(LossSeen::of(0.03, $seen)->mean)->toEqualWithDelta($mean, 1e-9);
})->with([
    'nothing yet' => [[], 0.03],
    // Weights 1/0.015^2 = 4444.4 and 1/0.01^2 = 10000: (133.33 + 600) / 14444.4.
    'once 6 %' => [[0.06], 733.3333333333 / 14444.4444444444],
    'twice' => [[0.06, 0.04], (133.3333333333 + 600 + 400) / 24444.4444444444],
]);

it('learns what stays in the pot as a sum over every loss there could be would have it', function () {
    // Bayes by sums on a grid (outside check, nothing of ours): prior times likelihood of each pour.
    $seen = [0.052, 0.041, 0.063];
    [$above, $below] = [0.0, 0.0];
    for ($loss = -0.1; $loss <= 0.2; $loss += 0.00005) {
        $log = -(($loss - 0.03) ** 2) / (2 * 0.015 ** 2);
        foreach ($seen as $each) {
            $log -= ($each - $loss) ** 2 / (2 * 0.01 ** 2);
        }
        $above += $loss * exp($log);
        $below += exp($log);
    }
    expect(LossSeen::of(0.03, $seen)->mean)->toEqualWithDelta($above / $below, 1e-6);
});

it('keeps what went in last as it went in, by the step as by the scale', function (string $step) {
    // 50 g more of wax: 300 g where 250 were planned, so 3 g of lavender where 2.5 were.
    $lines = [...weighed(), new Mended(more('beeswax', 50, 1), 0.0), new StepDone($step)];
    $state = after(frozen(), ...$lines);
    expect($state->pot->part('lavender')?->grams)
        ->toEqualWithDelta(3.0, 1e-9)
        ->and($state->isIn('lavender'))
        ->toBeTrue()
        // 2.8 mL of the lot were planned for 2.5 g.
        ->and($state->takes->lots['L'])
        ->toEqualWithDelta(2.8 * 1.2, 1e-9)
        ->and(fn () => hand($state)->weigh('lavender', 1.0))
        ->toThrow(MakingException::class, 'in already');
    // A third of it all taken out, a third of that is gone too; thrown away, it was used.
    expect(after(frozen(), ...$lines, ...[new Mended(null, 101.0)])->pot->part('lavender')?->grams)->toEqualWithDelta(2.0, 1e-9);
    expect(after(frozen(), ...$lines, ...[new Discarded()])->takes->lots['L'])->toEqualWithDelta(3.36, 1e-9);
})->with(['drops', 'drops-cold']);
