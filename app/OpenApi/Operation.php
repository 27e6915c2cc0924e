<?php

namespace App\OpenApi;

use Attribute;

/**
 * What the API document cannot read off a controller’s method by itself: its path, body and answer come from the
 * route, the form request and the return type.
 */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Operation
{
    /**
     * @param  string  $gives a media type, or the name of a schema of docs/formats, where the return type does not tell
     * @param  array<int|string, string|list<string>>  $query names of query parameters; or by the name the values one has, or
     *     the pattern of its text
     */
    public function __construct(public string $summary, public string $gives = '', public array $query = []) {}

    /** @return array<string, string|list<string>> what each query parameter may be, by its name: values, or a pattern; '' for any text */
    public function queries(): array
    {
        $queries = [];
        foreach ($this->query as $name => $is) {
            is_string($name) ? ($queries[$name] = $is) : (is_string($is) ? ($queries[$is] = '') : null);
        }

        return $queries;
    }
}
