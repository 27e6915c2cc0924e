<?php

namespace App\OpenApi;

use OpenApi\Attributes as OA;
use OpenApi\Generator;

/** The API as one OpenAPI 3.1 document, from the attributes in the code and the schemas in docs/formats. */
#[OA\Info(version: '1.0.0', title: 'Warm Kettle')]
#[OA\Server(url: '/api')]
final class Document
{
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
        ksort($schemas);

        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }
}
