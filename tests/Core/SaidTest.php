<?php

use Kettle\Material\Tables;
use Kettle\Measure\MeasureSystem;
use Kettle\Reason\Said;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\PlanDocument;
use Kettle\Time\Dates;
use Tests\Core\Support;
use Tests\RandomWishes;
use Tests\Texts;

/** @return array<mixed> as a column gives it back */
function throughColumn(mixed $kept): array
{
    return json_decode((string) json_encode(Said::kept($kept)), true);
}

it('keeps no sentence of a plan: only codes, numbers, and what somebody called or typed', function () {
    $wishes = new RandomWishes(77);
    $said = [];
    for ($i = 0; $i < 60; $i++) {
        try {
            $kitchen = Support::kitchen();
            $record = throughColumn(Support::planning()->record(Support::planning()->plan($wishes->wish(), $kitchen), $kitchen));
        } catch (Kettle\Recipe\WishException) {
            continue;
        }
        foreach (Texts::of($record) as $text) {
            // Jars and cookers are called as the house calls them, amounts are as they were typed; INCI, Latin and part
            // names are names of the field.
            if (
                str_contains(explode(': ', $text, 2)[1], ' ') &&
                preg_match('/(^|\.)(called|jar|cooker|setting|it|typed|inci|latin|allergens|uptake_key)\b[^:]*: /', $text) !== 1
            ) {
                $said[] = $text;
            }
        }
    }
    expect($said)->toBe([]);
});

it('tells what was kept as it tells the plan itself', function () {
    $wishes = new RandomWishes(4);
    $kitchen = Support::kitchen();
    $told = 0;
    for ($i = 0; $i < 120; $i++) {
        try {
            $plan = Support::planning()->plan($wishes->wish(), $kitchen);
        } catch (Kettle\Recipe\WishException) {
            continue;
        }
        $document = Support::planning()->document($plan, $kitchen);
        // Begun, there is no other way any more.
        $document['notes'] = array_map(fn (array $note) => array_replace($note, ['ways' => []]), $document['notes']);
        $kept = throughColumn(Support::planning()->record($plan, $kitchen));
        expect(throughColumn(Support::planning()->told($kept, $kitchen)))->toBe(throughColumn($document));
        // A document from before, carried over: its figures are told anew, its sentences as they stood.
        $carried = throughColumn(Support::planning()->told(PlanDocument::kept(throughColumn($document)), $kitchen));
        ksort($carried);
        $as = throughColumn($document);
        ksort($as);
        expect($carried)->toBe($as);
        $told++;
    }
    expect($told)->toBeGreaterThan(20);
});

it('says what was kept by the measures of who reads it', function () {
    $cellar = Support::kitchen(['measures' => 'metric', 'currency' => 'GBP']);
    $plan = Support::planning()->plan(
        ['herb' => ['id' => 'self-heal'], 'oils' => ['olive'], 'method' => 'slow-cooker', 'jar' => '473'],
        $cellar,
    );
    $kept = throughColumn(Support::planning()->record($plan, $cellar));
    $there = new Kitchen(
        $cellar->now,
        $cellar->waking,
        MeasureSystem::Us,
        20.0,
        [],
        $cellar->cupboard(),
        fahrenheit: true,
        currency: 'USD',
    );
    $warm = fn (Kitchen $kitchen) => array_column(Support::planning()->told($kept, $kitchen)['steps'], 'says', 'id')['warm'];
    // F = 1.8 C + 32 (NIST SP 811): 49 C is 120.2 F, 60 C is 140 F.
    expect($warm($cellar))
        ->toContain('49 °C')
        ->toContain('60 °C')
        ->and($warm($there))
        ->toContain('120 °F')
        ->toContain('140 °F')
        ->and($there->words()->of(Said::just(['money' => 2.5])))
        ->toBe('$2.50')
        ->and($cellar->words()->of(Said::just(['money' => 2.5])))
        ->toBe('£2.50');
});

it('says each kind of thing', function (mixed $thing, string $says) {
    expect(Support::kitchen()->words()->of(Said::of('just', ['it' => $thing])))->toBe($says);
})->with([
    'a name somebody gave' => ['the blue tin', 'the blue tin'],
    'a number' => [0.9123, '0.912'],
    'grams' => [['g' => 63.93], '64 g'],
    'millilitres' => [['mL' => 1250.0], '1.25 L'],
    'millimetres' => [['mm' => 25.4], '25 mm'],
    'degrees' => [['C' => 49.0], '49 °C'],
    'a length of time' => [['h' => 672.0], '4 weeks'],
    'minutes' => [['min' => 135.0], '2 h 15 min'],
    'a limit, rounded up' => [['limit_h' => 4.334], '4 h 21 min'],
    'a day' => [['day' => '2026-10-28'], '28 October 2026'],
    'a day in short' => [['short_day' => '2026-10-28'], '28 Oct 2026'],
    'a day of the week' => [['weekday' => '2026-10-28T10:00:00+00:00'], 'Wednesday 28 October'],
    'a moment, in the zone it has' => [['moment' => '2026-10-28T23:30:00+02:00'], 'Wed 28 Oct, 23:30'],
    'a herb' => [['herb' => 'calendula'], 'calendula'],
    'an oil' => [['oil' => 'sunflower'], 'sunflower oil'],
    'a herb the tables have no longer' => [['herb' => 'mandrake'], 'mandrake'],
    'a form in a state' => [['form' => ['flower-heads', 'dried']], 'flower heads or petals, dried'],
    'a method' => [['method' => 'cold'], 'cold, on a shelf'],
    'several' => [['all' => [['herb' => 'calendula'], 'heather', ['oil' => 'olive']]], 'calendula, heather and olive oil'],
    'one of several' => [['all' => ['heather']], 'heather'],
    'none' => [['all' => []], ''],
    'a small number' => [['count' => 3], 'three'],
    'a place it is kept' => [['kept' => ['place', 'fridge']], 'the refrigerator'],
    'what no kind is' => [['furlongs' => 8.0], '8 furlongs'],
    'a day that is none' => [['day' => 'next full moon'], 'next full moon'],
]);

it('chooses by number', function (int $late, string $says) {
    $note = Said::of('note.late', ['ready' => ['weekday' => '2026-12-24'], 'late' => $late]);
    expect(Support::kitchen()->words()->of($note))->toBe(
        "Begun now it is ready on Thursday 24 December, {$says} late. A warm method is quicker.",
    );
})->with([[1, '1 day'], [2, '2 days'], [0, '0 days']]);

it('reads words alone as what stood before', function () {
    expect(Support::kitchen()->words()->of('Seen {by} nobody, plural, at all.'))
        ->toBe('Seen {by} nobody, plural, at all.')
        ->and(Said::read(''))
        ->toBeNull()
        ->and(Said::read(['say' => 'x', 'else' => 1]))
        ->toBeNull()
        ->and(Said::read(Said::asItStood('As it was.')->toArray())?->with)
        ->toBe(['words' => 'As it was.']);
});

it('has words for every code that is used, and uses every one it has', function () {
    $root = dirname(__DIR__, 2);
    $code = '';
    foreach (['core', 'app'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}")) as $file) {
            $code .= str_ends_with((string) $file, '.php') ? file_get_contents((string) $file) : '';
        }
    }
    $rows = array_keys(Tables::shipped()->table('words')->rows('rows'));
    preg_match_all("/Said::of\\(\\s*'([a-z-]+\\.[a-z-]*[a-z])'/", $code, $named);
    expect(array_values(array_diff(array_unique($named[1]), $rows)))->toBe([])->and(count($named[1]))->toBeGreaterThan(40);
    // Some are put together: 'step.'.$words, 'sentence.'.$words. Their last part is a word of the code then.
    $unused = array_filter(
        $rows,
        fn (string $row) => ! str_contains($code, "'{$row}'") &&
            ! preg_match('/[\'.-]'.preg_quote(explode('.', $row, 2)[1], '/').'[\'-]/', $code) &&
            ! preg_match('/^(step|sentence|fat|state|herb|way|share|outcome|method-short|melt|own|done|practice)\./', $row),
    );
    expect(array_values($unused))->toBe([]);
});

it('makes nothing worse of what is no sentence', function () {
    mt_srand(11);
    $words = Support::kitchen()->words();
    $codes = [
        ...array_keys(Tables::shipped()->table('words')->rows('rows')),
        'nothing.such',
        'caution:botulism.says',
        'caution:no.no',
        'handling:cold.99',
        'handling:none.lid_dry',
        'school:cold.none',
        'source:none',
        ':',
        '',
    ];
    $kinds = [
        'g',
        'mL',
        'C',
        'h',
        'min',
        'money',
        'date',
        'day',
        'moment',
        'herb',
        'form',
        'form_of',
        'school',
        'kept',
        'answer',
        'all',
        'ratio',
        'run',
        'count',
        'mixed',
        'often',
        'limit_h',
        'sign',
        'fault',
        'purpose',
        '',
        '?',
        'g_also',
    ];
    $odd = function (int $depth = 0) use (&$odd, $kinds): mixed {
        return match (mt_rand(0, $depth > 3 ? 7 : 10)) {
            0 => null,
            1 => mt_rand(-5, 5),
            2 => mt_rand() / 7,
            3 => -1.5e300,
            4 => '',
            5 => '{it} {x, plural, one {',
            6 => true,
            7 => '2026-13-45',
            8 => [$kinds[array_rand($kinds)] => $odd($depth + 1)],
            9 => [$odd($depth + 1), $odd($depth + 1)],
            default => ['say' => 'note.late', 'with' => ['late' => $odd($depth + 1)]],
        };
    };
    for ($i = 0; $i < 4000; $i++) {
        $with = [];
        foreach (['it', 'late', 'count', 'herb', 'oils', 'all', 'day', 'jar'] as $name) {
            $with[$name] = $odd();
        }
        expect($words->of(['say' => $codes[array_rand($codes)], 'with' => $with]))->toBeString();
    }
    expect(Dates::say('no day'))->toBe('no day');
});
