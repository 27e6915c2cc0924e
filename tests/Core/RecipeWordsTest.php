<?php

use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Share\RecipeLines;
use Kettle\Share\RecipeText;
use Kettle\Share\RecipeTitle;
use Kettle\Share\RecipeWords;
use Kettle\Share\WayWords;
use Tests\Core\Support;

function words(): RecipeWords
{
    return new RecipeWords(Support::planning()->cupboard(), Support::kitchen());
}

function recipeLines(): RecipeLines
{
    return new RecipeLines(Support::planning()->cupboard(), words());
}

function recipeText(): RecipeText
{
    return new RecipeText(Support::planning()->cupboard(), words(), recipeLines());
}

it('knows every herb of the tables by its name and its botanical one', function () {
    foreach (Support::planning()->cupboard()->herbs() as $herb) {
        foreach ([$herb->name, mb_strtoupper($herb->name), "dried {$herb->name}, cut"] as $written) {
            expect(words()->knownHerb($written)['id'] ?? null)->toBe($herb->id, $written);
        }
        // Two parts of one plant have one botanical name.
        $found = words()->knownHerb("30 g {$herb->latin}")['id'] ?? '';
        expect(Support::planning()->cupboard()->herb($found)->latin)->toBe($herb->latin);
    }
});

it('knows every oil and butter of the tables by its name', function () {
    foreach (Support::planning()->cupboard()->carriers() as $carrier) {
        foreach ([$carrier->name, ucfirst($carrier->name), "organic {$carrier->name} (cold pressed)"] as $written) {
            $oil = words()->oil($written);
            if ($oil !== null) {
                expect($oil)->toMatchArray(['id' => $carrier->id]);
            }
        }
        // A name that speaks of no oil at all is left to the reader, never given to another oil.
        expect(words()->oil($carrier->name)['id'] ?? $carrier->id)->toBe($carrier->id, $carrier->name);
    }
    $unknown = array_filter(Support::planning()->cupboard()->carriers(), fn ($carrier) => words()->oil($carrier->name) === null);
    expect(array_keys($unknown))->toBe([]);
});

it('takes a plant for no other that shares a word with it', function (string $text, ?string $id) {
    expect(words()->knownHerb($text)['id'] ?? null)->toBe($id);
})->with([
    ['ground cloves', 'clove'],
    ['white willow bark', 'willow-bark'],
    ['marshmallow', 'marshmallow-root'],
    ['poplar', 'poplar-bud'],
    ['sweet orange peel', 'orange-peel'],
    ['green tea', 'green-tea'],
    ['white wine', null],
    ['walnuts, chopped', null],
    ['meadow flowers', null],
    ['star flowers', null],
    ['yellow dock', null],
    ['pink grapefruit peel', null],
]);

it('takes no herb for an oil, nor water, nor drops', function (string $rest) {
    expect(words()->oil($rest))->toBeNull();
})->with(['dried calendula', 'lavender essential oil', 'water', 'beeswax', 'sunflower petals, dried', 'olive leaves']);

it('takes an oil that it does not know for no other', function () {
    expect(words()->oil('oil'))
        ->toBe(['id' => '', 'name' => 'oil'])
        ->and(words()->oil('carrier oil of choice'))
        ->toBe(['id' => '', 'name' => 'carrier oil'])
        ->and(words()->oil('emu oil'))
        ->toBe(['id' => '', 'name' => 'emu oil'])
        ->and(words()->oil('papaya seed oil'))
        ->toBe(['id' => '', 'name' => 'papaya seed oil'])
        ->and(words()->oil('emu fat, rendered'))
        ->toBe(['id' => '', 'name' => 'emu fat'])
        ->and(words()->oil('peanut butter'))
        ->toBe(['id' => '', 'name' => 'peanut butter']);
});

it('finds the amount a line begins with', function (string $line, ?string $typed, string $rest) {
    [$amount, $found, $after] = words()->amounts->amount($line);
    expect($amount === null ? null : $found)
        ->toBe($typed)
        ->and($after)
        ->toBe($rest);
})->with([
    ['1 cup olive oil', '1 cup', 'olive oil'],
    ['1 1/2 cups of olive oil', '1 1/2 cups', 'olive oil'],
    ['½ cup dried rosemary', '½ cup', 'dried rosemary'],
    ['250ml sunflower oil', '250ml', 'sunflower oil'],
    ['12 fl oz olive oil', '12 fl oz', 'olive oil'],
    ['2-3 tbsp dried flowers', '2-3 tbsp', 'dried flowers'],
    ['about 40 g yarrow', '40 g', 'yarrow'],
    ['2 handfuls of yarrow', null, '2 handfuls of yarrow'],
    ['yarrow, 40 g', null, 'yarrow, 40 g'],
    ['Warm it gently', null, 'Warm it gently'],
]);

it('finds the amount beside it in brackets', function (string $line, ?float $value, ?Kind $kind) {
    $aside = words()->amounts->amount($line)[3];
    expect($aside?->value)->toEqualWithDelta($value, 0.01)->and($aside?->kind)->toBe($kind);
})->with([
    ['1 cup (240 ml) olive oil', 240.0, Kind::Volume],
    ['1 oz (28 g) calendula', 28.0, Kind::Mass],
    ['8 oz / 225 g calendula', 225.0, Kind::Mass],
    ['1 cup (cold pressed) olive oil', null, null],
    ['1 cup olive oil', null, null],
]);

it('hears how a herb is cut and whether it is dry', function (string $text, ?string $form, ?string $state) {
    expect(words()->form($text))->toBe($form)->and(words()->state($text))->toBe($state);
})->with([
    ['dried calendula petals', 'flower-heads', 'dried'],
    ['fresh plantain leaves', 'thin-leaf', 'fresh'],
    ['freshly picked heads', 'flower-heads', 'fresh'],
    ['ginger root powder', 'powder', 'dried'],
    ['ground cloves', 'powder', 'dried'],
    ['basil, just picked', null, 'fresh'],
    ['raw onion', null, 'fresh'],
    ['freshly ground pepper', 'powder', 'dried'],
    ['chilli flakes', null, 'dried'],
    ['rose hips, dry', 'seed-berry', 'dried'],
    ['spruce needles', 'thick-leaf', null],
    ['willow bark', 'twig', null],
    ['wilted elder', null, 'wilted'],
    ['3 chamomile tea bags', 'tea-bag', null],
    ['poplar buds', 'bud', null],
    ['nettle', null, null],
]);

it('hears every way of infusing', function (string $line, array $methods) {
    expect(WayWords::in($line))->toBe($methods);
})->with([
    ['Warm in a slow cooker on low', ['slow-cooker']],
    ['Put in a slow-cooker', ['slow-cooker']],
    ['Melt over a double boiler', ['double-boiler']],
    ['In a bain-marie', ['double-boiler']],
    ['Leave on a sunny window sill', ['solar']],
    ['Set in a yoghurt maker', ['incubator']],
    ['Stand the jar in a water bath', ['water-bath']],
    ['Pour hot oil over it', ['poured-hot']],
    ['Keep in a dark cupboard', ['cold']],
    ['Steep in the sun', ['solar', 'cold']],
    ['Label it', []],
]);

it('splits what was pasted into lines', function (string $text, array $lines) {
    expect(recipeText()->split($text))->toBe($lines);
})->with([
    'lines' => ["a b\nc d", ['a b', 'c d']],
    'another system’s ends' => ["a b\r\nc d\re f", ['a b', 'c d', 'e f']],
    'bullets' => ["- 1 cup oil\n* 2 oz yarrow\n• 3 tbsp rosemary\n☐ wax", ['1 cup oil', '2 oz yarrow', '3 tbsp rosemary', 'wax']],
    'numbers' => ["1. Warm it\n2) Strain it", ['Warm it', 'Strain it']],
    'headings stay, to be told' => ["Ingredients:\n1 cup oil\nMETHOD\nWarm it", ['Ingredients:', '1 cup oil', 'METHOD', 'Warm it']],
    'one amount of two units' => [
        '1 cup and 2 tbsp olive oil, 1 lb 3 oz dried yarrow',
        ['1 cup and 2 tbsp olive oil', '1 lb 3 oz dried yarrow'],
    ],
    'in one line' => ['1 cup oil, 3 tbsp dried flowers and 2 oz yarrow', ['1 cup oil', '3 tbsp dried flowers', '2 oz yarrow']],
    'a comma that divides nothing' => ['40 g yarrow, cut', ['40 g yarrow, cut']],
    'nothing' => [" \n\n\t", []],
]);

it('stays within bounds whatever is pasted', function () {
    $split = recipeText()->split(str_repeat(str_repeat('x', 500)."\n", 500));
    expect($split)->toHaveCount(500);
    $read = (new Kettle\Share\PastedRecipe(Support::planning()->cupboard(), Support::planning()->methods(), Support::kitchen()))->read(
        "1 cup olive oil\n".str_repeat(str_repeat('x', 500)."\n", 500),
    );
    // What is not read is said: the tail of each long line, and the lines after two hundred.
    expect(count($read->lines))
        ->toBe(1 + 199 * 2 + 1)
        ->and($read->lines[count($read->lines) - 1]['line'])
        ->toContain('301 more lines')
        ->and(max(array_map(fn (array $line) => mb_strlen($line['line']), $read->lines)))
        ->toBe(300);
    foreach (Tables::shipped()->table('methods')->rows('rows') as $row) {
        expect((new RecipeTitle(Support::planning()->cupboard(), words(), recipeLines()))->isName($row->text('name')))->toBeBool();
    }
});
