<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Jars that want warmth. */
#[OA\Schema(schema: 'StoveWaiting')]
final readonly class StoveWaiting
{
    /**
     * @param  list<Choice>  $water how far up it may go, the usual first; one where the method leaves no choice
     * @param  string  $poured hand-hot or cold: how the water is poured in, where nobody said
     * @param  list<string>  $cookers those its method is done in
     */
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public string $code,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $jar,
        #[OA\Property] public string $method,
        #[OA\Property] public string $warmth_text,
        #[OA\Property] public string $left_text,
        #[OA\Property] public string $when_text,
        #[OA\Property] public bool $ready,
        #[OA\Property] public ?string $cooker,
        #[OA\Property] public ?string $says,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $water,
        #[OA\Property(enum: ['hand-hot', 'cold'])] public string $poured,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cookers,
    ) {}
}
