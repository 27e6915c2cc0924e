<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Everything the Bench can choose from. */
#[OA\Schema(schema: 'Materials')]
final readonly class Materials
{
    /**
     * @param  list<HerbChoice>  $herbs
     * @param  list<Choice>  $forms
     * @param  list<OilChoice>  $oils
     * @param  list<MethodChoice>  $methods
     * @param  list<Choice>  $purposes
     * @param  list<Choice>  $waxes
     * @param  list<Choice>  $things
     * @param  string  $cold_text how cold the cold kind is kept, as this cook reads it
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: HerbChoice::class))] public array $herbs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $forms,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OilChoice::class))] public array $oils,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MethodChoice::class))] public array $methods,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $purposes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $waxes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $things,
        #[OA\Property] public string $cold_text,
    ) {}
}
