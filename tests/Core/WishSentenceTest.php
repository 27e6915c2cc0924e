<?php

use Tests\Core\Support;

// Written out by hand, as people say it; common practice, no source.
it('makes a whole wish of one sentence, and leaves nothing out unsaid', function (string $text, array $wish, array $unread = []) {
    $read = Support::sentence($text);
    ksort($wish);
    ksort($read['wish']);
    expect($read['wish'])->toBe($wish)->and($read['unread'])->toBe($unread);
})->with([
    [
        'a pint of calendula and yarrow in olive, slow cooker, for a salve, by 12 December',
        [
            'herbs' => [['id' => 'calendula'], ['id' => 'yarrow']],
            'oils' => [['id' => 'olive']],
            'ready_by' => '2026-12-12',
            'jar' => '473',
            'method' => 'slow-cooker',
            'purpose' => 'salve',
        ],
    ],
    // How full a jar is of herb, and oil besides; 24 November 2026 is a Tuesday.
    [
        'a quarter jar of dried plantain and a cup of olive oil',
        [
            'herbs' => [['id' => 'plantain-leaf', 'state' => 'dried']],
            'oils' => [['id' => 'olive']],
            'by_jar' => ['fill' => 'quarter'],
            'oil_amount' => '1 cup',
        ],
    ],
    [
        'a jar stuffed full of fresh St John\'s wort, olive to the brim, since last Sunday',
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']],
            'oils' => [['id' => 'olive']],
            'by_jar' => ['fill' => 'full', 'lying' => 'stuffed', 'cover' => 'brim'],
            'begun' => '2026-11-22',
        ],
    ],
    [
        'half a jar of lavender in jojoba, covered by 1 in, begun two weeks ago',
        [
            'herbs' => [['id' => 'lavender', 'state' => 'dried']],
            'oils' => [['id' => 'jojoba']],
            'by_jar' => ['fill' => 'half', 'cover' => '1 in'],
            'begun' => '2026-11-10',
        ],
    ],
    [
        '2 jars of lavender in jojoba, by Friday',
        ['herbs' => [['id' => 'lavender']], 'oils' => [['id' => 'jojoba']], 'ready_by' => '2026-11-27', 'jars' => '2'],
    ],
    // Half a pint of herb is the half-pint jar, and never five pints; of oil it is so much oil, as is a pint.
    ['half a pint of calendula in olive', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'jar' => '237']],
    [
        'calendula in half a pint of olive oil',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'oil_amount' => '1/2 pint'],
    ],
    ['calendula in a pint of olive oil', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'oil_amount' => '1 pint']],
    ['a pint of calendula oil in sunflower', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'sunflower']], 'jar' => '473']],
    // A jar is full of something; the sun is only full.
    [
        'a pint jar full of calendula in olive',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'by_jar' => ['fill' => 'full'], 'jar' => '473'],
    ],
    [
        'calendula in olive, on a sill in full sun',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'method' => 'solar'],
        ['full'],
    ],
    // Not said exactly enough to be a day.
    [
        'a pint of calendula in olive, begun several weeks ago',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'jar' => '473'],
        ['begun several weeks ago'],
    ],
    [
        'a pint of calendula in olive, since last week',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'jar' => '473'],
        ['since last week'],
    ],
    [
        '50 g dried calendula in 250 ml olive oil, double boiler for 2 hours',
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
            'oils' => [['id' => 'olive']],
            'method' => 'double-boiler',
            'school' => 'usual',
            'oil_amount' => '250 ml',
        ],
    ],
    [
        'six bottles of 50 ml of self-heal oil in sweet almond, slow cooker at 38 C for 6 to 8 h, standing 12 h, not squeezed',
        [
            'herbs' => [['id' => 'self-heal']],
            'oils' => [['id' => 'sweet-almond']],
            'stands' => '12 h',
            'way' => 'drained',
            'finished' => ['count' => '6', 'size' => '50 ml'],
            'method' => 'slow-cooker',
            'hours' => '6 to 8 h',
            'warmth' => '38 C',
        ],
    ],
    [
        'two quart jars of marshmallow root powder in olive, 1:5, sunny sill, begun 3 November',
        [
            'herbs' => [['id' => 'marshmallow-root', 'state' => 'dried', 'form' => 'powder']],
            'oils' => [['id' => 'olive']],
            'begun' => '2026-11-03',
            'ratio' => '1:5',
            'jar' => '946',
            'jars' => '2',
            'method' => 'solar',
        ],
    ],
    [
        '8 cloves of garlic in a cup of olive oil for cooking, strained twice',
        [
            'herbs' => [['id' => 'garlic', 'amount' => '8 cloves']],
            'oils' => [['id' => 'olive']],
            'strained' => 'twice',
            'purpose' => 'kitchen',
            'oil_amount' => '1 cup',
        ],
    ],
    [
        'Lavender in cold-pressed sunflower oil for my hair, without nuts, as a gift, with spirit',
        [
            'herbs' => [['id' => 'lavender']],
            'oils' => [['id' => 'sunflower']],
            'heed' => ['nuts', 'giving'],
            'spirit' => 'yes',
            'purpose' => 'hair',
        ],
    ],
    [
        'comfrey root and a purple thing in 2 parts olive and 1 part castor oil on the shelf for 4 weeks under the moon',
        [
            'herbs' => [['id' => 'comfrey-root']],
            'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'castor', 'parts' => '1']],
            'method' => 'cold',
            'school' => 'four-weeks',
        ],
        ['purple thing', 'under moon'],
    ],
    // Of an oil that nobody knows it is no oil of a herb that is to come out.
    ['calendula in 300 ml of moon oil', ['herbs' => [['id' => 'calendula']], 'oils' => [['name' => 'moon oil']], 'oil_amount' => '300 ml']],
    // Every part of it is said, and nothing is taken for another: what comes out is no herb, a weekday is no other day.
    [
        '300 mL of marshmallow-root oil for a salve, dried and cut, one to five in sunflower and jojoba, in pint jars, '.
        'in the slow cooker, ready by Saturday 12 December',
        [
            'herbs' => [['id' => 'marshmallow-root', 'state' => 'dried']],
            'oils' => [['id' => 'sunflower'], ['id' => 'jojoba']],
            'ready_by' => '2026-12-12',
            'ratio' => '1:5',
            'finished' => ['amount' => '300 mL'],
            'jar' => '473',
            'method' => 'slow-cooker',
            'purpose' => 'salve',
        ],
    ],
    // That day is a Saturday.
    [
        'calendula in olive, by Friday 12 December',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']]],
        ['Friday 12 December'],
    ],
    ['calendula in olive by Sat 12 Dec', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'ready_by' => '2026-12-12']],
    [
        'calendula in olive, ready for the 20th',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'ready_by' => '2026-12-20'],
    ],
    ['lavender in jojoba for Christmas', ['herbs' => [['id' => 'lavender']], 'oils' => [['id' => 'jojoba']], 'ready_by' => '2026-12-25']],
    [
        'rosemary in olive ready in two weeks\' time',
        ['herbs' => [['id' => 'rosemary']], 'oils' => [['id' => 'olive']], 'ready_by' => '2026-12-08'],
    ],
    [
        'fresh St Johns wort in olive in the sun for six weeks from Sunday',
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']],
            'oils' => [['id' => 'olive']],
            'start' => '2026-11-29',
            'method' => 'solar',
            'hours' => '6 weeks',
        ],
    ],
    [
        'six 50 ml bottles of helichrysum in jojoba for the face',
        [
            'herbs' => [['id' => 'helichrysum']],
            'oils' => [['id' => 'jojoba']],
            'finished' => ['count' => '6', 'size' => '50 ml'],
            'purpose' => 'face',
        ],
    ],
    [
        '12 x 5 ml of arnica in olive for my baby',
        [
            'herbs' => [['id' => 'arnica']],
            'oils' => [['id' => 'olive']],
            'heed' => ['child'],
            'finished' => ['count' => '12', 'size' => '5 ml'],
        ],
    ],
    // So many jars of half a litre are no bottles that come out.
    ['2 x 500 ml jars of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '473', 'jars' => '2']],
    ['a half-litre jar of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '473']],
    ['a two-pint jar of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '946']],
    ['a 2 pint jar of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '946']],
    ['two pint jars of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '473', 'jars' => '2']],
    [
        'three two-pint jars of arnica in olive',
        ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '946', 'jars' => '3'],
    ],
    ['an eight-ounce jar of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'jar' => '237']],
    // Said shorter, as people say it.
    ['rosemary hair oil in olive', ['herbs' => [['id' => 'rosemary']], 'oils' => [['id' => 'olive']], 'purpose' => 'hair']],
    [
        '300 ml of rosemary hair oil in olive',
        ['herbs' => [['id' => 'rosemary']], 'oils' => [['id' => 'olive']], 'purpose' => 'hair', 'finished' => ['amount' => '300 ml']],
    ],
    [
        'calendula infused coconut oil in the slow cooker',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'coconut']], 'method' => 'slow-cooker'],
    ],
    [
        '2 parts calendula 1 part yarrow in olive',
        ['herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'yarrow', 'parts' => '1']], 'oils' => [['id' => 'olive']]],
    ],
    [
        '30 g dried mullein flowers in enough olive oil to cover',
        ['herbs' => [['id' => 'mullein-flower', 'state' => 'dried', 'amount' => '30 g']], 'oils' => [['id' => 'olive']]],
    ],
    [
        'calendula balm in jojoba for the 20th',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'jojoba']], 'purpose' => 'salve', 'ready_by' => '2026-12-20'],
    ],
    [
        'arnica in olive for a firm salve for saturday',
        ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']], 'purpose' => 'salve', 'ready_by' => '2026-11-28'],
    ],
    [
        'vanilla in jojoba, ready before new year, as a present',
        ['herbs' => [['id' => 'vanilla']], 'oils' => [['id' => 'jojoba']], 'ready_by' => '2027-01-01', 'heed' => ['giving']],
    ],
    [
        'vanilla in jojoba for Christmas presents',
        ['herbs' => [['id' => 'vanilla']], 'oils' => [['id' => 'jojoba']], 'ready_by' => '2026-12-25', 'heed' => ['giving']],
    ],
    // No jar of the house is of that size: it is marked, and none is made of it.
    ['a three-litre jar of arnica in olive', ['herbs' => [['id' => 'arnica']], 'oils' => [['id' => 'olive']]], ['three-litre']],
    [
        'three parts linden to one part mullein in 3 parts rice bran to one part castor',
        [
            'herbs' => [['id' => 'linden-blossom', 'parts' => '3'], ['id' => 'mullein-flower', 'parts' => '1']],
            'oils' => [['id' => 'rice-bran', 'parts' => '3'], ['id' => 'castor', 'parts' => '1']],
        ],
    ],
    [
        '1 cup and a half of sunflower and lemon thyme',
        ['herbs' => [['id' => 'lemon-thyme']], 'oils' => [['id' => 'sunflower']], 'oil_amount' => '1 1/2 cup'],
    ],
    [
        'a quarter litre of olive with mullein',
        ['herbs' => [['id' => 'mullein-flower']], 'oils' => [['id' => 'olive']], 'oil_amount' => '1/4 litre'],
    ],
    ['calendula in 1,5 l olive', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'oil_amount' => '1,5 l']],
    // Thousands or a decimal: nobody knows, and it stays one number.
    ['1,000 ml of olive with juniper', ['herbs' => [['id' => 'juniper-berry']], 'oils' => [['id' => 'olive']]], ['1,000 ml']],
    [
        'chilli oil, 50 g dried chillies, 1/2 litre sesame, for cooking, in 3 days',
        [
            'herbs' => [['id' => 'chilli', 'state' => 'dried', 'amount' => '50 g']],
            'oils' => [['id' => 'sesame']],
            'ready_by' => '2026-11-27',
            'purpose' => 'kitchen',
            'oil_amount' => '1/2 litre',
        ],
    ],
    [
        'calendula dried in the oven in olive',
        ['herbs' => [['id' => 'calendula', 'state' => 'dried']], 'oils' => [['id' => 'olive']]],
        ['oven'],
    ],
    [
        '１００ g mugwort in ５００ ml sunflower',
        ['herbs' => [['id' => 'mugwort', 'amount' => '100 g']], 'oils' => [['id' => 'sunflower']], 'oil_amount' => '500 ml'],
    ],
    // An oil that no table knows keeps its name, to be chosen; none is taken for it.
    ['calendula in moon oil', ['herbs' => [['id' => 'calendula']], 'oils' => [['name' => 'moon oil']]]],
]);
