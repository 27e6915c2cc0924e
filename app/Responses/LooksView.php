<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The colour and the scent of a jar, look by look. */
#[OA\Schema(schema: 'LooksView')]
final readonly class LooksView
{
    /**
     * @param  list<string>  $swatches
     * @param  list<string>  $words
     */
    public function __construct(
        #[OA\Property] public LookCurve $colour,
        #[OA\Property] public LookCurve $scent,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $swatches,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $words,
    ) {}
}
