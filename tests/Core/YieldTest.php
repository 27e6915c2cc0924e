<?php

use Kettle\Infusion\Uptake;
use Kettle\Infusion\UptakeSeen;
use Kettle\Infusion\UptakeSpread;
use Kettle\Infusion\YieldException;
use Kettle\Infusion\YieldHistory;
use Kettle\Material\Tables;
use Tests\Core\Support;

/** @return array<string, float> the spreads of data/uptake.json */
function spreads(): array
{
    $row = Tables::shipped()->table('uptake')->row('spread');

    return [
        'house' => $row->row('between_houses')->number('value'),
        'batch' => $row->row('between_batches')->number('value'),
        'measuring' => $row->row('measuring')->number('value'),
    ];
}

it('splits the spread of the table into house and batch, and nothing is lost', function () {
    foreach (Tables::shipped()->table('uptake')->rows('rows') as $row) {
        expect(hypot(spreads()['house'], spreads()['batch']))->toEqualWithDelta($row->number('sd'), 1e-9);
        $prior = UptakeSeen::none()->posterior($row->number('ml_per_g'), UptakeSpread::of(Tables::shipped()));
        expect($prior['mean'])
            ->toEqualWithDelta($row->number('ml_per_g'), 1e-12)
            ->and($prior['next_sd'])
            ->toEqualWithDelta($row->number('sd'), 1e-9);
    }
});

it('has nine in ten within 1.645 standard deviations, and nothing below nothing', function () {
    // By the table of the normal distribution (0.95 at 1.645): 1.2 - 1.645 x 0.35 = 0.624, 1.2 + 1.645 x 0.35 = 1.776.
    expect(Uptake::by('squeezed', Tables::shipped())->nineInTen())
        ->low->toEqualWithDelta(0.624, 0.001)
        ->high->toEqualWithDelta(1.776, 0.001);
    expect(Uptake::around(0.3, 0.35))->low->toBe(0.0)->high->toEqualWithDelta(0.876, 0.001);
});

// Normal prior with normal observations of one variance: mean (mu/t2 + n x/s2)/(1/t2 + n/s2), variance 1/(1/t2 + n/s2);
// any text on Bayesian statistics.
it('updates by the closed form', function (array $uptakes) {
    ['house' => $t, 'batch' => $s] = spreads();
    $seen = UptakeSeen::none();
    foreach ($uptakes as $u) {
        $seen = $seen->with($u, $s ** 2);
    }
    $n = count($uptakes);
    $variance = 1 / (1 / $t ** 2 + $n / $s ** 2);
    $now = $seen->posterior(1.2, UptakeSpread::of(Tables::shipped()));
    expect($now['mean'])
        ->toEqualWithDelta($variance * (1.2 / $t ** 2 + array_sum($uptakes) / $s ** 2), 1e-12)
        ->and($now['sd'])
        ->toEqualWithDelta(sqrt($variance), 1e-12)
        ->and($now['next_sd'])
        ->toEqualWithDelta(sqrt($variance + $s ** 2), 1e-12);
})->with([[[1.5]], [[0.9, 1.1, 1.0]], [[1.4, 1.5, 1.45, 1.6, 1.38, 1.52]]]);

// SciPy, a general library: the posterior by quadrature, with no closed form in it.
it('agrees with SciPy integrating it', function () {
    ['house' => $t] = spreads();
    $observed = [[1.48, 0.05], [1.31, 0.09], [1.62, 0.06], [1.05, 0.2]];
    $seen = UptakeSeen::none();
    foreach ($observed as [$u, $variance]) {
        $seen = $seen->with($u, $variance);
    }
    $now = $seen->posterior(1.2, UptakeSpread::of(Tables::shipped()));
    $scipy = python(
        sprintf(
            <<<'PY'
            import json, numpy as np
            from scipy import integrate, stats
            seen = json.loads('%s')
            like = lambda m: stats.norm.pdf(m, 1.2, %F) * np.prod([stats.norm.pdf(u, m, v ** 0.5) for u, v in seen])
            whole = integrate.quad(like, -2, 5, epsabs=1e-14)[0]
            mean = integrate.quad(lambda m: m * like(m), -2, 5, epsabs=1e-14)[0] / whole
            var = integrate.quad(lambda m: (m - mean) ** 2 * like(m), -2, 5, epsabs=1e-14)[0] / whole
            print(json.dumps([mean, var ** 0.5]))
            PY
            ,
            json_encode($observed),
            $t,
        ),
    );
    expect($now['mean'])->toEqualWithDelta($scipy[0], 1e-6)->and($now['sd'])->toEqualWithDelta($scipy[1], 1e-6);
});

it('takes 90 % to be what SciPy takes it to be', function () {
    $scipy = python("import json\nfrom scipy import stats\nprint(json.dumps([stats.norm.ppf(0.95), stats.norm.ppf(0.9)]))");
    expect(Uptake::NINE_IN_TEN)->toEqualWithDelta($scipy[0], 1e-4)->and(Uptake::NINE_TIMES_IN_TEN)->toEqualWithDelta($scipy[1], 1e-4);
});

it('reads the oil left in each gram', function () {
    // 350 mL on 70 g, 261 mL out, 5 mL in cloth and mud: 84 mL in 70 g.
    expect(YieldHistory::uptake(350, 261, 70, 5))->toEqualWithDelta(1.2, 1e-12);
});

it('weighs a batch of little herb less, for a jug is read to a hundredth', function () {
    $spread = UptakeSpread::of(Tables::shipped());
    expect($spread->variance(500, 20))
        ->toBeGreaterThan($spread->variance(500, 100))
        ->and($spread->variance(500, 100))
        ->toEqualWithDelta(0.21 ** 2 + 0.05 ** 2, 1e-12);
});

it('narrows with every batch, and finds the odd one', function () {
    mt_srand(7);
    $batches = [];
    for ($i = 0; $i < 24; $i++) {
        $uptake = 1.55 + 0.15 * (mt_rand() / mt_getrandmax() - 0.5);
        $batches[] = ['id' => "b{$i}", 'oil_ml' => 500.0, 'out_ml' => 500 - 5 - $uptake * 100, 'dry_g' => 100.0];
    }
    $batches[12] = ['id' => 'spilt', 'oil_ml' => 500.0, 'out_ml' => 190.0, 'dry_g' => 100.0];
    $history = (new YieldHistory(Tables::shipped()))->of('squeezed', $batches);
    $widths = array_map(fn (array $step) => $step['high'] - $step['low'], $history['steps']);
    $sorted = $widths;
    rsort($sorted);
    expect($widths)
        ->toBe($sorted)
        ->and($history['odd'])
        ->toBe(['spilt'])
        ->and($history['now']['mean'])
        ->toEqualWithDelta(1.6, 0.12)
        ->and($history['prior']['mean'])
        ->toBe(1.2)
        ->and($history['batches'])
        ->toBe(24);
});

it('calls nothing odd where it is as usual, nor the first far from the table by its spread', function () {
    $one = fn (float $uptake) => ['id' => 'x', 'oil_ml' => 500.0, 'out_ml' => 495 - $uptake * 100, 'dry_g' => 100.0];
    $history = new YieldHistory(Tables::shipped());
    expect($history->of('squeezed', [$one(1.6)])['odd'])
        ->toBe([])
        ->and($history->of('squeezed', [$one(2.6)])['odd'])
        ->toBe(['x'])
        ->and($history->of('drained', [])['now']['mean'])
        ->toBe(2.0);
});

it('gives the same from two sums as from all the batches', function () {
    $kitchen = fn (?Closure $seen) => new Kettle\Recipe\Kitchen(
        Support::kitchen()->now,
        Support::kitchen()->waking,
        Support::kitchen()->custom,
        20,
        Support::kitchen()->jars,
        Support::kitchen()->cupboard(),
        seen: $seen,
    );
    $asked = [];
    $plan = Support::planning()->plan(
        ['herb' => ['id' => 'marshmallow-root', 'amount' => '100 g'], 'oils' => ['sunflower'], 'oil_amount' => '500 mL'],
        $kitchen(function (string $form, string $way) use (&$asked): UptakeSeen {
            $asked[] = "{$form}/{$way}";

            return UptakeSeen::sums(3, 3 / 0.0466, (3 * 1.6) / 0.0466);
        }),
    );
    $yield = $plan->figures['yield_volume'];
    $now = UptakeSeen::sums(3, 3 / 0.0466, (3 * 1.6) / 0.0466)->posterior(1.2, UptakeSpread::of(Tables::shipped()));
    expect($asked)
        ->toBe(['root/squeezed'])
        ->and($yield->number())
        ->toEqualWithDelta(500 - 5 - $now['mean'] * 100, 1e-9)
        ->and((float) $yield->high - (float) $yield->low)
        ->toEqualWithDelta(2 * 1.6449 * $now['next_sd'] * 100, 1e-6)
        ->and(array_map(fn ($reason) => $reason->rule, $yield->reasons))
        ->toContain('uptake-learned');
    // Without its own batches it is the table's, and a mix of forms has none of its own.
    expect(
        Support::planning()
            ->plan(
                ['herb' => ['id' => 'marshmallow-root', 'amount' => '100 g'], 'oils' => ['sunflower'], 'oil_amount' => '500 mL'],
                $kitchen(null),
            )
            ->figures['yield_volume']->number(),
    )->toEqualWithDelta(375, 1e-9);
    $asked = [];
    Support::planning()->plan(
        ['herbs' => [['id' => 'marshmallow-root'], ['id' => 'linden-blossom']], 'oils' => ['sunflower']],
        $kitchen(function () use (&$asked) {
            $asked[] = 'asked';

            return UptakeSeen::none();
        }),
    );
    expect($asked)->toBe([]);
});

it('goes on from what was seen before as if it had seen it all', function () {
    mt_srand(3);
    $batches = array_map(
        fn (int $i) => ['id' => "b{$i}", 'oil_ml' => 400.0, 'out_ml' => 280.0 + mt_rand(-15, 15), 'dry_g' => 80.0],
        range(1, 40),
    );
    $history = new YieldHistory(Tables::shipped());
    $whole = $history->of('squeezed', $batches);
    $spread = UptakeSpread::of(Tables::shipped());
    $before = array_reduce(
        array_slice($batches, 0, 30),
        fn (UptakeSeen $seen, array $one) => $seen->with(
            YieldHistory::uptake($one['oil_ml'], $one['out_ml'], $one['dry_g'], 5),
            $spread->variance($one['oil_ml'], $one['dry_g']),
        ),
        UptakeSeen::none(),
    );
    $later = $history->of('squeezed', array_slice($batches, 30), $before);
    expect($later['batches'])->toBe(40)->and($later['now']['mean'])->toEqualWithDelta($whole['now']['mean'], 1e-9);
    foreach ($later['steps'] as $i => $step) {
        expect($step['mean'])
            ->toEqualWithDelta($whole['steps'][30 + $i]['mean'], 1e-9)
            ->and($step['odd'])
            ->toBe($whole['steps'][30 + $i]['odd']);
    }
});

it('refuses batches that cannot be', function (array $batch) {
    (new YieldHistory(Tables::shipped()))->of('squeezed', [$batch + ['id' => 'x', 'oil_ml' => 500.0, 'out_ml' => 390.0, 'dry_g' => 100.0]]);
})
    ->with([[['dry_g' => 0.0]], [['oil_ml' => 0.0]], [['out_ml' => 600.0]], [['out_ml' => -1.0]], [['dry_g' => NAN]], [['oil_ml' => INF]]])
    ->throws(YieldException::class);
