<?php

namespace App\OpenApi;

use OpenApi\Attributes as OA;

/** The parts every operation of the API document shares. */
final class Describe
{
    public static function id(string $verb, string $path): string
    {
        return $verb.'_'.trim((string) preg_replace('/[^a-z]+/i', '_', $path), '_');
    }

    /**
     * @param  list<string>  $query
     * @return list<OA\Parameter>
     */
    public static function parameters(string $path, array $query = []): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $found);
        $text = fn (string $name, string $in) => new OA\Parameter(
            name: $name,
            in: $in,
            required: $in === 'path',
            schema: new OA\Schema(type: 'string'),
        );

        return [
            ...array_map(fn (string $name) => $text($name, 'path'), $found[1]),
            ...array_map(fn (string $name) => $text($name, 'query'), $query),
        ];
    }

    /** @return list<OA\Response> */
    public static function responses(string $gives): array
    {
        $ok = match (true) {
            $gives === '' => new OA\Response(response: 204, description: 'Done'),
            str_contains($gives, '/') => new OA\Response(
                response: 200,
                description: 'As described',
                content: new OA\MediaType(
                    mediaType: $gives,
                    schema: new OA\Schema(type: str_ends_with($gives, 'json') ? 'object' : 'string'),
                ),
            ),
            default => new OA\Response(
                response: 200,
                description: 'As described',
                content: new OA\JsonContent(ref: '#/components/schemas/'.$gives),
            ),
        };

        return [
            $ok,
            new OA\Response(
                response: '4XX',
                description: 'A problem, in a sentence',
                content: new OA\MediaType(
                    mediaType: 'application/problem+json',
                    schema: new OA\Schema(ref: '#/components/schemas/Problem'),
                ),
            ),
        ];
    }

    public static function body(?string $takes): ?OA\RequestBody
    {
        return $takes === null
            ? null
            : new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/'.$takes));
    }

    /** @return list<OA\Parameter> */
    public static function writing(string $path): array
    {
        return [
            ...self::parameters($path),
            new OA\Parameter(name: 'Idempotency-Key', in: 'header', required: false, schema: new OA\Schema(type: 'string')),
        ];
    }
}
