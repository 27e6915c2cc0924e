<?php

namespace App\OpenApi;

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use OpenApi\Attributes as OA;
use OpenApi\Generator;

/** The API as one OpenAPI 3.1 document, from the attributes in the code and the schemas in docs/formats. */
#[
    OA\Info(
        version: '1.0.0',
        title: 'Warm Kettle',
        description: 'What the pages of Warm Kettle ask and write. A problem is told as RFC 9457 has it, in a sentence.',
        contact: new OA\Contact(name: 'The keepers of this house'),
        license: new OA\License(name: 'MIT', identifier: 'MIT'),
    ),
]
#[OA\Server(url: '/api')]
#[
    OA\SecurityScheme(
        securityScheme: 'session',
        type: 'apiKey',
        in: 'cookie',
        name: 'kettle_session',
        description: 'Given at POST /session.',
    ),
]
#[
    OA\SecurityScheme(
        securityScheme: 'token',
        type: 'apiKey',
        in: 'header',
        name: 'X-XSRF-TOKEN',
        description: 'The cookie XSRF-TOKEN, sent back with every write.',
    ),
]
#[OA\SecurityScheme(securityScheme: 'key', type: 'http', scheme: 'bearer', description: 'The key of a thermometer, shown once.')]
final class Document
{
    /** The places of the bar, by the controller that answers. */
    private const PLACES = [
        'Door' => ['Door', 'Coming in, and who one is.'],
        'Today' => ['Today', 'What wants doing now and in the coming days.'],
        'Bench' => ['Bench', 'A wish in, amounts out.'],
        'Recipes' => ['Bench', ''],
        'Shelf' => ['Shelf', 'Every jar, and what is found by name.'],
        'Batch' => ['Batch', 'One batch and its logbook.'],
        'Watch' => ['Batch', ''],
        'Stove' => ['Stove', 'Pots, cookers and thermometers.'],
        'Cookers' => ['Stove', ''],
        'Readings' => ['Stove', ''],
        'Diary' => ['Diary', 'The days to come, and when nobody is at home.'],
        'Press' => ['Press', 'Straining, bottling, keeping, faults and labels.'],
        'Label' => ['Press', ''],
        'Stores' => ['Stores', 'Lots and what became of them.'],
        'Almanac' => ['Almanac', 'What is known, with its sources.'],
        'House' => ['House', 'Settings, jars and bottles; everything out and in.'],
        'People' => ['House', ''],
    ];

    /** By what a route asks of whoever calls it. */
    private const FOR = [
        'may:view' => 'For everybody of the house.',
        'may:work' => 'For keepers and helpers of the house.',
        'may:manage' => 'For keepers of the house.',
        'auth' => 'For whoever is signed in.',
    ];

    public static function json(): string
    {
        $api = Generator::scan(
            [app_path('Http'), app_path('OpenApi'), app_path('Responses'), app_path('Actions')],
            ['version' => '3.1.0', 'validate' => false],
        );
        $document = json_decode($api?->toJson() ?? '', true, flags: JSON_THROW_ON_ERROR);
        assert(is_array($document) && is_array($document['components']) && is_array($document['components']['schemas']));
        $schemas = &$document['components']['schemas'];
        foreach ([...glob(app_path('Responses/*.php')) ?: [], ...glob(app_path('Actions/*/*.php')) ?: []] as $file) {
            $name = basename($file, '.php');
            // A shape always carries all it has; what may be missing is null.
            if (is_array($schemas[$name] ?? null) && ! isset($schemas[$name]['required'])) {
                $schemas[$name]['required'] = array_keys((array) $schemas[$name]['properties']);
            }
        }
        foreach (['Wish' => 'wish', 'Plan' => 'plan'] as $name => $file) {
            $schema = json_decode(
                (string) file_get_contents(base_path("docs/formats/{$file}.schema.json")),
                true,
                flags: JSON_THROW_ON_ERROR,
            );
            assert(is_array($schema));
            unset($schema['$schema'], $schema['$id']);
            $schemas[$name] = $schema;
        }
        // A figure on its own is as a plan has it.
        $schemas['Figure'] = $schemas['Plan']['properties']['figures']['additionalProperties'];
        $schemas['Plan']['properties']['figures']['additionalProperties'] = ['$ref' => '#/components/schemas/Figure'];
        ksort($schemas);
        foreach (['Wish', 'Plan'] as $name) {
            self::nameWhatIsRequired($schemas[$name]);
        }
        foreach ($document['paths'] as $path => $operations) {
            foreach (array_keys($operations) as $verb) {
                $document['paths'][$path][$verb] += self::about(self::route(strtoupper($verb), 'api'.$path));
            }
        }
        $document['tags'] = [];
        foreach (self::PLACES as [$name, $says]) {
            $says !== '' && ($document['tags'][] = ['name' => $name, 'description' => $says]);
        }

        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** The route that answers, for what it asks is not written down twice. */
    private static function route(string $method, string $uri): Route
    {
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if ($route instanceof Route && $route->uri() === $uri && in_array($method, $route->methods(), true)) {
                return $route;
            }
        }
        throw new \LogicException("No route answers {$method} {$uri}.");
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
            is_string($name) && ($schema['properties'][$name] ??= $schema['additionalProperties'] ?? false ?: new \stdClass());
        }
        foreach ($schema as &$part) {
            is_array($part) && self::nameWhatIsRequired($part);
        }
    }
}
