<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A pan on the flame, or one that is to go on it. */
#[OA\Schema(schema: 'PanCard')]
final readonly class PanCard
{
    /**
     * @param  ?string  $task what is to be done next at the flame: its key for the batch's tasks; null until it is filled
     * @param  ?string  $stir key of the stirring that is due, or will be
     * @param  list<Choice>  $signs by which it is done
     */
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public string $code,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $pan,
        #[OA\Property] public bool $on,
        #[OA\Property] public ?string $task,
        #[OA\Property] public ?string $stir,
        #[OA\Property] public string $state_text,
        #[OA\Property] public string $stir_text,
        #[OA\Property] public string $warmth_text,
        #[OA\Property] public string $when_text,
        #[OA\Property] public string $after_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $signs,
    ) {}
}
