<?php

namespace App\Console\ApiDocument;

use App\Http\Middleware\DoneAgo;
use App\Http\Requests\Form;
use App\Http\Requests\ReckonProduct;
use App\OpenApi\Operation;
use App\Responses\Shape;
use Illuminate\Routing\Route;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Route as Routes;
use LogicException;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionUnionType;

/** The API as one OpenAPI 3.1 document: from the routes, what their controllers take and give, and docs/formats. */
final class Document
{
    private const ABOUT = [
        'openapi' => '3.1.0',
        'info' => [
            'title' => 'Warm Kettle',
            'description' => 'What the pages of Warm Kettle ask and write. A problem is told as RFC 9457 has it, in a sentence.',
            'contact' => ['name' => 'The keepers of this house'],
            'license' => ['name' => 'MIT', 'identifier' => 'MIT'],
            'version' => '1.0.0',
        ],
        'servers' => [['url' => '/api']],
    ];

    private const SECURITY = [
        'session' => ['type' => 'apiKey', 'description' => 'Given at POST /session.', 'name' => 'kettle_session', 'in' => 'cookie'],
        'token' => [
            'type' => 'apiKey',
            'description' => 'The cookie XSRF-TOKEN, sent back with every write.',
            'name' => 'X-XSRF-TOKEN',
            'in' => 'header',
        ],
        'key' => ['type' => 'http', 'description' => 'The key of a thermometer, shown once.', 'scheme' => 'bearer'],
    ];

    /** Schemas of docs/formats, by their name in the document. */
    private const FORMATS = ['Wish' => 'wish', 'Plan' => 'plan', 'Problem' => 'problem'];

    /** The places of the bar, by the controller that answers. */
    private const PLACES = [
        'Door' => ['Door', 'Coming in, and who one is.'],
        'Sessions' => ['Door', ''],
        'SecondStep' => ['Door', ''],
        'Ending' => ['House', ''],
        'Today' => ['Today', 'What wants doing now and in the coming days.'],
        'Bench' => ['Bench', 'A wish in, amounts out.'],
        'Recipes' => ['Bench', ''],
        'Boil' => ['Bench', ''],
        'BoilLabel' => ['Stove', ''],
        'Boils' => ['Stove', ''],
        'Shelf' => ['Shelf', 'Every jar, and what is found by name.'],
        'Batch' => ['Batch', 'One batch and its logbook.'],
        'Watch' => ['Batch', ''],
        'Stove' => ['Stove', 'Pots, cookers and thermometers.'],
        'Cookers' => ['Stove', ''],
        'Readings' => ['Stove', ''],
        'Diary' => ['Diary', 'The days to come, and when nobody is at home.'],
        'Press' => ['Press', 'Straining, bottling, keeping, faults and labels.'],
        'Label' => ['Press', ''],
        'Melt' => ['Melt', 'Salves and other products.'],
        'Making' => ['Melt', ''],
        'MakingLabel' => ['Melt', ''],
        'Wanted' => ['Melt', ''],
        'Trace' => ['Stores', ''],
        'Stores' => ['Stores', 'Lots and what became of them.'],
        'Almanac' => ['Almanac', 'What is known, with its sources.'],
        'Own' => ['Almanac', ''],
        'Practice' => ['Practice', 'Made-up jars to learn on; nothing is kept.'],
        'House' => ['House', 'Settings, jars and bottles; everything out and in.'],
        'People' => ['House', ''],
        'Transfers' => ['House', ''],
    ];

    private const PROBLEM = [
        'description' => 'A problem, in a sentence',
        'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
    ];

    /** By what a route asks of whoever calls it. */
    private const FOR = [
        'can:view' => 'For everybody of the house.',
        'can:work' => 'For keepers and helpers of the house.',
        'can:manage' => 'For keepers of the house.',
        'auth' => 'For whoever is signed in.',
    ];

    public static function json(): string
    {
        $given = new ResponseSchemas();
        $taken = [];
        $paths = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            $method =
                str_starts_with($route->uri(), 'api/') && $route->getControllerClass() !== null
                    ? new ReflectionMethod($route->getControllerClass(), $route->getActionMethod())
                    : null;
            if ($method === null) {
                continue;
            }
            foreach ($method->getAttributes(Operation::class) as $attribute) {
                $verb = strtolower($route->methods()[0]);
                $path = substr($route->uri(), strlen('api'));
                $once = in_array('once', $route->gatherMiddleware(), true);
                $paths[$path][$verb] =
                    self::operation($attribute->newInstance(), $method, $verb, $path, $once, $given, $taken) + self::about($route);
            }
        }
        ksort($paths);

        return json_encode(
            [
                ...self::ABOUT,
                'paths' => $paths,
                'components' => ['schemas' => self::schemas($given->all() + $taken), 'securitySchemes' => self::SECURITY],
                'tags' => self::tags(),
            ],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /** What a write carries that is done once, however often it is sent. */
    private const KEY = [
        'name' => 'Idempotency-Key',
        'in' => 'header',
        'required' => true,
        'schema' => ['type' => 'string', 'pattern' => '^[A-Za-z0-9_-]{8,64}$'],
    ];

    /** What a write carries of something that was done a while ago, without a network. */
    private const AGO = [
        'name' => DoneAgo::HEADER,
        'in' => 'header',
        'required' => false,
        'description' => 'How many seconds ago it was done, where it could not be sent then.',
        'schema' => ['type' => 'integer', 'minimum' => 0, 'maximum' => DoneAgo::MOST_S],
    ];

    /**
     * @param  array<string, array<string, mixed>>  $taken schemas of forms, by name
     * @param  bool  $once whether it is done once, however often it is sent
     * @return array<string, mixed>
     */
    private static function operation(
        Operation $is,
        ReflectionMethod $method,
        string $verb,
        string $path,
        bool $once,
        ResponseSchemas $given,
        array &$taken,
    ): array {
        preg_match_all('/\{(\w+)\}/', $path, $found);
        $text = fn (string $name, string $in, string|array $is = '') => [
            'name' => $name,
            'in' => $in,
            'required' => $in === 'path',
            'schema' => ['type' => 'string', ...$is === '' ? [] : [is_array($is) ? 'enum' : 'pattern' => $is]],
        ];
        $queries = $is->queries();
        $parameters = [
            ...array_map(fn (string $name) => $text($name, 'path'), $found[1]),
            ...array_map(fn (string $name) => $text($name, 'query', $queries[$name]), array_keys($queries)),
            ...$once ? [self::KEY] : [],
            ...DoneAgo::takes($verb, 'api'.$path) ? [self::AGO] : [],
        ];
        $form = self::form($method);
        if ($form !== null) {
            $taken[class_basename($form)] ??= FormSchema::of($form);
        }

        return [
            'summary' => $is->summary,
            'operationId' => $verb.'_'.trim((string) preg_replace('/[^a-z]+/i', '_', $path), '_'),
            ...$parameters === [] ? [] : ['parameters' => $parameters],
            ...$form === null
                ? []
                : [
                    'requestBody' => [
                        'required' => true,
                        'content' => self::jsonOf('#/components/schemas/'.class_basename($form), self::example($form, $path)),
                    ],
                ],
            'responses' => self::answer($is->gives, $method, $given) + ['4XX' => self::PROBLEM],
        ];
    }

    /** @return class-string<Form>|null */
    private static function form(ReflectionMethod $method): ?string
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), Form::class)) {
                return $type->getName();
            }
        }

        return null;
    }

    /** @return array<int, mixed> by status */
    private static function answer(string $gives, ReflectionMethod $method, ResponseSchemas $given): array
    {
        $type = $method->getReturnType();
        foreach ($type instanceof ReflectionUnionType ? $type->getTypes() : [$type] as $one) {
            if ($one instanceof ReflectionNamedType && is_subclass_of($one->getName(), Shape::class)) {
                return [200 => ['description' => 'As described', 'content' => self::jsonOf($given->of($one->getName())['$ref'])]];
            }
        }

        return match (true) {
            $gives === '' => [204 => ['description' => 'Done']],
            str_contains($gives, '/') => [
                200 => [
                    'description' => 'As described',
                    'content' => [$gives => ['schema' => ['type' => str_ends_with($gives, 'json') ? 'object' : 'string']]],
                ],
            ],
            default => [200 => ['description' => 'As described', 'content' => self::jsonOf("#/components/schemas/{$gives}")]],
        };
    }

    /**
     * @param  array<mixed>  $example
     * @return array<string, mixed>
     */
    private static function jsonOf(string $ref, array $example = []): array
    {
        return ['application/json' => ['schema' => ['$ref' => $ref], ...$example === [] ? [] : ['example' => $example]]];
    }

    /**
     * @param  class-string<Form>  $form
     * @return array<mixed> a body that it takes, of docs/formats/examples.json; one of its own where an address is named there
     */
    private static function example(string $form, string $path): array
    {
        static $examples = null;
        $examples ??= json_decode((string) file_get_contents(base_path('docs/formats/examples.json')), true, flags: JSON_THROW_ON_ERROR);
        $name = class_basename($form);
        $example = is_array($examples) ? $examples["{$name} {$path}"] ?? ($examples[$name] ?? null) : null;

        return is_array($example) ? $example : throw new LogicException("docs/formats/examples.json has none for {$form}.");
    }

    /**
     * @param  array<string, array<string, mixed>>  $schemas
     * @return array<string, array<string, mixed>>
     */
    private static function schemas(array $schemas): array
    {
        foreach (self::FORMATS as $name => $file) {
            $schema = json_decode(
                (string) file_get_contents(base_path("docs/formats/{$file}.schema.json")),
                true,
                flags: JSON_THROW_ON_ERROR,
            );
            /** @var array<string, mixed> $schema */
            unset($schema['$schema'], $schema['$id']);
            $schemas[$name] = $schema;
        }
        $schemas['Own'] = Arr::array($schemas['Wish'], '$defs.own');
        Arr::forget($schemas['Wish'], '$defs');
        Arr::set($schemas['Wish'], 'properties.house.properties.own.items', ['$ref' => '#/components/schemas/Own']);
        $reckon = json_decode((string) file_get_contents(base_path('docs/formats/reckon.schema.json')), true, flags: JSON_THROW_ON_ERROR);
        $melt = Arr::array((array) $reckon, '$defs.melt');
        $schemas['ProductWish'] = self::without(Arr::array($melt, 'asks'), ReckonProduct::OF_THE_HOUSE);
        $schemas['AnyWish'] = ['anyOf' => [['$ref' => '#/components/schemas/Wish'], ['$ref' => '#/components/schemas/ProductWish']]];
        $product = Arr::array($melt, 'answers');
        Arr::set($product, 'properties.figures.additionalProperties', ['$ref' => '#/components/schemas/Figure']);
        /** @var array<string, mixed> $product */
        $schemas['Product'] = $product;
        // A figure on its own is as a plan has it, and so are the ways side by side.
        $plan = $schemas['Plan'];
        $schemas['Methods'] = Arr::array($plan, 'properties.methods');
        Arr::set($plan, 'properties.methods', ['$ref' => '#/components/schemas/Methods']);
        $schemas['Figure'] = Arr::array($plan, 'properties.figures.additionalProperties');
        Arr::set($plan, 'properties.figures.additionalProperties', ['$ref' => '#/components/schemas/Figure']);
        $schemas['Plan'] = $plan;
        foreach (['Wish', 'Own', 'Plan', 'ProductWish', 'Product'] as $name) {
            self::nameWhatIsRequired($schemas[$name]);
        }
        ksort($schemas);

        /** @var array<string, array<string, mixed>> $schemas */
        return $schemas;
    }

    /**
     * @param  array<mixed>  $schema of an object
     * @param  list<string>  $names of fields
     * @return array<string, mixed>
     */
    private static function without(array $schema, array $names): array
    {
        $schema['properties'] = array_diff_key(Arr::array($schema, 'properties'), array_flip($names));

        /** @var array<string, mixed> $schema */
        return $schema;
    }

    /** @return list<array{name: string, description: string}> */
    private static function tags(): array
    {
        $tags = [];
        foreach (self::PLACES as [$name, $says]) {
            $says !== '' && ($tags[] = ['name' => $name, 'description' => $says]);
        }

        return $tags;
    }

    /** @return array{tags: list<string>, description: string, security: list<array<string, list<string>>>} */
    private static function about(Route $route): array
    {
        $asks = array_filter($route->gatherMiddleware(), 'is_string');
        $place = (string) preg_replace('/^.*\\\\|Controller.*$/', '', $route->getActionName());
        $for = array_values(array_intersect_key(self::FOR, array_flip($asks)))[0] ?? 'For anybody.';
        $signed = in_array('auth', $asks, true) ? ['session' => []] : [];
        $writes = in_array('GET', $route->methods(), true) ? [] : ['token' => []];
        if ($place === 'Readings') {
            return [
                'tags' => [self::PLACES[$place][0]],
                'description' => 'For a thermometer that has a key.',
                'security' => [['key' => []]],
            ];
        }

        return [
            'tags' => [self::PLACES[$place][0]],
            'description' => $for.(in_array('once', $asks, true) ? ' Sent again under the same Idempotency-Key, it is done once.' : ''),
            'security' => $signed + $writes === [] ? [] : [$signed + $writes],
        ];
    }

    /**
     * A part of a schema that only requires something names it too, as readers of the document expect.
     *
     * @param  array<mixed>  $schema
     */
    private static function nameWhatIsRequired(array &$schema): void
    {
        foreach (is_array($schema['required'] ?? null) ? $schema['required'] : [] as $name) {
            if (is_string($name) && ! Arr::has($schema, "properties.{$name}")) {
                Arr::set($schema, "properties.{$name}", $schema['additionalProperties'] ?? false ?: new \stdClass());
            }
        }
        foreach ($schema as &$part) {
            is_array($part) && self::nameWhatIsRequired($part);
        }
    }
}
