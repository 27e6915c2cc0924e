<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A caution as it is shown where the decision is made. */
#[OA\Schema(schema: 'CautionView')]
final readonly class CautionView
{
    /**
     * @param  list<string>  $places of bench, stove, press, melt and label
     * @param  bool  $acknowledge whether somebody is to say they have read it
     * @param  ?string  $read by whom and when it was
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: ['stop', 'care', 'note'])] public string $rank,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $places,
        #[OA\Property] public string $says,
        #[OA\Property] public string $why,
        #[OA\Property] public string $source,
        #[OA\Property] public bool $acknowledge,
        #[OA\Property] public ?string $read,
    ) {}
}
