<?php

namespace App\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A GET in the API document: its path, and the schema it answers with. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Reads extends OA\Get
{
    /** @param  list<string>  $query names of optional query parameters */
    public function __construct(string $path, string $gives, string $summary, array $query = [])
    {
        parent::__construct(
            path: $path,
            operationId: Describe::id('get', $path),
            summary: $summary,
            parameters: Describe::parameters($path, $query),
            responses: Describe::responses($gives),
        );
    }
}
