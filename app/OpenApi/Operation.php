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
     * @param  list<string>  $query names of query parameters
     */
    public function __construct(public string $summary, public string $gives = '', public array $query = []) {}
}
