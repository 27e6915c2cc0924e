<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A batch at the press: how to strain it, expected against actual, what to fill. */
#[OA\Schema(schema: 'PressView')]
final readonly class PressView
{
    /**
     * @param  string  $way how it was got out, or best is
     * @param  list<StrainStep>  $steps
     * @param  list<DoneSign>  $signs
     * @param  list<Choice>  $filters
     * @param  list<Choice>  $spent_choices
     * @param  bool  $odd whether its yield was odd for this house
     * @param  ?string  $form under what its yield is learned
     * @param  list<FillSize>  $sizes
     * @param  list<AskView>  $asks of what is bottled
     */
    public function __construct(
        #[OA\Property] public string $expected,
        #[OA\Property] public string $expected_range,
        #[OA\Property] public float $low_ml,
        #[OA\Property] public float $expected_ml,
        #[OA\Property] public float $high_ml,
        #[OA\Property] public float $oil_in_ml,
        #[OA\Property] public ?float $strained_ml,
        #[OA\Property] public ?string $strained,
        #[OA\Property] public ?string $typed,
        #[OA\Property] public ?string $verdict,
        #[OA\Property] public ?string $says,
        #[OA\Property] public string $way,
        #[OA\Property] public string $filter,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StrainStep::class))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DoneSign::class))] public array $signs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $filters,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $spent_choices,
        #[OA\Property] public ?string $spent_text,
        #[OA\Property(description: 'Asked at straining where the planned warmth is not in the records.')] public ?string $asks_warmth,
        #[OA\Property] public bool $odd,
        #[OA\Property] public ?string $form,
        #[OA\Property] public ?string $settled_at,
        #[OA\Property] public bool $settled,
        #[OA\Property] public ?string $to_bottle,
        #[OA\Property] public ?string $poured_lost,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FillSize::class))] public array $sizes,
        #[OA\Property] public ?string $left,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AskView::class))] public array $asks,
    ) {}
}
