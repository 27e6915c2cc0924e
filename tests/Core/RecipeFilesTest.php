<?php

use Kettle\Share\RecipeException;
use Kettle\Share\RecipeFile;
use Kettle\Share\SchemaOrg;
use Opis\JsonSchema\Validator;
use Tests\Core\Support;

it('writes our own file, which keeps to its schema and reads back equal', function (array $wish) {
    $plan = Support::plan($wish);
    $file = RecipeFile::write('Harbour hands', "Less jojoba next time.\nNaïve “quotes”.", $plan->wish->asked->document);
    $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/formats/recipe.schema.json'));
    $json = (string) json_encode($file, JSON_UNESCAPED_UNICODE);
    expect((new Validator())->validate(json_decode($json), $schema)->isValid())->toBeTrue();
    $read = Support::pasted($json);
    expect($read->name)
        ->toBe('Harbour hands')
        ->and($read->note)
        ->toBe("Less jojoba next time.\nNaïve “quotes”.")
        ->and($read->wish)
        ->toEqual($file['wish']);
    $again = Support::plan($read->wish);
    foreach (['herb_mass', 'oil_volume', 'yield_volume'] as $id) {
        if (! isset($wish['jar'])) {
            expect($again->figures[$id]->number())->toEqualWithDelta($plan->figures[$id]->number(), 1e-9);
        }
    }
})->with('wishes');

dataset('wishes', [
    'plain' => [['herb' => ['id' => 'self-heal', 'amount' => '50 g']]],
    'parts and bottles' => [
        [
            'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'sage']],
            'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'jojoba']],
            'finished' => ['count' => '6', 'size' => '50 mL'],
            'method' => 'slow-cooker',
            'purpose' => 'salve',
        ],
    ],
    'the jar way, in a jar of the house, by a day' => [
        ['herb' => ['id' => 'self-heal'], 'jar' => '473', 'by_jar' => ['fill' => 'half', 'cover' => '1 in'], 'ready_by' => '2027-03-01'],
    ],
    'wilted' => [
        [
            'herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '70 g', 'picked' => '100 g'],
            'oils' => ['olive'],
            'basis' => 'as-it-lies',
        ],
    ],
    'one’s own herb' => [
        ['herb' => ['name' => 'sea campion', 'form' => 'root', 'amount' => '2 oz'], 'ratio' => '1:6 w/w', 'way' => 'pressed'],
    ],
]);

it('leaves at home what belongs to one house and one day', function () {
    $shared = RecipeFile::shared([
        'herbs' => [['id' => 'self-heal', 'lot' => 'abc', 'amount' => '5 g']],
        'oils' => [['id' => 'olive', 'lot' => 'def']],
        'jar' => 'house-jar',
        'start' => '2026-12-01',
        'ready_by' => '2027-01-01',
        'ratio' => '1:5',
    ]);
    expect($shared)->toBe(['herbs' => [['id' => 'self-heal', 'amount' => '5 g']], 'oils' => [['id' => 'olive']], 'ratio' => '1:5']);
    expect(RecipeFile::shared(['oils' => ['olive'], 'jar' => ['brim' => '1 L', 'inner_height' => '20 cm']])['jar'])->toBe([
        'brim' => '1 L',
        'inner_height' => '20 cm',
    ]);
});

it('writes schema.org Recipe that says what the plan says, and reads back equal', function (array $wish) {
    $plan = Support::plan($wish);
    $recipe = SchemaOrg::write('Harbour hands', 'For the fair.', $plan, Support::kitchen());
    expect($recipe['@context'])
        ->toBe(['@vocab' => 'https://schema.org/'])
        ->and($recipe['@type'])
        ->toBe('Recipe')
        ->and($recipe['recipeIngredient'])
        ->toHaveCount(count($plan->wish->mix->parts) + count($plan->wish->blend->oils))
        ->and($recipe['recipeInstructions'][0])
        ->toBe(['@type' => 'HowToStep', 'text' => 'Have jar, spoon, funnel and cloth clean and bone-dry.'])
        ->and(new DateInterval($recipe['totalTime']))
        ->toBeInstanceOf(DateInterval::class)
        ->and(new DateInterval($recipe['prepTime']))
        ->toBeInstanceOf(DateInterval::class);
    $read = Support::pasted((string) json_encode($recipe, JSON_UNESCAPED_UNICODE));
    expect($read->name)
        ->toBe('Harbour hands')
        ->and($read->note)
        ->toBe('For the fair.')
        ->and($read->wish)
        ->toEqual(RecipeFile::shared($plan->wish->asked->document));
})->with('wishes');

it('reads schema.org Recipe as others write it', function (array $document, string $name) {
    $read = Support::pasted((string) json_encode($document));
    expect($read->name)
        ->toBe($name)
        ->and($read->wish['herbs'][0]['id'])
        ->toBe('calendula')
        ->and($read->wish['oils'][0]['id'])
        ->toBe('olive')
        ->and($read->wish['oil_amount'])
        ->toBe('1 cup');
})->with([
    'alone' => [
        [
            '@context' => 'https://schema.org',
            '@type' => 'Recipe',
            'name' => 'A',
            'recipeIngredient' => ['1/2 cup dried calendula', '1 cup olive oil'],
        ],
        'A',
    ],
    'in a graph' => [
        [
            '@context' => 'https://schema.org',
            '@graph' => [
                ['@type' => 'WebPage', 'name' => 'no'],
                ['@type' => ['Thing', 'Recipe'], 'name' => 'B', 'recipeIngredient' => ['1/2 cup dried calendula', '1 cup olive oil']],
            ],
        ],
        'B',
    ],
    'in a list' => [
        [
            ['@type' => 'Organization'],
            ['@type' => 'Recipe', 'name' => 'C', 'recipeIngredient' => ['1/2 cup dried calendula', '1 cup olive oil']],
        ],
        'C',
    ],
    'by its full name' => [
        ['@type' => 'http://schema.org/Recipe', 'name' => 'D', 'recipeIngredient' => ['1/2 cup dried calendula', '1 cup olive oil']],
        'D',
    ],
    'the main thing of a page' => [
        [
            '@type' => 'WebPage',
            'mainEntity' => ['@type' => 'Recipe', 'name' => 'E', 'recipeIngredient' => ['1/2 cup dried calendula', '1 cup olive oil']],
        ],
        'E',
    ],
    'of old' => [['@type' => 'Recipe', 'name' => ['F'], 'ingredients' => ['1/2 cup dried calendula', '1 cup olive oil']], 'F'],
    'a HowTo with its supplies' => [
        [
            '@type' => 'HowTo',
            'name' => 'H',
            'supply' => [
                ['@type' => 'HowToSupply', 'name' => '1/2 cup dried calendula'],
                ['@type' => 'HowToSupply', 'name' => '1 cup olive oil'],
            ],
            'step' => [['@type' => 'HowToStep', 'text' => 'Steep in the dark for 4 weeks.']],
        ],
        'H',
    ],
    'with amounts beside the names' => [
        [
            '@type' => 'Recipe',
            'name' => 'I',
            'recipeIngredient' => [
                ['@type' => 'PropertyValue', 'name' => 'dried calendula', 'value' => '1/2', 'unitText' => 'cup'],
                ['@type' => 'PropertyValue', 'name' => 'olive oil', 'value' => 1, 'unitText' => 'cup'],
            ],
        ],
        'I',
    ],
    'with tags and steps' => [
        [
            '@type' => 'Recipe',
            'name' => '<b>G</b>',
            'recipeIngredient' => ['<li>1/2 cup dried calendula</li>', '1 cup olive oil &amp; patience'],
            'recipeInstructions' => [
                '@type' => 'HowToSection',
                'itemListElement' => [['@type' => 'HowToStep', 'text' => 'Steep in the dark for 4 weeks.']],
            ],
        ],
        'G',
    ],
]);

it('takes no ingredient for a name where there is one, and JSON-LD out of the source of a page', function () {
    $read = Support::pasted(
        '<script type="application/ld+json">'.
            '{"@type":"Recipe","name":"Rose oil","recipeIngredient":["rose petals","200 ml jojoba"]}</script>',
    );
    expect($read->name)
        ->toBe('Rose oil')
        ->and($read->wish['herbs'][0]['id'])
        ->toBe('rose-petal');
});

it('is not deceived by a document that goes on for ever', function () {
    $deep = ['@type' => 'Recipe', 'name' => 'deep', 'recipeIngredient' => ['50 g dried calendula', '300 ml olive oil']];
    for ($i = 0; $i < 8; $i++) {
        $deep = ['@graph' => [$deep]];
    }
    expect(fn () => Support::pasted((string) json_encode($deep)))->toThrow(RecipeException::class);
});

// US cup 236.588 mL, tablespoon 14.787 mL: NIST Handbook 44. Weights of cloves, handfuls and the like: from memory.
