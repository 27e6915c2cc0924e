<?php

// The API document is derived from types and rules; what it must say is written out here by hand.

use App\Console\ApiDocument\Document;
use App\Console\ApiDocument\FormSchema;
use App\Console\ApiDocument\ResponseSchemas;
use App\Http\Requests\Bottle;
use App\Http\Requests\EditHouse;
use App\Http\Requests\TakeLook;
use App\Http\UnknownFields;
use App\Models\Tenancy\CurrentHouse;
use App\Responses\Bench\OilRow;
use App\Responses\Press\LabelPage;
use App\Responses\Stove\StoveCard;
use Illuminate\Support\Facades\Validator;

it('describes a form by its rules', function () {
    expect(FormSchema::of(TakeLook::class))->toEqual([
        'description' => 'A look at a jar: its colour by a swatch or a photo with two places pointed out, or its scent from 0 to 10.',
        'type' => 'object',
        'required' => ['what'],
        'properties' => [
            'what' => ['type' => 'string', 'enum' => ['colour', 'scent']],
            'plain' => ['type' => 'boolean'],
            'swatch' => ['type' => ['string', 'null']],
            'photo' => ['type' => ['string', 'null'], 'maxLength' => 8200000],
            'oil' => [
                'type' => ['array', 'null'],
                'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1],
                'minItems' => 2,
                'maxItems' => 2,
            ],
            'card' => [
                'type' => ['array', 'null'],
                'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1],
                'minItems' => 2,
                'maxItems' => 2,
            ],
            'score' => ['type' => ['integer', 'null'], 'minimum' => 0, 'maximum' => 10],
            'note' => ['type' => ['string', 'null'], 'maxLength' => 500],
        ],
        'additionalProperties' => false,
    ]);
});

it('describes a list of things with fields of their own', function () {
    $bottles = FormSchema::of(Bottle::class)['properties']['bottles'];
    expect($bottles)->toEqual([
        'type' => 'array',
        'minItems' => 1,
        'maxItems' => 40,
        'items' => [
            'type' => 'object',
            'required' => ['size', 'count'],
            'properties' => [
                'size' => ['type' => 'string', 'maxLength' => 26],
                'count' => ['type' => 'integer', 'minimum' => 0, 'maximum' => 500],
            ],
            'additionalProperties' => false,
        ],
    ]);
    $house = FormSchema::of(EditHouse::class);
    expect($house['required'])
        ->toBe(['version', 'name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml'])
        ->and($house['properties']['latitude'])
        ->toBe(['type' => ['number', 'string', 'null'], 'minimum' => -90, 'maximum' => 90])
        ->and($house['properties']['home']['items']['type'])
        ->toBe(['string', 'null']);
});

it('describes an answer by its types, whatever may be missing as null', function () {
    $schemas = new ResponseSchemas();
    expect($schemas->of(OilRow::class))->toBe(['$ref' => '#/components/schemas/OilRow']);
    $row = $schemas->all()['OilRow'];
    expect($row['description'])
        ->toBe('An oil in its place for a purpose.')
        ->and($row['required'])
        ->toHaveCount(16)
        ->and($row['properties']['score'])
        ->toBe(['description' => '0 to 100', 'type' => 'integer'])
        ->and($row['properties']['marks'])
        ->toBe(['type' => 'object', 'additionalProperties' => ['type' => 'number']])
        ->and($row['properties']['reasons'])
        ->toBe(['type' => 'array', 'items' => ['type' => 'string']])
        ->and($row['properties']['picture'])
        ->toBe(['type' => ['object', 'null'], 'additionalProperties' => ['type' => 'number']])
        ->and($row['properties']['price_text'])
        ->toBe(['type' => ['string', 'null']]);
});

it('takes in what an answer holds, lists and what may be missing alike', function () {
    $schemas = new ResponseSchemas();
    $schemas->of(LabelPage::class);
    $schemas->of(StoveCard::class);
    expect($schemas->all())
        ->toHaveKeys(['LabelSize', 'LabelField', 'LabelLine', 'CautionView', 'ChecklistLine', 'StoveAlarm'])
        ->and($schemas->all()['LabelPage']['properties']['names'])
        ->toBe(['type' => 'string', 'enum' => ['cook', 'inci']])
        ->and($schemas->all()['StoveCard']['properties']['alarm'])
        ->toBe(['oneOf' => [['$ref' => '#/components/schemas/StoveAlarm'], ['type' => 'null']]]);
});

it('refuses to guess what an answer is', function (string $class) {
    (new ResponseSchemas())->of($class);
})
    ->with(['no properties' => [stdClass::class], 'no types told apart' => [ArrayObject::class]])
    ->throws(LogicException::class);

it('says of an operation what it takes, gives, asks and may refuse', function () {
    $document = json_decode(Document::json(), true);
    expect($document['paths']['/houses/{house}/lots/{lot}']['patch'])->toEqual([
        'summary' => 'Change what is known of a lot',
        'operationId' => 'patch_houses_house_lots_lot',
        'parameters' => [
            ['name' => 'house', 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']],
            ['name' => 'lot', 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']],
            [
                'name' => 'Idempotency-Key',
                'in' => 'header',
                'required' => true,
                'schema' => ['type' => 'string', 'pattern' => '^[A-Za-z0-9_-]{8,64}$'],
            ],
        ],
        'requestBody' => [
            'required' => true,
            'content' => [
                'application/json' => [
                    'schema' => ['$ref' => '#/components/schemas/EditLot'],
                    'example' => [
                        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '9'],
                        'version' => 2,
                    ],
                ],
            ],
        ],
        'responses' => [
            '200' => [
                'description' => 'As described',
                'content' => ['application/json' => ['schema' => ['$ref' => '#/components/schemas/LotDetail']]],
            ],
            '4XX' => [
                'description' => 'A problem, in a sentence',
                'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
            ],
        ],
        'tags' => ['Stores'],
        'description' => 'For keepers and helpers of the house. Sent again under the same Idempotency-Key, it is done once.',
        'security' => [['session' => [], 'token' => []]],
    ]);
    expect($document['paths']['/houses/{house}/lots/{lot}']['delete']['responses'])
        ->toHaveKey('204')
        ->and($document['paths']['/houses/{house}/reckon']['post']['responses']['200']['content']['application/json']['schema']['$ref'])
        ->toBe('#/components/schemas/Plan')
        ->and($document['paths']['/houses/{house}/stores.csv']['get']['responses']['200']['content'])
        ->toBe(['text/csv' => ['schema' => ['type' => 'string']]])
        ->and(array_column($document['paths']['/houses/{house}/stores']['get']['parameters'], 'in', 'name'))
        ->toBe(['house' => 'path', 'kind' => 'query', 'q' => 'query', 'page' => 'query', 'used' => 'query'])
        ->and($document['paths']['/readings']['post']['security'])
        ->toBe([['key' => []]]);
});

/** @return array<string, array<mixed>> bodies by the name of their form */
function examples(): array
{
    return (array) json_decode((string) file_get_contents(base_path('docs/formats/examples.json')), true, flags: JSON_THROW_ON_ERROR);
}

it('gives an example of every body, which its rules let through', function () {
    $forms = array_map(fn (string $file) => basename($file, '.php'), (array) glob(app_path('Http/Requests/*.php')));
    $named = array_unique(array_map(fn (string $name) => explode(' ', $name)[0], array_keys(examples())));
    expect(array_values($named))->toEqualCanonicalizing(array_values(array_diff($forms, ['Form', 'CountsBottles'])));
    foreach (examples() as $name => $body) {
        $form = 'App\\Http\\Requests\\'.explode(' ', $name)[0];
        $rules = (new $form())->rules();
        if (is_array($rules['present'] ?? null)) {
            // Whose password it is, is known at the door only.
            $rules['present'] = array_diff($rules['present'], ['current_password']);
        }
        $faults = app(CurrentHouse::class)->within($this->house, fn () => Validator::make($body, $rules)->errors()->all());
        expect($faults)->toBe([], $name);
    }
});

it('says of every body that nothing else is taken in it', function () {
    $open = [];
    $look = function (array $schema, string $at) use (&$look, &$open): void {
        if (isset($schema['properties']) && ($schema['additionalProperties'] ?? null) === null) {
            $open[] = $at;
        }
        foreach ($schema['properties'] ?? [] as $name => $below) {
            $look((array) $below, "{$at}.{$name}");
        }
        isset($schema['items']) && $look((array) $schema['items'], "{$at}.*");
    };
    $forms = array_diff(array_map(fn (string $file) => basename($file, '.php'), (array) glob(app_path('Http/Requests/*.php'))), [
        'Form',
        'CountsBottles',
    ]);
    foreach ($forms as $form) {
        $look(FormSchema::of('App\\Http\\Requests\\'.$form), $form);
    }
    expect($open)->toBe([])->and(count($forms))->toBeGreaterThan(50);
});

it('refuses by its name what is not asked for', function (string $verb, string $path, array $body, array $fields) {
    $faults = $this->atHouse($verb, $path, $body)->assertStatus(422)->json('faults');
    expect(array_column($faults, 'field'))
        ->toBe($fields)
        ->and(array_unique(array_column($faults, 'reason')))
        ->toBe(['unknown_field']);
})->with([
    'beside what is' => ['POST', '/bottles', ['called' => '60 mL tin', 'capacity' => '60 mL', 'colour' => 'amber'], ['colour']],
    'a lot, beside it' => [
        'POST',
        '/lots',
        ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '5 g'], 'note' => 'x'],
        ['note'],
    ],
    'in a lot' => ['POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '5 g', 'prise' => '5']], ['prise']],
    'in one of many lots' => [
        'POST',
        '/lots/many',
        ['lots' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '5 g', 'left' => '2 g']]],
        ['lots.0.left'],
    ],
    'before anything else is looked at' => ['POST', '/absences', ['form' => '2026-12-05'], ['form']],
    'numbers for names' => ['POST', '/jars', ['pint'], ['0']],
    'of who one is' => ['PATCH', '', ['version' => 1, 'id' => 'x', 'created_at' => 'y'], ['id', 'created_at']],
]);

it('refuses it deep inside too, and leaves alone what the core reads', function () {
    $rules = [
        'list' => ['array'],
        'list.*.size' => ['string'],
        'free' => ['array'],
        'one' => ['array'],
        'one.two' => ['string'],
        'texts.*' => [],
    ];
    $sent = [
        'list' => [['size' => 'x'], ['size' => 'y', 'sise' => 'z']],
        'free' => ['anything' => 1],
        'one' => ['two' => 't', 'three' => 3],
        'texts' => ['a', 'b'],
    ];
    expect(UnknownFields::in($rules, $sent))->toBe([
        ['field' => 'list.1.sise', 'reason' => 'unknown_field', 'sentence' => '“sise” is not known here. Is “size” meant?'],
        ['field' => 'one.three', 'reason' => 'unknown_field', 'sentence' => '“three” is not known here. Known are two.'],
    ]);
    expect(UnknownFields::in([], ['x' => 1])[0]['sentence'])->toBe('“x” is not known here. Nothing is asked there.');
});

it('takes every example that wants nothing but a house', function () {
    $sent = [];
    foreach (json_decode(Document::json(), true)['paths'] as $path => $verbs) {
        $body = $verbs['post']['requestBody']['content']['application/json'] ?? null;
        $name = $body === null ? '' : basename($body['schema']['$ref']);
        // These want a jar and a cooker that are there, or a password.
        if (
            ! preg_match('#^/houses/{house}/[^{]*$#', $path) ||
            $name === '' ||
            in_array($name, ['EndHouse', 'PlanPot', 'ShakeTogether', 'StartSession'], true)
        ) {
            continue;
        }
        $status = $this->atHouse('POST', substr($path, strlen('/houses/{house}')), $body['example'])->status();
        expect($status)->toBeLessThan(400, "{$path}: {$name}");
        $sent[] = $name;
    }
    expect(count($sent))->toBeGreaterThan(14);
});

it('takes the example of what is written of a jar that stands', function (string $verb, string $path) {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $body = json_decode(Document::json(), true)['paths']["/houses/{house}/batches/{batch}{$path}"][$verb]['requestBody']['content'][
        'application/json'
    ]['example'];
    $version = isset($body['version']) ? ['version' => $batch->refresh()->version] : [];
    $this->atHouse(strtoupper($verb), "/batches/{$batch->uid}{$path}", [...$body, ...$version])->assertSuccessful();
})->with([
    ['patch', ''],
    ['put', '/label'],
    ['post', '/notes'],
    ['post', '/looks'],
    ['post', '/tasks'],
    ['post', '/keep'],
    ['post', '/strain'],
    ['post', '/faults'],
    ['post', '/faults/note'],
    ['post', '/discard'],
]);

it('refuses in an address what is not asked there, or not so', function (string $path, string $field, string $says) {
    $this->atHouse('GET', $path)->assertStatus(422)->assertJsonPath('faults.0.field', $field)->assertJsonPath('faults.0.sentence', $says);
})->with([
    ['/stores?sort=name', 'sort', '“sort” is not known here. Known are kind, q, page, used.'],
    ['/stores?kind=herbs', 'kind', '“herbs” is none of herb, carrier, wax, scent, addition, jar, bottle, tin.'],
    ['/stores?page=last', 'page', '“page” cannot be read. Write it once, as the document of this interface says.'],
    ['/stores?used=yes', 'used', '“yes” is none of 0, 1.'],
    ['/stores?q[]=a', 'q', '“q” cannot be read. Write it once, as the document of this interface says.'],
    ['/almanac?kind=plants', 'kind', '“plants” is none of plant, oil, method, wax, scent, product, caution, fault, measure, school.'],
    ['/diary?from=tomorrow', 'from', '“from” cannot be read. Write it once, as the document of this interface says.'],
    ['/diary?from=2027-02-30', 'from', '“from” cannot be read. Write it once, as the document of this interface says.'],
    ['/shelf?part=drying', 'part', '“drying” is none of steeping, resting, bottled.'],
    ['/shelf?prat=resting', 'prat', '“prat” is not known here. Is “part” meant?'],
    ['/today?day=1', 'day', '“day” is not known here. Nothing is asked there.'],
]);

it('takes in an address what is asked, and an empty one as not asked', function (string $path) {
    $this->atHouse('GET', $path)->assertOk();
})->with([
    '/stores?kind=&q=&page=2&used=1',
    '/stores?kind=scent',
    '/almanac?kind=',
    '/diary?from=2027-02-28',
    '/shelf?part=resting&after=',
    '/diary?from=',
]);
