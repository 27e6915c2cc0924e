<?php

use Kettle\Ask\Questions;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/*
 * What the Bench writes, the Bench reads: a sentence that somebody copied from a card or a jar makes the same wish when it is
 * typed in, with nothing left out and nothing guessed.
 */

/** @param  array<string, mixed>  $wish */
function sentenceOf(array $wish): string
{
    static $questions = null;
    $questions ??= new Questions(Tables::shipped());
    $house = ['now' => '2026-11-24T10:00:00+00:00', 'time_zone' => 'Europe/London'];

    return $questions->ask('plan', ['house' => $house] + $wish, new DateTimeImmutable('2026-11-24T10:00:00Z'))['sentence_text'];
}

/** @return array{string, array<string, mixed>} the sentence that the wish it was read as has, and what was read */
function readAgain(string $sentence): array
{
    $read = Support::sentence($sentence);

    return [sentenceOf($read['wish']), $read];
}

/**
 * A wish of one to three herbs as they come, by whichever way says how much.
 *
 * @param  callable(list<mixed>): mixed  $one
 * @return array<string, mixed>
 */
function anyWish(callable $one): array
{
    static $cupboard = null;
    $cupboard ??= new Cupboard(Tables::shipped());
    $state = $one(['fresh', 'wilted', 'dried', 'dried']);
    $herbs = array_map(fn (): array => ['id' => $one(array_keys($cupboard->herbs())), 'state' => $state], range(1, $one([1, 1, 2, 3])));
    $oils = [['id' => $one(array_keys($cupboard->carriers()))]];
    if ($one([0, 0, 0, 1]) === 1) {
        $oils = [$oils[0] + ['parts' => '2'], ['id' => $one(array_keys($cupboard->carriers())), 'parts' => $one(['1', '2', '3'])]];
    }
    $much = match ($one(['jar', 'amounts', 'oil', 'finished', 'ratio', 'parts', 'by jar', 'in form'])) {
        'jar' => ['jar' => $one(['237', '473', '750', '946'])],
        'amounts' => [
            'herbs' => array_map(fn (array $herb): array => $herb + ['amount' => $one(['20 g', '1 oz', '30 g'])], $herbs),
            'oil_amount' => $one(['300 ml', '1 cup', '0.5 l']),
        ],
        'oil' => ['oil_amount' => $one(['300 ml', '1 pint', '2 cups'])],
        'finished' => ['finished' => $one([['count' => '6', 'size' => '50 ml'], ['count' => '3', 'size' => '100 ml']])],
        'ratio' => [
            'ratio' => $one(['1:5', '1:10', '1:8 w/w', '1:2 v/v', '1:7.5']),
            'basis' => $one(['dry', 'as-it-lies']),
            'jar' => '946',
        ],
        'parts' => [
            'herbs' => array_map(fn (array $herb, int $at): array => $herb + ['parts' => "{$at}"], $herbs, range(1, count($herbs))),
        ],
        'by jar' => [
            'jar' => '473',
            'by_jar' => ['fill' => $one(['half', 'full', 'two-thirds']), 'cover' => $one(['brim', '1 in'])],
        ],
        'in form' => ['herbs' => [$herbs[0] + ['form' => $one(['powder', 'root', 'thin-leaf', 'seed-berry', 'flower-heads', 'twig'])]]],
    };

    return array_filter([
        ...['herbs' => $herbs, 'oils' => $oils],
        ...$much,
        ...$one([['ready_by' => '2027-03-17'], ['start' => '2026-12-10'], [], []]),
        'purpose' => $one(['skin', 'kitchen', 'hair', 'face', 'salve', 'massage', null]),
        'method' => $one(['cold', 'solar', 'double-boiler', 'slow-cooker', 'water-bath', 'incubator', 'gentle-pan', 'poured-hot']),
        'way' => $one([null, null, 'squeezed', 'drained', 'pressed']),
        'heed' => $one([null, null, ['nuts'], ['bee'], ['giving']]),
        'spirit' => $one([null, null, null, 'yes']),
        'kept' => $one([null, null, 'fridge']),
        'hours' => $one([null, null, null, '3 h', '10 days']),
        'stands' => $one([null, null, null, '12 h']),
    ]);
}

/** @param  array<string, mixed>  $wish */
function isWetFoodBegunToday(array $wish, string $sentence): bool
{
    return ($wish['purpose'] ?? '') === 'kitchen' &&
        $wish['herbs'][0]['state'] !== 'dried' &&
        in_array($wish['method'], ['double-boiler', 'slow-cooker', 'water-bath', 'incubator', 'gentle-pan'], true) &&
        str_contains($sentence, 'begun Tuesday 24 November');
}

it('reads every sentence that it writes as the wish it was written of', function (int $seed) {
    mt_srand($seed);
    $one = fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
    $seen = 0;
    for ($i = 0; $i < 500; $i++) {
        $wish = anyWish($one);
        try {
            $sentence = sentenceOf($wish);
        } catch (WishException) {
            continue;
        }
        $seen++;
        // What is wet, for the kitchen and warmed is not said to be begun today: then nobody knows how long it stands by now.
        if (isWetFoodBegunToday($wish, $sentence)) {
            expect(Support::faults(Support::sentence($sentence)['wish']))->toContain('begun: never_so');

            continue;
        }
        [$again, $read] = readAgain($sentence);
        expect($again)->toBe($sentence)->and($read['unread'])->toBe([], $sentence)->and($read['guesses'])->toBe([], $sentence);
    }
    // Enough of them can be planned for this to say something.
    expect($seen)->toBeGreaterThan(100);
})->with([1, 2, 3]);

// By hand: common practice of speech, no source.
it('says of each sentence what is in it', function (array $wish, string $says) {
    expect(sentenceOf($wish))->toContain($says);
})->with([
    'of which weight a ratio of fresh herb is' => [
        ['herbs' => [['id' => 'calendula', 'state' => 'fresh']], 'oils' => [['id' => 'olive']], 'jar' => '946', 'ratio' => '1:20'],
        'fresh, 1:20 by dry weight, in olive oil',
    ],
    'and of herb as it lies' => [
        [
            'herbs' => [['id' => 'calendula', 'state' => 'fresh']],
            'oils' => [['id' => 'olive']],
            'jar' => '946',
            'ratio' => '1:5',
            'basis' => 'as-it-lies',
        ],
        'fresh, one to five as it lies, in olive oil',
    ],
    'by weight' => [
        ['herbs' => [['id' => 'calendula', 'state' => 'fresh']], 'oils' => [['id' => 'olive']], 'jar' => '946', 'ratio' => '1:20 w/w'],
        'fresh, 1:20 w/w reckoned dry, in olive oil',
    ],
    'of dried herb there is one weight only' => [
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'jar' => '473', 'ratio' => '1:8'],
        'dried, one to eight, in olive oil',
    ],
    'how several herbs are' => [
        ['herbs' => [['id' => 'calendula'], ['id' => 'yarrow']], 'oils' => [['id' => 'olive']], 'jar' => '473'],
        'calendula and yarrow oil for the skin, dried, one to',
    ],
    'where they are not alike' => [
        ['herbs' => [['id' => 'calendula', 'state' => 'wilted'], ['id' => 'yarrow', 'state' => 'fresh']], 'oils' => [['id' => 'olive']]],
        'oil for the skin, calendula wilted and yarrow fresh, 1:16 by dry weight, in olive oil',
    ],
    'what each of several weighs' => [
        [
            'herbs' => [['id' => 'calendula', 'amount' => '20 g'], ['id' => 'yarrow', 'amount' => '10 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '300 mL',
        ],
        'calendula and yarrow (20 g and 10 g) oil for the skin, dried,',
    ],
]);

it('reads of each herb how it is, where they are not alike', function () {
    $herbs = [['id' => 'calendula', 'state' => 'wilted'], ['id' => 'yarrow', 'state' => 'fresh']];
    $sentence = sentenceOf(['herbs' => $herbs, 'oils' => [['id' => 'olive']]]);
    [$again, $read] = readAgain($sentence);
    expect($again)->toBe($sentence)->and($read['wish']['herbs'])->toEqual($herbs)->and($read['guesses'])->toBe([]);
});

it('reads a day to come as when it is to be begun, where its weekday says so', function (string $text, array $days) {
    $wish = Support::sentence($text)['wish'];
    expect(array_intersect_key($wish, ['begun' => 0, 'start' => 0]))->toBe($days);
})->with([
    // 10 December 2026 is a Thursday, and in 2025 it was a Wednesday.
    ['calendula in olive, begun Thursday 10 December', ['start' => '2026-12-10']],
    ['calendula in olive, begun Wednesday 10 December', ['begun' => '2025-12-10']],
    ['calendula in olive, begun 3 November', ['begun' => '2026-11-03']],
    ['calendula in olive, begun today', ['begun' => '2026-11-24']],
]);
