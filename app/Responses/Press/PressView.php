<?php

namespace App\Responses\Press;

use App\Responses\Choice;

/** A batch at the press: how to strain it, expected against actual, what to fill. */
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
     * @param  ?string  $asks_warmth Asked at straining where the planned warmth is not in the records.
     */
    public function __construct(
        public string $expected,
        public string $expected_range,
        public float $low_ml,
        public float $expected_ml,
        public float $high_ml,
        public float $oil_in_ml,
        public ?float $strained_ml,
        public ?string $strained,
        public ?string $typed,
        public ?string $verdict,
        public ?string $says,
        public string $way,
        public string $filter,
        public array $steps,
        public array $signs,
        public array $filters,
        public array $spent_choices,
        public ?string $spent_text,
        public ?string $asks_warmth,
        public bool $odd,
        public ?string $form,
        public ?string $settled_at,
        public bool $settled,
        public ?string $to_bottle,
        public ?string $poured_lost,
        public array $sizes,
        public ?string $left,
        public array $asks,
    ) {}
}
