<?php

use Kettle\Material\Tables;
use Kettle\Stores\LotCheck;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;
use Tests\Core\Support;

it('judges by nose, eye and fingers', function (LotKind $kind, array $answers, string $verdict, string $says) {
    $check = LotCheck::of($kind, $answers, Tables::shipped());
    expect($check->verdict)->toBe($verdict)->and(Support::said($check->says($kind)))->toBe($says);
})->with([
    'good herb' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'living', 'snap' => 'snaps', 'dust' => 'whole'],
        'sound',
        'Sound in every way.',
    ],
    'a little pale' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'paler', 'snap' => 'snaps', 'dust' => 'whole'],
        'sound',
        'Sound: paler than it was, no more.',
    ],
    'ageing herb' => [
        LotKind::Herb,
        ['scent' => 'faint', 'colour' => 'paler', 'snap' => 'snaps', 'dust' => 'whole'],
        'soon',
        'Use it soon: only when bruised; paler than it was.',
    ],
    'grey and scentless: common practice, compost' => [
        LotKind::Herb,
        ['scent' => 'none', 'colour' => 'faded', 'snap' => 'snaps', 'dust' => 'mostly'],
        'past',
        'To the compost: of hay, dust or nothing; grey or brown; mostly dust.',
    ],
    'damp' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'living', 'snap' => 'limp', 'dust' => 'whole'],
        'past',
        'To the compost: limp or damp.',
    ],
    'moths' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'living', 'snap' => 'snaps', 'dust' => 'alive'],
        'past',
        'To the compost: web, moths, fur or mould.',
    ],
    'good oil' => [LotKind::Carrier, ['smell' => 'itself', 'look' => 'clear', 'rim' => 'clean'], 'sound', 'Sound in every way.'],
    'olive set in the cold' => [
        LotKind::Carrier,
        ['smell' => 'itself', 'look' => 'sets', 'rim' => 'clean'],
        'sound',
        'Sound in every way.',
    ],
    'rancid' => [
        LotKind::Carrier,
        ['smell' => 'old', 'look' => 'clear', 'rim' => 'clean'],
        'past',
        'Not to be used: of crayon, paint or old nuts.',
    ],
    'sticky rim' => [
        LotKind::Carrier,
        ['smell' => 'itself', 'look' => 'clear', 'rim' => 'sticky'],
        'soon',
        'Use it soon: sticky or varnished.',
    ],
    'wax with its bloom' => [LotKind::Wax, ['smell' => 'itself', 'look' => 'clean'], 'sound', 'Sound in every way.'],
    'furred butter' => [LotKind::Wax, ['smell' => 'itself', 'look' => 'fur'], 'past', 'Not to be used: fur or spots.'],
]);

it('never finds better by a worse answer', function (LotKind $kind) {
    $asks = LotCheck::asks($kind, Tables::shipped());
    $worst = ['sound' => 0, 'soon' => 1, 'past' => 2];
    $best = array_map(fn (array $ask) => $ask['answers'][0]['id'], $asks);
    $good = array_combine(array_column($asks, 'id'), $best);
    foreach ($asks as $ask) {
        $before = 0;
        foreach ($ask['answers'] as $answer) {
            $now = $worst[LotCheck::of($kind, [...$good, $ask['id'] => $answer['id']], Tables::shipped())->verdict];
            // Answers stand from best to worst, but for oil that only set in the cold and for drops that can be poured off.
            if (! ($ask['id'] === 'look' && $kind === LotKind::Carrier)) {
                expect($now)->toBeGreaterThanOrEqual($before);
                $before = $now;
            }
        }
    }
})->with([[LotKind::Herb], [LotKind::Carrier], [LotKind::Wax]]);

it('wants every question answered, and asks none of a jar', function () {
    expect(fn () => LotCheck::of(LotKind::Herb, ['scent' => 'strong'], Tables::shipped()))
        ->toThrow(LotException::class, 'Answer this too')
        ->and(
            fn () => LotCheck::of(
                LotKind::Herb,
                ['scent' => 'lovely', 'colour' => 'living', 'snap' => 'snaps', 'dust' => 'whole'],
                Tables::shipped(),
            ),
        )
        ->toThrow(LotException::class, 'How does it smell')
        ->and(fn () => LotCheck::of(LotKind::Jar, [], Tables::shipped()))
        ->toThrow(LotException::class, 'nothing to check')
        ->and(LotCheck::asks(LotKind::Bottle, Tables::shipped()))
        ->toBe([]);
});

it('refuses an answer to what is not asked', function () {
    $good = ['scent' => 'strong'];
    expect(fn () => LotCheck::of(LotKind::Herb, [...$good, 'sent' => 'strong'], Tables::shipped()))->toThrow(
        LotException::class,
        '“sent” is not known here. Is “scent” meant?',
    );
});
