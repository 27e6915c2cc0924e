<?php

namespace App\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A POST in the API document: its path, the schema it takes and the one it answers with. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Adds extends OA\Post
{
    public function __construct(string $path, string $gives, string $summary, ?string $takes = null)
    {
        parent::__construct(
            path: $path,
            operationId: Describe::id('post', $path),
            summary: $summary,
            requestBody: Describe::body($takes),
            parameters: Describe::writing($path),
            responses: Describe::responses($gives),
        );
    }
}
