<?php

use Kettle\Keeping\Antioxidant;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\KeepingException;
use Kettle\Keeping\ShelfLife;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Tests\Core\Support;

/** @param  array<string, mixed>  $facts */
function kept(array $facts = [], array $oils = ['sunflower'], State $state = State::Dried): Keeping
{
    $cupboard = new Cupboard(Tables::shipped());
    $day = fn (string $day) => new DateTimeImmutable($day.'T10:00:00Z');
    $defaults = ['filledAt' => $day('2026-10-01'), 'strainedAt' => $day('2026-10-29')];

    return Keeping::of(
        Blend::of(array_map(fn (string $id) => ['carrier' => $cupboard->carrier($id), 'parts' => 1.0], $oils)),
        $state,
        new StorageFacts(...[...$defaults, ...$facts]),
        Tables::shipped(),
    );
}

/** Four weeks on the herb, in months. */
const ON_HERB = (28 * 24) / 730.56;

/** @return list<string> */
function keptRules(Keeping $keeping): array
{
    return array_map(fn ($reason) => $reason->rule, $keeping->figure()->reasons);
}

it('keeps as long as its oil once opened, cool and dark', function () {
    // Six months from the day it was poured, of which four weeks go by on the herb: 28 days are 0.92 months of 730.56 h.
    expect(kept()->months)
        ->toEqualWithDelta(6 - ON_HERB, 1e-9)
        ->and(kept()->bestBefore->format('Y-m-d'))
        ->toBe('2027-03-31')
        ->and(keptRules(kept()))
        ->toBe(['keeps-single', 'keeps-on-herb']);
});

it('says how much sooner and later it may be', function () {
    // 5.080 months, a quarter less is 3.810: three months and 25 days (0.810 of 30.44) after 29 October, 29 January and 25
    // days; a quarter more is 6.350: 29 April and 11 days.
    $figure = kept()->figure();
    expect($figure->low)->toBe('2027-02-23')->and($figure->value)->toBe('2027-03-31')->and($figure->high)->toBe('2027-05-10');
    // A seller's own day is the latest there is, and no range goes past it.
    $sold = kept(['lots' => ['sunflower' => ['opened' => null, 'best_before' => new DateTimeImmutable('2027-01-15')]]])->figure();
    expect($sold->low)->toBe('2027-01-15')->and($sold->high)->toBe('2027-01-15');
});

it('goes by the weakest oil, or adds the rates', function () {
    // Sunflower 6 months and jojoba 30, half and half, each less what went by on the herb: by rates 1/(0.5/6 + 0.5/30) =
    // 10 months before that.
    expect(kept([], ['sunflower', 'jojoba'])->months)
        ->toEqualWithDelta(6 - ON_HERB, 1e-9)
        ->and(kept(['byRates' => true], ['sunflower', 'jojoba'])->months)
        ->toEqualWithDelta(1 / (0.5 / (6 - ON_HERB) + 0.5 / (30 - ON_HERB)), 1e-9)
        ->and(kept(['byRates' => true, 'strainedAt' => new DateTimeImmutable('2026-10-01T10:00:00Z')], ['sunflower', 'jojoba'])->months)
        ->toEqualWithDelta(10.0, 1e-9);
});

it('changes with every fact, the way it should', function (array $facts, float $months, string $rule) {
    expect(kept($facts)->months)->toEqualWithDelta($months, 0.005)->and(keptRules(kept($facts)))->toContain($rule);
})->with([
    'in the refrigerator' => [['place' => 'fridge'], 1.5 * (6 - ON_HERB), 'keeps-place'],
    'by the stove' => [['place' => 'warm'], 0.5 * (6 - ON_HERB), 'keeps-place'],
    'in clear glass' => [['glass' => 'clear'], 0.75 * (6 - ON_HERB), 'keeps-glass'],
    'with vitamin E' => [['antioxidant' => 'vitamin-e'], 1.25 * (6 - ON_HERB), 'keeps-antioxidant'],
    // 100 h at 50 C, twice as fast for each 10 C over 20: 800 h of the cool, 1.095 months of 730.56 h.
    'heated long' => [['heat' => [['hours' => 100.0, 'celsius' => 50.0]]], 6 - ON_HERB - 800 / 730.56, 'keeps-heat'],
    // From 1 July to straining on 29 October.
    'from a bottle three months open' => [
        ['lots' => ['sunflower' => ['opened' => new DateTimeImmutable('2026-07-01T10:00:00Z'), 'best_before' => null]]],
        6 - (120 * 24) / 730.56,
        'keeps-opened',
    ],
]);

it('never keeps past what a seller said', function () {
    $facts = ['lots' => ['sunflower' => ['opened' => null, 'best_before' => new DateTimeImmutable('2027-01-15')]]];
    expect(kept($facts)->bestBefore->format('Y-m-d'))
        ->toBe('2027-01-15')
        ->and(keptRules(kept($facts)))
        ->toContain('keeps-lot')
        ->and(kept($facts)->figure()->high)
        ->toBe('2027-01-15');
    // A seller's day long after changes nothing.
    expect(
        keptRules(kept(['lots' => ['sunflower' => ['opened' => null, 'best_before' => new DateTimeImmutable('2029-01-15')]]])),
    )->not->toContain('keeps-lot');
});

// Dried herb 1 to 2 years; wilted or fresh about 6 months, at most a year, better in the refrigerator: common practice, no source.
it('never passes what the state of the herb allows', function () {
    expect(kept(['antioxidant' => 'rosemary', 'place' => 'fridge'], ['jojoba'])->months)
        ->toBe(24.0)
        ->and(kept(['water' => 0.15], ['jojoba'], State::Wilted)->months)
        ->toBe(6.0)
        ->and(kept(['water' => 0.15, 'place' => 'fridge'], ['jojoba'], State::Wilted)->months)
        ->toBe(9.0)
        ->and(kept(['water' => 0.85], ['jojoba'], State::Fresh)->months)
        ->toBe(3.0)
        // Half way between 15 and 85 % water, half way between six months and three.
        ->and(kept(['water' => 0.5], ['jojoba'], State::Wilted)->months)
        ->toEqualWithDelta(4.5, 1e-9)
        ->and(keptRules(kept(['water' => 0.5], ['jojoba'], State::Wilted)))
        ->toContain('keeps-damp');
});

// Watery fresh kitchen plants days to weeks, cold only; cooked with fresh plant 2 to 3 months; common practice, no source.
it('keeps the oil of watery herb for days to weeks in the cold, and longer only where it was cooked', function (
    array $facts,
    float $months,
    string $rule,
) {
    $keeping = kept([...$facts, 'watery' => true], ['jojoba'], State::Fresh);
    expect($keeping->months)
        ->toEqualWithDelta($months, 1e-9)
        ->and(keptRules($keeping))
        ->toContain($rule)
        ->and($keeping->coldOnly)
        ->toBe($rule !== 'keeps-cooked' || $months < 2);
})->with([
    'in the refrigerator' => [['place' => 'fridge'], 0.7, 'keeps-watery'],
    'in a cupboard' => [['place' => 'cool-dark'], 0.1, 'keeps-watery-warm'],
    'a quarter of an hour in the pan' => [['place' => 'fridge', 'heat' => [['hours' => 0.25, 'celsius' => 95.0]]], 1.5, 'keeps-cooked'],
    'two hours, open' => [['heat' => [['hours' => 2.0, 'celsius' => 60.0]]], 3.0, 'keeps-cooked'],
    'eight hours, open' => [['heat' => [['hours' => 8.0, 'celsius' => 50.0]]], 6.0, 'keeps-cooked'],
]);

it('gives wet kitchen oil no months, however it was to be kept', function () {
    $keeping = kept(['kitchen' => true], ['jojoba'], State::Wilted);
    expect($keeping->months)
        ->toBe(4 / 30.44)
        ->and($keeping->bestBefore->format('Y-m-d'))
        ->toBe('2026-10-05');
});

it('gives an oil that is past its own time no grace', function () {
    // Filled two years ago and strained today: sunflower had six months.
    $old = kept(['filledAt' => new DateTimeImmutable('2024-10-29T10:00:00Z')]);
    expect($old->months)
        ->toBe(0.0)
        ->and($old->bestBefore->format('Y-m-d'))
        ->toBe('2026-10-29')
        ->and($old->spent)
        ->toBe(['sunflower'])
        ->and(keptRules($old))
        ->toContain('keeps-spent');
    $sold = kept(['lots' => ['sunflower' => ['opened' => null, 'best_before' => new DateTimeImmutable('2026-10-28T00:00:00Z')]]]);
    expect($sold->spent)
        ->toBe(['sunflower'])
        ->and($sold->months)
        ->toBe(0.0)
        ->and(kept()->spent)
        ->toBe([]);
});

it('says months and day alike', function () {
    foreach (
        [
            [],
            ['lots' => ['sunflower' => ['opened' => null, 'best_before' => new DateTimeImmutable('2026-12-01T00:00:00Z')]]],
            ['storage' => 'fridge', 'strainedAt' => new DateTimeImmutable('2026-10-01T12:00:00Z')],
        ] as $facts
    ) {
        $keeping = kept($facts);
        $from = $facts['strainedAt'] ?? new DateTimeImmutable('2026-10-29T10:00:00Z');
        expect(($keeping->bestBefore->getTimestamp() - $from->getTimestamp()) / 3600 / 730.56)->toEqualWithDelta($keeping->months, 0.06);
    }
});

// National Center for Home Food Preservation, from memory: 4 days at 40 F (4 C) or colder.
it('has four days in the cold for wet kitchen herb, whatever else is so', function (array $more) {
    $keeping = kept(['storage' => 'fridge', ...$more], ['jojoba'], State::Fresh);
    expect($keeping->bestBefore->format('Y-m-d'))
        ->toBe('2026-10-05')
        ->and(keptRules($keeping))
        ->toBe(['keeps-four-days']);
})->with([[[]], [['antioxidant' => 'vitamin-e', 'place' => 'fridge']], [['strainedAt' => new DateTimeImmutable('2026-10-02T10:00:00Z')]]]);

it('has two months for what was soured first', function () {
    expect(kept(['storage' => 'soured'], ['olive'], State::Fresh)->months)->toBe(2.0);
});

it('is never over before it begins, and its range holds its middle', function () {
    mt_srand(31);
    $oils = ['sunflower', 'flaxseed', 'jojoba', 'coconut', 'hemp-seed'];
    for ($i = 0; $i < 400; $i++) {
        $keeping = kept(
            [
                'heat' => [['hours' => mt_rand(0, 300) * 1.0, 'celsius' => mt_rand(20, 95) * 1.0]],
                'place' => ['cool-dark', 'fridge', 'room', 'warm'][mt_rand(0, 3)],
                'glass' => ['dark', 'clear'][mt_rand(0, 1)],
                'antioxidant' => ['none', 'vitamin-e', 'rosemary'][mt_rand(0, 2)],
                'storage' => ['shelf', 'fridge', 'soured'][mt_rand(0, 2)],
                'lots' => [
                    ($oil = $oils[mt_rand(0, 4)]) => [
                        'opened' => (new DateTimeImmutable('2026-10-01'))->modify('-'.mt_rand(0, 60).' months'),
                        'best_before' => mt_rand(0, 1) ? null : new DateTimeImmutable('2026-'.mt_rand(10, 12).'-15'),
                    ],
                ],
            ],
            [$oil],
            State::cases()[mt_rand(0, 2)],
        );
        $figure = $keeping->figure();
        expect($figure->value)
            ->toBeGreaterThanOrEqual('2026-10-05')
            ->and($figure->low)
            ->toBeLessThanOrEqual($figure->value)
            ->and($figure->high)
            ->toBeGreaterThanOrEqual($figure->value);
    }
});

it('puts a longer-keeping thing never before a shorter', function () {
    foreach ([['dark', 'clear'], ['fridge', 'cool-dark'], ['cool-dark', 'room'], ['room', 'warm']] as [$better, $worse]) {
        $key = in_array($better, ['dark', 'clear'], true) ? 'glass' : 'place';
        expect(kept([$key => $better])->bestBefore > kept([$key => $worse])->bestBefore)->toBeTrue();
    }
});

it('takes away on the Bench what the lot it is made from has lost', function () {
    $house = [
        'lots' => [
            [
                'id' => 'o',
                'kind' => 'carrier',
                'material' => 'sunflower',
                'amount' => '2 L',
                'opened_on' => '2026-08-24',
                'best_before' => '2027-02-10',
            ],
        ],
    ];
    $plan = Support::plan(['jar' => '473'], $house);
    expect(Support::said(array_column($plan->notes, 'says', 'id')['old-oil']))
        ->toContain('The sunflower oil in Stores is best before 10 February 2027')
        ->and(array_column(Support::plan(['jar' => '473'])->notes, 'id'))
        ->not->toContain('old-oil');
    expect($plan->figures['best_before']->text())
        ->toBe('2027-02-10')
        ->and(Support::plan(['jar' => '473'])->figures['best_before']->text())
        ->toBe('2027-05-24');
});

it('refuses a place, glass or antioxidant it does not know', function (array $facts) {
    kept($facts);
})
    ->with([[['place' => 'attic']], [['glass' => 'green']], [['antioxidant' => 'honey']]])
    ->throws(KeepingException::class);

// United States Pharmacopeia, from memory: 1 mg is 1.49 IU of d-alpha-tocopherol, 1.10 of dl-alpha-tocopherol, 1.00 of
// dl-alpha-tocopheryl acetate.
it('turns IU into mg as the USP does', function (string $form, float $iuPerMg) {
    $figures = array_column(
        array_map(
            fn ($figure) => ['id' => $figure->id, 'n' => $figure->number()],
            (new Antioxidant(Tables::shipped()))->vitaminE(236.5882365, 20, $form),
        ),
        'n',
        'id',
    );
    // 500 IU a cup: common practice, no source.
    expect($figures['vitamin_e_iu'])
        ->toEqualWithDelta(500, 1e-9)
        ->and($figures['vitamin_e_mg'])
        ->toEqualWithDelta(500 / $iuPerMg, 1e-9)
        ->and($figures['vitamin_e_ml'])
        ->toEqualWithDelta(500 / $iuPerMg / 950, 1e-9)
        ->and($figures['vitamin_e_capsules'])
        ->toBe(2.0);
})->with([['d-alpha-tocopherol', 1.49], ['dl-alpha-tocopherol', 1.1], ['dl-alpha-tocopheryl-acetate', 1.0]]);

it('counts drops by the house’s own dropper, and whole capsules', function () {
    $of = fn (float $ml, float $drops, ?float $capsule = null) => array_column(
        array_map(
            fn ($figure) => ['id' => $figure->id, 'n' => $figure->number()],
            (new Antioxidant(Tables::shipped()))->vitaminE($ml, $drops, capsuleIu: $capsule),
        ),
        'n',
        'id',
    );
    // 946 mL: 2000 IU, 1342 mg, 1.41 mL.
    expect($of(946.352946, 20)['vitamin_e_drops'])
        ->toBe(28.0)
        ->and($of(946.352946, 40)['vitamin_e_drops'])
        ->toBe(57.0)
        ->and($of(946.352946, 20)['vitamin_e_capsules'])
        ->toBe(5.0)
        ->and($of(946.352946, 20, 1000.0)['vitamin_e_capsules'])
        ->toBe(2.0)
        ->and($of(5, 20)['vitamin_e_drops'])
        ->toBe(1.0);
});

it('gives rosemary extract by weight of the oil', function () {
    $figures = (new Antioxidant(Tables::shipped()))->rosemary(500, 0.92, 20);
    expect($figures[0]->number())->toEqualWithDelta(0.92, 1e-9)->and($figures[1]->unit)->toBe('mL');
});

it('refuses an antioxidant for no oil, or of no kind', function (float $ml, string $form) {
    (new Antioxidant(Tables::shipped()))->vitaminE($ml, 20, $form);
})
    ->with([[0, 'd-alpha-tocopherol'], [INF, 'd-alpha-tocopherol'], [30_000, 'd-alpha-tocopherol'], [100, 'honey']])
    ->throws(KeepingException::class);

it('adds months as a calendar does', function () {
    expect(ShelfLife::after(new DateTimeImmutable('2026-08-31'), 6)->format('Y-m-d'))->toBe('2027-02-28');
});
