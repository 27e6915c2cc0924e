<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** No more than that somebody is there. */
#[OA\Schema(schema: 'Nothing')]
final readonly class Nothing
{
    public function __construct(
        #[OA\Property]
        public bool $here,
    ) {
    }
}
