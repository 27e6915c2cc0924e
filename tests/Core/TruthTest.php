<?php

use Kettle\Infusion\YieldHistory;
use Kettle\Material\Tables;
use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Recipe\Kitchen;
use Kettle\Warmth\Approach;
use Kettle\Warmth\WarmthException;
use Tests\Core\Support;

it('shows nothing in a kitchen measure that is further than a twentieth from the truth, and can read all it shows', function (
    MeasureSystem $custom,
    Kind $kind,
) {
    $writer = new AmountWriter($custom);
    $reader = new AmountReader($custom);
    mt_srand(99);
    for ($i = 0; $i < 4000; $i++) {
        $value = exp(mt_rand(-210, 850) / 100);
        $shown = $writer->kitchen($value, $kind);
        $read = $reader->read($shown['text'], $kind, $kind->value)->value;
        expect(abs($read / $value - 1))
            ->toBeLessThan(0.0551, $shown['text'].' for '.$value)
            ->and(abs($shown['rounding_percent']))
            ->toBeLessThanOrEqual(5.0);
        $plain = AmountWriter::plain($value, $kind);
        expect($reader->read($plain, $kind, $kind->value)->kind)->toBe($kind)->and($plain)->not->toContain('-0');
    }
})
    ->with(MeasureSystem::cases())
    ->with([[Kind::Mass], [Kind::Volume]]);

// An avoirdupois ounce is 28.35 g (NIST Handbook 44), so an eighth of it is 3.54 g, and 2 g is no eighth.
it('says two grams in grams', function () {
    expect((new AmountWriter())->kitchen(2.0, Kind::Mass))
        ->toBe(['text' => '2 g', 'rounding_percent' => 0.0])
        ->and((new AmountWriter())->kitchen(3.5, Kind::Mass)['text'])
        ->toBe('⅛ oz')
        ->and((new AmountWriter())->kitchen(0.37, Kind::Mass)['text'])
        ->toBe('0.37 g');
});

it('shows spoons where spoons were given', function () {
    $plan = Support::plan(['herb' => ['id' => 'calendula', 'amount' => '3 tbsp'], 'oils' => ['olive']]);
    expect(Support::planning()->document($plan, Support::kitchen())['figures']['herb_mass']['kitchen']['text'])->toBe('3 tbsp');
});

it('says no Celsius to who reads Fahrenheit', function (string $method) {
    $plain = Support::kitchen();
    $kitchen = new Kitchen($plain->now, $plain->waking, $plain->custom, 20.0, $plain->jars, $plain->cupboard(), true);
    $wish = [
        'herb' => ['id' => 'self-heal', 'state' => $method === 'gentle-pan' ? 'fresh' : 'dried'],
        'oils' => ['olive'],
        'method' => $method,
    ];
    $answer = json_encode(Support::planning()->answer(Support::planning()->plan($wish, $kitchen), $kitchen), JSON_UNESCAPED_UNICODE);
    expect($answer)->not->toContain('°C')->not->toContain('-0 °F');
    $method === 'slow-cooker' && expect($answer)->toContain('120 to 140 °F')->toContain('100 °F and no more');
})->with(['cold', 'double-boiler', 'slow-cooker', 'solar', 'water-bath', 'poured-hot', 'gentle-pan', 'incubator']);

it('writes a temperature next to nothing as nothing', function () {
    expect(AmountWriter::plain(-0.3, Kind::Temperature))
        ->toBe('0 °C')
        ->and(AmountWriter::plain(-0.04, Kind::Mass))
        ->toBe('0 g')
        ->and(
            (new Kitchen(
                Support::kitchen()->now,
                Support::kitchen()->waking,
                MeasureSystem::Us,
                20.0,
                [],
                Support::kitchen()->cupboard(),
                true,
            ))->warmth(-17.9),
        )
        ->toBe('0 °F');
});

it('says no end of looks that tell none', function (array $looks) {
    Approach::through($looks);
})
    ->with([
        'a straight line' => [[[[24, 2], [48, 4], [72, 6], [96, 8], [120, 10]]]],
        'falling' => [[[[24, 9], [48, 7], [72, 6], [96, 3]]]],
        'all over the place' => [[[[24, 2], [48, 9], [72, 1], [96, 8], [120, 3]]]],
    ])
    ->throws(WarmthException::class);

// The median of the others and their median absolute deviation are not moved by one of them: Hampel 1974, any text on robust statistics.
it('accuses no good batch for one that was spilt', function (int $good) {
    $batches = array_map(
        fn (int $i) => ['id' => "good-{$i}", 'oil_ml' => 350.0, 'out_ml' => 350 - 70 * (1.2 + 0.05 * (($i % 3) - 1)) - 8, 'dry_g' => 70.0],
        range(1, $good),
    );
    $batches[] = ['id' => 'spilt', 'oil_ml' => 350.0, 'out_ml' => 60.0, 'dry_g' => 70.0];
    $said = (new YieldHistory(Tables::shipped()))->of('squeezed', $batches);
    expect($said['odd'])->toBe(['spilt']);
})->with([1, 2, 3, 4, 6, 12]);
