<?php

use Kettle\Share\LotLines;
use Tests\Core\Support;

/** @return array{array<string, string>, list<string>} fields, and what was guessed */
function lotLine(string $line): array
{
    $kitchen = Support::kitchen();
    $read = (new LotLines($kitchen->cupboard(), $kitchen))->read($line)[0];
    $guessed = array_map(fn (array $part) => $part['as'], array_values(array_filter($read['parts'], fn (array $part) => $part['guess'])));

    return [$read['lot'], array_values(array_unique($guessed))];
}

/*
 * Written out by hand. A day without a year is the last such day; Support's kitchen stands on 24 November 2026.
 */
it('reads a lot as it is written on a lid', function (string $line, array $lot) {
    expect(lotLine($line)[0])->toEqualCanonicalizing($lot)->and(array_keys(array_diff_assoc($lot, lotLine($line)[0])))->toBe([]);
})->with([
    '260 g calendula, dried, walled garden, 27 July, 8.50' => [
        '260 g calendula, dried, walled garden, 27 July, 8.50',
        [
            'kind' => 'herb',
            'material' => 'calendula',
            'amount' => '260 g',
            'state' => 'dried',
            'got_where' => 'walled garden',
            'got_on' => '2026-07-27',
            'price' => '8.50',
        ],
    ],
    'an oil' => [
        '1 L olive oil, best before March 2027, £9, food grade',
        [
            'kind' => 'carrier',
            'material' => 'olive',
            'amount' => '1 L',
            'best_before' => '2027-03-31',
            'price' => '9',
            'food_grade' => 'yes',
        ],
    ],
    'the amount behind' => ['calendula 40 g dried', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '40 g', 'state' => 'dried']],
    'picked' => [
        'fresh nettles 200 g, picked this morning',
        [
            'kind' => 'herb',
            'material' => 'nettle-leaf',
            'amount' => '200 g',
            'state' => 'fresh',
            'got_how' => 'gathered',
            'got_on' => '2026-11-24',
        ],
    ],
    'brackets' => [
        'sunflower oil 1 L (opened, about 300 mL left)',
        ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '300 mL', 'note' => 'opened; 1 L'],
    ],
    'a bracket that belongs to the name' => [
        'coconut oil (virgin) 500 g tub',
        ['kind' => 'carrier', 'material' => 'coconut', 'amount' => '500 g'],
    ],
    'a price that nothing parts from the rest' => [
        'jojoba 100 mL for £8.50, the market',
        ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '100 mL', 'price' => '8.50', 'got_where' => 'the market'],
    ],
    'an old oil' => ['some old almond oil', ['kind' => 'carrier', 'material' => 'sweet-almond', 'note' => 'old']],
    'and an old man’s beard' => ['old man’s beard 20 g', ['kind' => 'herb', 'material' => 'usnea', 'amount' => '20 g']],
    'half of what it stands in, as it is written' => [
        'half a bag of rosemary',
        ['kind' => 'herb', 'material' => 'rosemary', 'note' => 'half a bag'],
    ],
    'so many of something is no place' => [
        'dried chamomile, 3 tea bags',
        ['kind' => 'herb', 'material' => 'chamomile', 'state' => 'dried', 'note' => '3 tea bags'],
    ],
    'bottles, and how many behind' => ['glass bottles 100 ml, 20', ['kind' => 'bottle', 'material' => '100 mL bottle', 'amount' => '20']],
    'bottles, and of what size behind' => ['12 bottles, 100 ml', ['kind' => 'bottle', 'material' => '100 mL bottle', 'amount' => '12']],
    'jars, with their size in brackets' => ['20 jars (120 ml)', ['kind' => 'jar', 'material' => '120 ml jar', 'amount' => '20']],
    'tins of a size' => ['12 x 2 oz tins', ['kind' => 'tin', 'amount' => '12', 'material' => '2 fl oz']],
    'tins of something' => ['calendula, 2 x 100 g tins', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '2 x 100 g']],
    'another part of a plant' => ['nettle root 200 g', ['kind' => 'herb', 'called' => 'nettle root', 'amount' => '200 g']],
    'one that harms by every part' => [
        'comfrey flowers 20 g',
        ['kind' => 'herb', 'material' => 'comfrey-leaf', 'amount' => '20 g', 'note' => 'comfrey flowers'],
    ],
    'a wax' => [
        '2 lb 3 oz beeswax pellets, bought from the fair, £22',
        ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '2 lb 3 oz', 'got_how' => 'bought', 'got_where' => 'fair', 'price' => '22'],
    ],
    'a scent' => ['10 mL lavender essential oil', ['kind' => 'scent', 'material' => 'lavender', 'amount' => '10 mL']],
    'tins' => ['24 x 30 mL tins', ['kind' => 'tin', 'amount' => '24', 'material' => '30 mL']],
    'a decimal comma and semicolons' => [
        '500 g shea butter; 12,50 €; opened 3 May',
        ['kind' => 'carrier', 'material' => 'shea', 'amount' => '500 g', 'price' => '12.50', 'opened_on' => '2026-05-03'],
    ],
    // A market is in no month, and nothing was got on a day to come.
    'a market' => [
        '500 g dried calendula, market, 3 Nov, £12.50',
        [
            'kind' => 'herb',
            'material' => 'calendula',
            'amount' => '500 g',
            'state' => 'dried',
            'got_where' => 'market',
            'got_on' => '2026-11-03',
            'price' => '12.50',
        ],
    ],
    'a month to come' => [
        '80 g heather, March 2027',
        ['kind' => 'herb', 'material' => 'heather', 'amount' => '80 g', 'best_before' => '2027-03-31'],
    ],
    'as it is printed on a bottle' => [
        'olive oil 1L bb 03/2027',
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1L', 'best_before' => '2027-03-31'],
    ],
    'by the end of a year' => [
        '1,5 kg coconut oil, use by 2028',
        ['kind' => 'carrier', 'material' => 'coconut', 'amount' => '1,5 kg', 'best_before' => '2028-12-31'],
    ],
    'in brackets' => ['olive oil (1 gallon)', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 gallon']],
    'at a price' => ['100 g nettle @ 3.20', ['kind' => 'herb', 'material' => 'nettle-leaf', 'amount' => '100 g', 'price' => '3.20']],
    'picked by hand' => [
        '40 g hand picked heather, from isa@the moor',
        ['kind' => 'herb', 'material' => 'heather', 'amount' => '40 g', 'got_where' => 'isa@the moor'],
    ],
    'bought, in one breath' => [
        '40 g heather bought at the fair',
        ['kind' => 'herb', 'material' => 'heather', 'amount' => '40 g', 'got_how' => 'bought', 'got_where' => 'fair'],
    ],
    'opened, in one breath' => [
        'jojoba 250 ml opened in May',
        ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '250 ml', 'opened_on' => '2026-05-01'],
    ],
    'bags of so much each' => [
        'two bags of dried linden, 100 g each',
        ['kind' => 'herb', 'material' => 'linden-blossom', 'amount' => '2 x 100 g', 'state' => 'dried'],
    ],
    'packets of so much' => [
        '3 packets of 50 g dried heather',
        ['kind' => 'herb', 'material' => 'heather', 'amount' => '3 x 50 g', 'state' => 'dried'],
    ],
    'jars' => ['10 pint jars', ['kind' => 'jar', 'material' => 'pint jar', 'amount' => '10']],
    // A house may have none that is called so: which jar it is then is asked by its name.
    'jars of a size nobody has' => ['3 gallon jars', ['kind' => 'jar', 'material' => 'gallon jar', 'amount' => '3']],
    'tubes' => ['five tubes of 15 ml', ['kind' => 'tin', 'amount' => '5', 'material' => '15 ml']],
    'what is in a jar' => ['3 jars of honey', ['kind' => 'addition', 'material' => 'honey', 'note' => '3 jars']],
    'bottles' => ['six amber bottles 100 ml', ['kind' => 'bottle', 'material' => '100 mL bottle', 'amount' => '6']],
    'bottles of a size' => ['12 x 50 mL bottles', ['kind' => 'bottle', 'material' => '50 mL bottle', 'amount' => '12']],
    'an addition' => ['emulsifying wax 100 g', ['kind' => 'addition', 'material' => 'emulsifying-wax', 'amount' => '100 g']],
    'vitamin E' => ['vitamin E 30 g', ['kind' => 'wax', 'material' => 'vitamin-e', 'amount' => '30 g']],
    'digits of another keyboard' => ['５００ g heather', ['kind' => 'herb', 'material' => 'heather', 'amount' => '500 g']],
    // Thousands or a decimal: what it is of is known, and how much is asked.
    'an amount that is two' => [
        '1,500 g sunflower oil',
        ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1,500 g'],
        ['amount'],
    ],
    'and behind it' => [
        'olive oil, 1.500 ml, opened 3 Nov',
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1.500 ml', 'opened_on' => '2026-11-03'],
        ['amount'],
    ],
    'and with a point, as it is taken' => [
        'beeswax 12.500 g',
        ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '12.5 g'],
        ['amount'],
    ],
    'and with noughts only' => ['olive oil 15.000 ml', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '15 ml'], ['amount']],
    'and with no comma' => ['calendula 300-200 g', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '300-200 g'], ['amount']],
    'by another name' => ['80 g tulsi', ['kind' => 'herb', 'material' => 'holy-basil', 'amount' => '80 g']],
    'a day of last year' => [
        '80 g heather, 2 December',
        ['kind' => 'herb', 'material' => 'heather', 'amount' => '80 g', 'got_on' => '2025-12-02'],
    ],
    'a powder' => ['50 g turmeric, ground', ['kind' => 'herb', 'material' => 'turmeric', 'amount' => '50 g', 'form' => 'powder']],
    'what the tables do not have' => ['80 g bog pea', ['kind' => 'herb', 'called' => 'bog pea', 'amount' => '80 g']],
    'an oil they do not have' => ['200 mL emu oil', ['kind' => 'carrier', 'called' => 'emu oil', 'amount' => '200 mL']],
]);

// As a shelf is written down in one go; common practice, no source.
it('takes each thing with an amount of its own for a lot', function (string $text, array $lots) {
    $kitchen = Support::kitchen();
    $read = (new LotLines($kitchen->cupboard(), $kitchen))->read($text);
    expect(
        array_map(fn (array $each) => [$each['lot']['material'] ?? ($each['lot']['called'] ?? ''), $each['lot']['amount'] ?? ''], $read),
    )->toBe($lots);
})->with([
    'nothing between' => ['50g comfrey 25g plantain', [['comfrey-leaf', '50g'], ['plantain-leaf', '25g']]],
    'nothing between but much room' => ['50g comfrey   25g  plantain', [['comfrey-leaf', '50g'], ['plantain-leaf', '25g']]],
    'an ampersand' => ['calendula 50 g & yarrow 30 g', [['calendula', '50 g'], ['yarrow', '30 g']]],
    'commas' => ['olive oil 1 L, castor 200 ml, jojoba 50 ml', [['olive', '1 L'], ['castor', '200 ml'], ['jojoba', '50 ml']]],
    'one that is in no list' => ['dead nettle 20 g and yarrow 20 g', [['dead nettle', '20 g'], ['yarrow', '20 g']]],
    'an amount that is of no thing' => ['olive oil 1 L, from the 5 L can', [['olive', '1 L']]],
    'one lot with its state' => ['260 g calendula, dried, walled garden', [['calendula', '260 g']]],
    'so many jars behind their name' => ['pint jars 6', [['pint jar', '6']]],
]);

it('reads what an oil stands in, pours what is poured, and takes what is said of it for no place', function (string $line, array $lot) {
    expect(lotLine($line)[0])->toEqualCanonicalizing($lot)->and(array_diff_assoc($lot, lotLine($line)[0]))->toBe([]);
})->with([
    ['olive oil 5L tin opened 3 Nov', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '5L', 'opened_on' => '2026-11-03']],
    ['500 ml sunflower', ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '500 ml']],
    ['100 ml lavender', ['kind' => 'herb', 'material' => 'lavender', 'amount' => '100 ml']],
    [
        'lavender buds, 100 g, organic, 2025 harvest',
        ['kind' => 'herb', 'material' => 'lavender', 'amount' => '100 g', 'note' => 'organic; 2025 harvest'],
    ],
    ['old mint, about two years', ['kind' => 'herb', 'material' => 'peppermint', 'note' => 'old; about two years']],
    ['sweet almond oil, half left of 1 litre', ['kind' => 'carrier', 'material' => 'sweet-almond', 'note' => 'half left of 1 litre']],
]);

it('says what it guessed, and drops nothing unsaid', function (string $line, array $guessed, string $note) {
    [$lot, $guesses] = lotLine($line);
    expect($guesses)
        ->toBe($guessed)
        ->and($lot['note'] ?? '')
        ->toBe($note);
})->with([
    'a day that could be two' => ['80 g heather, 3/4/2026', ['note'], '3/4/2026'],
    'words after the place' => ['80 g heather, the moor, a little grey', ['got_where', 'note'], 'a little grey'],
    'a name nobody knows' => ['80 g bog pea', ['kind', 'called'], ''],
    'by a shorter name' => ['80 g poplar', ['material'], ''],
    'a price of no money' => ['80 g heather, 8.50', ['price'], ''],
    'no month at all' => ['80 g heather, 31 February 2026', ['note'], '31 February 2026'],
    'bought on a day that could be two' => ['80 g heather, bought 1/2/2026', ['note'], '1/2/2026'],
    'a handful is no place' => ['heather, a handful', ['note'], 'a handful'],
    'a month of which no day is said' => ['1 L olive oil, opened in May', ['opened_on'], ''],
]);

it('takes no other money for the house’s own', function (string $price, array $lot) {
    $kitchen = Support::kitchen(['currency' => 'GBP', 'measures' => 'metric']);
    $read = (new LotLines($kitchen->cupboard(), $kitchen))->read("80 g heather, {$price}")[0]['lot'];
    expect(array_intersect_key($read, ['price' => 1, 'note' => 1]))->toBe($lot);
})->with([['£3.20', ['price' => '3.20']], ['3.20', ['price' => '3.20']], ['€3.20', ['note' => '€3.20']], ['$3', ['note' => '$3']]]);

it('reads many at once, and no more than it may', function () {
    $kitchen = Support::kitchen();
    $lines = new LotLines($kitchen->cupboard(), $kitchen);
    expect($lines->read("80 g heather\r\n\r\n  \n1 L olive oil\n"))->toHaveCount(2);
    expect($lines->read(str_repeat("80 g heather\n", 500)))->toHaveCount(LotLines::MOST);
    expect($lines->read(''))->toBe([]);
});

it('reads any words without falling over them', function () {
    $kitchen = Support::kitchen();
    $lines = new LotLines($kitchen->cupboard(), $kitchen);
    mt_srand(7);
    $words = [
        '260 g',
        'calendula',
        ',',
        ';',
        '27 July',
        '8,50',
        '£',
        '🌿',
        'أ',
        '½ cup',
        'oil',
        '0',
        '-',
        "\u{202E}",
        'dried',
        '(',
        ')',
        '/',
        '1e9',
        'tins',
    ];
    for ($i = 0; $i < 400; $i++) {
        $line = implode(' ', array_map(fn () => $words[mt_rand(0, count($words) - 1)], range(1, mt_rand(1, 9))));
        foreach ($lines->read($line) as $read) {
            // Every letter stands in some piece, or in the line that is shown.
            expect($read['line'])->toBe(trim($line));
        }
    }
});

it('leaves nothing of a line out: what it stood in, how much is left, from where, and what nobody understood', function (
    string $line,
    array $lot,
) {
    expect(lotLine($line)[0])->toEqualCanonicalizing($lot)->and(array_diff_assoc($lot, lotLine($line)[0]))->toBe([]);
})->with([
    ['rosemary from the garden fresh', ['kind' => 'herb', 'material' => 'rosemary', 'state' => 'fresh', 'got_where' => 'garden']],
    // Half of five litres is there.
    ['sunflower oil 5L can, half left', ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '2500 mL']],
    ['5 L can of sunflower oil, 3/4 full', ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '3750 mL']],
    ['coconut oil, 400 g, a quarter used', ['kind' => 'carrier', 'material' => 'coconut', 'amount' => '300 g']],
    ['olive oil 750 ml, 2/3 left', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 mL']],
    ['olive oil 750 ml, ⅓ gone', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 mL']],
    ['olive oil 750 ml, 3/0 left', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '750 ml', 'note' => '3/0 left']],
    ['olive oil 750 ml, nearly full', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '750 ml', 'note' => 'nearly full']],
    ['yarrow, half left', ['kind' => 'herb', 'material' => 'yarrow', 'note' => 'half left']],
    ['sunflower oil 1 L bottle', ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 L']],
    ['calendula, 100 g bag', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '100 g']],
    ['calendula 2023 harvest', ['kind' => 'herb', 'material' => 'calendula', 'note' => '2023 harvest']],
    ['half-full jar of yarrow', ['kind' => 'herb', 'material' => 'yarrow', 'note' => 'half-full jar']],
    // Asked about where it is read: what is there is one figure.
    ['beeswax 200-250g', ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '200-250g']],
    ['half a bag of calendula', ['kind' => 'herb', 'material' => 'calendula', 'note' => 'half a bag']],
    ['coconut oil, solid, 500 ml', ['kind' => 'carrier', 'material' => 'coconut', 'amount' => '500 ml', 'note' => 'solid']],
    // Jars of a name that the house does not know are jars still, and none of its own.
    ['12 jam jars', ['kind' => 'jar', 'material' => 'jam jar', 'amount' => '12']],
    // A hundred millilitres are no hundred bottles.
    ['100 mL bottle', ['kind' => 'bottle', 'material' => '100 mL bottle']],
    ['3 x 100 ml amber bottles', ['kind' => 'bottle', 'material' => '100 mL bottle', 'amount' => '3']],
]);

it('marks what it reckoned of what is left as a guess', function () {
    expect(lotLine('sunflower oil 5L can, half left')[1])->toContain('amount')->and(lotLine('1 L olive oil')[1])->not->toContain('amount');
});

it('reads what is parted by dashes, a month of a year, and words of how a thing is', function (string $line, array $lot) {
    expect(lotLine($line)[0])->toEqualCanonicalizing($lot)->and(array_keys(array_diff_assoc($lot, lotLine($line)[0])))->toBe([]);
})->with([
    [
        'St. John’s wort - fresh frozen - 100 g - July 2026',
        [
            'kind' => 'herb',
            'material' => 'st-johns-wort',
            'state' => 'fresh',
            'note' => 'fresh frozen',
            'amount' => '100 g',
            'got_on' => '2026-07-01',
        ],
    ],
    ['nettle - dried - 60 g - 80 g', ['kind' => 'herb', 'material' => 'nettle-leaf', 'state' => 'dried', 'amount' => '60 g - 80 g']],
    [
        'comfrey leaf dried aug 2026 120 g',
        ['kind' => 'herb', 'material' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '120 g', 'got_on' => '2026-08-01'],
    ],
    ['Olive oil, extra virgin, 5L tin', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '5L', 'note' => 'extra virgin']],
    [
        'jojoba (golden) 250 ml from the mill',
        ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '250 ml', 'note' => 'golden', 'got_where' => 'mill'],
    ],
    [
        'plantain, about 3 handfuls, picked yesterday',
        ['kind' => 'herb', 'material' => 'plantain-leaf', 'got_how' => 'gathered', 'got_on' => '2026-11-23', 'note' => 'about 3 handfuls'],
    ],
]);

it('takes the earlier of two days where a month stands with two figures, and marks it', function (string $said, string $day, bool $marked) {
    [$lot, $guessed] = lotLine("sunflower oil 3 litres, {$said}");
    expect($lot['best_before'])->toBe($day)->and(in_array('best_before', $guessed, true))->toBe($marked);
})->with([
    // 28 March 2027, or March 2028.
    ['bb Mar 28', '2027-03-28', true],
    // 26 March 2027, or March 2026, which is gone.
    ['bb Mar 26', '2026-03-31', true],
    ['bb Jan 27', '2027-01-27', true],
    // No shelf has 2015.
    ['bb Jan 15', '2027-01-15', false],
    ['bb 28 March', '2027-03-28', false],
    ['bb Mar 2028', '2028-03-31', false],
]);

it('reads the month a bottle is good until, and what is not to the gram or is in pounds', function (string $line, array $lot) {
    expect(lotLine($line)[0])->toBe($lot);
})->with([
    // What has no such day is a month and a year.
    ['olive oil 500 ml, BBE 12/26', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 ml', 'best_before' => '2026-12-31']],
    [
        'olive oil 500 ml best before 03/27',
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 ml', 'best_before' => '2027-03-31'],
    ],
    ['olive oil 500 ml exp. 2.28', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 ml', 'best_before' => '2028-02-29']],
    // It may be 3 April, or of the year 2004.
    ['olive oil 500 ml bb 03/04', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 ml', 'note' => 'bb 03/04']],
    ['beeswax approx 250g', ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '250g']],
    ['calendula 100g approx', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '100g']],
    ['honey 1 lb 4 oz', ['kind' => 'addition', 'material' => 'honey', 'amount' => '1 lb 4 oz']],
]);
