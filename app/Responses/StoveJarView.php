<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The jars of one batch in a session. */
#[OA\Schema(schema: 'StoveJarView')]
final readonly class StoveJarView
{
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public string $code,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $jar,
        #[OA\Property] public string $had_text,
        #[OA\Property] public string $planned_text,
        #[OA\Property] public float $share,
        #[OA\Property] public string $done_text,
        #[OA\Property] public bool $out,
    ) {}
}
