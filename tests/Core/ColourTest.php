<?php

use Kettle\Warmth\Approach;
use Kettle\Warmth\Colour;
use Kettle\Warmth\WarmthException;

// Sharma, Wu and Dalal 2005, table 1, the pairs that are quoted most, from memory.
it('tells colours apart as Sharma, Wu and Dalal do', function (array $one, array $other, float $difference) {
    expect(Colour::lab(...$one)->difference(Colour::lab(...$other)))
        ->toEqualWithDelta($difference, 0.0001)
        ->and(Colour::lab(...$other)->difference(Colour::lab(...$one)))
        ->toEqualWithDelta($difference, 0.0001);
})->with([
    [[50.0, 2.6772, -79.7751], [50.0, 0.0, -82.7485], 2.0425],
    [[50.0, 3.1571, -77.2803], [50.0, 0.0, -82.7485], 2.8615],
    [[50.0, 2.8361, -74.02], [50.0, 0.0, -82.7485], 3.4412],
    [[50.0, -1.3802, -84.2814], [50.0, 0.0, -82.7485], 1.0],
    [[50.0, 0.0, 0.0], [50.0, -1.0, 2.0], 2.3669],
    [[50.0, 2.49, -0.001], [50.0, -2.49, 0.0009], 7.1792],
    [[50.0, 2.5, 0.0], [50.0, 0.0, -2.5], 4.3065],
    [[50.0, 2.5, 0.0], [73.0, 25.0, -18.0], 27.1492],
    [[50.0, 2.5, 0.0], [61.0, -5.0, 29.0], 22.8977],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
]);

// CIELAB of the sRGB primaries under D65, as any colour library gives them; quoted from memory.
it('sees sRGB as CIELAB', function (array $rgb, array $lab) {
    $colour = Colour::sRgb($rgb);
    expect($colour->l)
        ->toEqualWithDelta($lab[0], 0.05)
        ->and($colour->a)
        ->toEqualWithDelta($lab[1], 0.05)
        ->and($colour->b)
        ->toEqualWithDelta($lab[2], 0.05);
})->with([
    'white' => [[255.0, 255.0, 255.0], [100.0, 0.0, 0.0]],
    'black' => [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0]],
    'red' => [[255.0, 0.0, 0.0], [53.24, 80.09, 67.2]],
    'green' => [[0.0, 255.0, 0.0], [87.73, -86.18, 83.18]],
    'blue' => [[0.0, 0.0, 255.0], [32.3, 79.19, -107.86]],
    'grey' => [[128.0, 128.0, 128.0], [53.59, 0.0, 0.0]],
]);

it('takes the light of the kitchen out by a white card', function () {
    $oil = [180.0, 150.0, 60.0];
    $plain = Colour::sRgb($oil, [250.0, 250.0, 250.0]);
    // The same under a yellow lamp: each channel of oil and card dimmed alike in linear light.
    $dim = fn (float $value, float $by) => 255 *
        (($linear = (($value / 255 + 0.055) / 1.055) ** 2.4 * $by) <= 0.0031308 ? 12.92 * $linear : 1.055 * $linear ** (1 / 2.4) - 0.055);
    $lamp = [0.95, 0.85, 0.6];
    $under = Colour::sRgb(array_map($dim, $oil, $lamp), array_map($dim, [250.0, 250.0, 250.0], $lamp));
    expect($plain->difference($under))
        ->toBeLessThan(0.05)
        ->and(Colour::sRgb($oil)->difference(Colour::sRgb(array_map($dim, $oil, $lamp))))
        ->toBeGreaterThan(3.0);
});

it('refuses what is no colour, and a card that tells nothing', function (array $rgb, ?array $card, string $field) {
    try {
        Colour::sRgb($rgb, $card);
    } catch (WarmthException $refused) {
        expect(in_array($refused->field, [$field, ''], true))->toBeTrue();

        return;
    }
    $this->fail('It was taken.');
})->with([
    [[300.0, 0.0, 0.0], null, 'colour'],
    [[1.0, 2.0], null, 'colour'],
    [[NAN, 0.0, 0.0], null, 'colour'],
    [[100.0, 100.0, 100.0], [20.0, 20.0, 20.0], 'card'],
    [[100.0, 100.0, 100.0], [255.0, 255.0, 255.0], 'card'],
]);

it('finds the end that an infusion goes towards, as SciPy’s curve_fit does', function (array $looks) {
    $fit = Approach::through($looks);
    $theirs = python(
        sprintf(
            <<<'PY'
            import json
            import numpy as np
            from scipy.optimize import curve_fit
            d = np.array(%s)
            p, c = curve_fit(lambda t, m, k: m*(1 - np.exp(-k*t)), d[:,0], d[:,1], p0=[d[:,1].max(), 1/d[:,0].mean()], maxfev=20000)
            print(json.dumps([float(p[0]), float(p[1]), float(np.sqrt(c[0][0])), float(np.sqrt(c[1][1]))]))
            PY
            ,
            json_encode($looks),
        ),
    );
    expect($fit->max)
        ->toEqualWithDelta($theirs[0], 1e-4 * $theirs[0])
        ->and($fit->rate)
        ->toEqualWithDelta($theirs[1], 1e-4 * $theirs[1])
        ->and($fit->maxError)
        ->toEqualWithDelta($theirs[2], 1e-2 * $theirs[2] + 1e-9)
        ->and($fit->rateError)
        ->toEqualWithDelta($theirs[3], 1e-2 * $theirs[3] + 1e-9);
})->with([
    'a month of looks' => [[[1, 3.1], [3, 7.9], [7, 14.2], [10, 17.1], [14, 20.3], [21, 22.4], [28, 23.9]]],
    'four looks' => [[[2, 5.0], [7, 12.0], [14, 17.5], [21, 19.0]]],
    'soon done' => [[[1, 8.0], [2, 9.7], [5, 10.1], [9, 9.9], [14, 10.0]]],
    'hours in the pot' => [[[0.5, 2.2], [1, 4.1], [2, 6.8], [4, 10.1], [6, 11.4], [8, 12.3]]],
]);

it('knows the curve it was given', function () {
    $fit = Approach::through(array_map(fn (int $t) => [(float) $t, 24 * (1 - exp(-0.12 * $t))], [1, 3, 6, 10, 15, 22, 28]));
    expect($fit->max)
        ->toEqualWithDelta(24.0, 1e-6)
        ->and($fit->rate)
        ->toEqualWithDelta(0.12, 1e-7)
        ->and($fit->share(28))
        ->toEqualWithDelta(1 - exp(-3.36), 1e-7)
        ->and($fit->when(0.9))
        ->toEqualWithDelta(log(10) / 0.12, 1e-4)
        ->and($fit->toCome()[0])
        ->toEqualWithDelta(exp(-3.36), 1e-7)
        ->and($fit->toCome()[1])
        ->toBeLessThan(1e-6);
});

it('says when there are too few looks, or nothing rises', function (array $looks, string $says) {
    expect(fn () => Approach::through($looks))->toThrow(WarmthException::class, $says);
})->with([
    'none' => [[], 'too few looks'],
    'three' => [[[1, 1.0], [2, 2.0], [3, 2.5]], 'too few looks'],
    'all of one day' => [[[1, 1.0], [1, 2.0], [1, 2.5], [1, 2.6]], 'too few looks'],
    'nothing seen' => [[[1, 0.0], [2, 0.0], [3, 0.0], [4, 0.0]], 'Nothing rises'],
]);
