<?php

use Kettle\Material\Herb;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\MaterialException;
use Kettle\Material\State;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Levels;
use Tests\Core\Support;

/** A herb of a form and state, of which so much is water. */
function part(string $form, float $parts = 1.0, State $state = State::Dried, ?float $water = null, string $name = ''): HerbPart
{
    $in = Support::planning()->cupboard()->form($form)->in($state);

    return new HerbPart(
        Herb::unlisted($name ?: "{$form} {$state->value}", $form),
        $in,
        $parts,
        $water ?? ($state === State::Dried ? HerbMix::DRY_WATER : $in->waterFresh ?? 0.8),
    );
}

it('is the herb itself when it is alone', function (string $form) {
    $herb = Support::planning()->cupboard()->form($form);
    $mix = HerbMix::of([part($form)]);
    expect($mix->looseMlPerG)
        ->toEqualWithDelta(1 / $herb->bulk->loose->gramsPerMl, 1e-12)
        ->and($mix->settledMlPerG)
        ->toEqualWithDelta(1 / $herb->bulk->settled->gramsPerMl, 1e-12)
        ->and($mix->ownMlPerG)
        ->toEqualWithDelta(1 / $herb->bulk->particle->gramsPerMl, 1e-12)
        ->and($mix->dryPerG)
        ->toBe(1.0)
        ->and($mix->state)
        ->toBe(State::Dried)
        ->and($mix->isSingle())
        ->toBeTrue();
})->with([
    ['fluffy-flower'],
    ['flower-heads'],
    ['thin-leaf'],
    ['thick-leaf'],
    ['twig'],
    ['root'],
    ['seed-berry'],
    ['bud'],
    ['powder'],
    ['tea-bag'],
]);

it('adds volumes: two herbs in one jar take up what they take up in two', function () {
    $jar = Jar::measured('', 'jar', 1000, 163);
    $leaf = HerbMix::of([part('thin-leaf')]);
    $root = HerbMix::of([part('root')]);
    $both = HerbMix::of([part('thin-leaf', 20), part('root', 60)]);
    expect(Levels::in($jar, $both, 80, 400)->bedMm)
        ->toEqualWithDelta(Levels::in($jar, $leaf, 20, 0)->bedMm + Levels::in($jar, $root, 60, 0)->bedMm, 1e-9)
        ->and(Levels::in($jar, $both, 80, 400)->dryFillMm)
        ->toEqualWithDelta(Levels::in($jar, $leaf, 20, 0)->dryFillMm + Levels::in($jar, $root, 60, 0)->dryFillMm, 1e-9)
        ->and(Levels::in($jar, $both, 80, 400)->levelMm)
        ->toEqualWithDelta(Levels::in($jar, $leaf, 20, 150)->levelMm + Levels::in($jar, $root, 60, 250)->levelMm, 1e-9);
});

it('shares by weight and sums to one', function (array $parts) {
    $mix = HerbMix::of(array_map(fn (int $i, float $each) => part('thin-leaf', $each, name: "herb {$i}"), array_keys($parts), $parts));
    expect(array_sum($mix->shares()))->toEqualWithDelta(1.0, 1e-12);
    foreach ($mix->shares() as $i => $share) {
        expect($share)->toEqualWithDelta($parts[$i] / array_sum($parts), 1e-12);
    }
})->with([[[1.0]], [[2.0, 1.0]], [[1.0, 1.0, 1.0]], [[0.001, 1000.0]], [[3.0, 2.0, 1.0, 1.0, 0.5, 0.5]]]);

/*
 * By hand, m (1 - w) / (1 - 0.10); shelf-dry herb holding a tenth of water is common practice, from memory.
 *   100 g fresh at 80 %   100 x 0.20 / 0.90 = 22.222 g      (the trade's "three to four volumes of fresh for one of dried")
 *   100 g fresh at 85 %   100 x 0.15 / 0.90 = 16.667 g
 *    70 g wilted at 71.4 % 70 x 0.2857 / 0.90 = 22.222 g    (the same plant, its dry matter unchanged)
 *    50 g root at 70 %     50 x 0.30 / 0.90 = 16.667 g
 *   100 g dried            100 g
 *    90 g of bone-dry      90 / 0.90 = 100 g
 */
it('reckons dry herb out of wet as by hand', function (float $grams, float $water, float $dry) {
    expect(HerbMix::dryEquivalent($grams, $water))->toEqualWithDelta($dry, 0.001);
})->with([
    [100.0, 0.8, 22.2222],
    [100.0, 0.85, 16.6667],
    [70.0, 1 - 20 / 70, 22.2222],
    [50.0, 0.7, 16.6667],
    [100.0, 0.1, 100.0],
    [90.0, 0.0, 100.0],
    [250.0, 0.9, 27.7778],
]);

it('keeps the dry matter whatever the water', function () {
    foreach (range(5, 95, 5) as $percent) {
        $fresh = 100.0;
        $dryMatter = $fresh * 0.1;
        $now = $dryMatter / (1 - $percent / 100);
        expect(HerbMix::dryEquivalent($now, $percent / 100))->toEqualWithDelta($dryMatter / 0.9, 1e-9);
    }
});

/*
 * Which forms each of the trade's ratios can cover (common practice, no source): per gram the oil reaches
 * n + 1/particle mL and the bed 1/settled mL. Worked by hand from the table:
 *   fluffy flowers  bed 9.52   at 1:5 5.83, 1:7 7.83, 1:9 9.83   only 1:9
 *   flower heads    bed 6.67   at 1:5 5.83, 1:7 7.83             1:7 and leaner
 *   thin leaf       bed 5.00   at 1:5 5.77                       all
 *   the rest        bed under 4                                  all
 */
it('covers what the trade says each ratio covers', function (string $form, array $covers) {
    $mix = HerbMix::of([part($form)]);
    $found = array_values(array_filter([5, 7, 9], fn (int $ratio) => $ratio + $mix->ownMlPerG > $mix->settledMlPerG));
    expect($found)->toBe($covers);
})->with([
    ['fluffy-flower', [9]],
    ['flower-heads', [7, 9]],
    ['thin-leaf', [5, 7, 9]],
    ['thick-leaf', [5, 7, 9]],
    ['twig', [5, 7, 9]],
    ['root', [5, 7, 9]],
    ['seed-berry', [5, 7, 9]],
    ['bud', [5, 7, 9]],
    ['powder', [5, 7, 9]],
    ['tea-bag', [5, 7, 9]],
]);

it('begins with the ratio the trade begins with', function (string $form, float $parts) {
    expect(HerbMix::of([part($form)])->usualParts(1.0))->toBe($parts);
})->with([['fluffy-flower', 10.0], ['flower-heads', 7.0], ['thin-leaf', 5.0], ['thick-leaf', 5.0], ['root', 5.0], ['powder', 5.0]]);

it('begins wet herb with a ratio that covers it in every jar of the table', function (string $form, State $state) {
    $mix = HerbMix::of([part($form, 1.0, $state)]);
    $parts = $mix->usualParts($mix->dryPerG);
    $perGram = $parts * $mix->dryPerG;
    expect($parts)->toBeGreaterThanOrEqual(5.0)->toBeLessThanOrEqual(30.0);
    foreach (Support::kitchen()->jarsBySize() as $jar) {
        $most = Levels::mostHerb($jar, $mix, $perGram, 10);
        expect(Levels::in($jar, $mix, $most, $most * $perGram)->coverMm())->toBeGreaterThan(0);
    }
})->with([
    ['fluffy-flower', State::Fresh],
    ['flower-heads', State::Fresh],
    ['thin-leaf', State::Fresh],
    ['thick-leaf', State::Fresh],
    ['root', State::Fresh],
    ['seed-berry', State::Fresh],
    ['fluffy-flower', State::Wilted],
    ['thin-leaf', State::Wilted],
    ['thick-leaf', State::Wilted],
    ['twig', State::Wilted],
]);

it('is as wet as its wettest herb', function (State $a, State $b, State $together, bool $mixed) {
    $mix = HerbMix::of([part('thin-leaf', 1.0, $a, name: 'one'), part('thin-leaf', 1.0, $b, name: 'other')]);
    expect($mix->state)->toBe($together)->and($mix->isMixedState())->toBe($mixed);
})->with([
    [State::Dried, State::Dried, State::Dried, false],
    [State::Dried, State::Wilted, State::Wilted, true],
    [State::Wilted, State::Dried, State::Wilted, true],
    [State::Dried, State::Fresh, State::Fresh, true],
    [State::Wilted, State::Fresh, State::Fresh, false],
    [State::Fresh, State::Wilted, State::Fresh, false],
    [State::Wilted, State::Wilted, State::Wilted, false],
    [State::Fresh, State::Fresh, State::Fresh, false],
]);

it('is woody, or powder, when most of its weight is', function () {
    expect(HerbMix::of([part('root', 3), part('thin-leaf', 1)])->isWoody())
        ->toBeTrue()
        ->and(HerbMix::of([part('root', 1), part('thin-leaf', 3)])->isWoody())
        ->toBeFalse()
        ->and(HerbMix::of([part('powder', 3), part('root', 1)])->isPowder())
        ->toBeTrue()
        ->and(HerbMix::of([part('powder', 1), part('root', 1)])->isPowder())
        ->toBeFalse();
});

it('refuses what does not make a mix', function (array $parts, string $says) {
    expect(fn () => HerbMix::of($parts))->toThrow(MaterialException::class, $says);
})->with([
    'none' => fn () => [[], 'Name the herb'],
    'too many' => fn () => [array_map(fn (int $i) => part('root', name: "herb {$i}"), range(1, 13)), 'Up to 12'],
    'parts of nothing' => fn () => [[part('root', 0.0)], 'more than nothing'],
    'less than nothing' => fn () => [[part('root', -1.0)], 'more than nothing'],
    'no number' => fn () => [[part('root', NAN)], 'more than nothing'],
    'endless' => fn () => [[part('root', INF)], 'more than nothing'],
    'twice the same' => fn () => [[part('root'), part('root')], 'named twice'],
]);

it('never has powder fresh', function (string $form) {
    $dried = Support::planning()->cupboard()->form($form);
    expect(fn () => $dried->in(State::Fresh))
        ->toThrow(MaterialException::class, 'never fresh')
        ->and(fn () => $dried->in(State::Wilted))
        ->toThrow(MaterialException::class, 'never wilted')
        ->and($dried->in(State::Dried))
        ->toBe($dried);
})->with([['powder'], ['tea-bag']]);

it('lies lower under oil when wilted than when fresh, for the same dry matter', function () {
    foreach (['flower-heads', 'thin-leaf', 'thick-leaf', 'root'] as $form) {
        $fresh = HerbMix::of([part($form, 1.0, State::Fresh)]);
        $wilted = HerbMix::of([part($form, 1.0, State::Wilted, 1 - (1 - $fresh->first()->water) / 0.65)]);
        // For each gram of dry herb.
        expect($wilted->settledMlPerG / $wilted->dryPerG)->toBeLessThan($fresh->settledMlPerG / $fresh->dryPerG, $form);
    }
});
