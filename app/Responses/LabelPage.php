<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A batch’s labels: the sheet, the fields, what it says and what it lacks. */
#[OA\Schema(schema: 'LabelPage')]
final readonly class LabelPage
{
    /**
     * @param  list<LabelSize>  $sizes
     * @param  int  $start first free label of the sheet, from 1
     * @param  string  $words the cook’s own line
     * @param  list<LabelField>  $fields
     * @param  list<LabelLine>  $lines
     * @param  list<CautionView>  $cautions
     * @param  list<string>  $warnings
     * @param  list<ChecklistLine>  $checklist
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LabelSize::class))] public array $sizes,
        #[OA\Property] public string $size,
        #[OA\Property] public int $start,
        #[OA\Property(enum: ['cook', 'inci'])] public string $names,
        #[OA\Property] public string $words,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LabelField::class))] public array $fields,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LabelLine::class))] public array $lines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CautionView::class))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChecklistLine::class))] public array $checklist,
        #[OA\Property] public int $bottles,
        #[
            OA\Property(
                description: 'Net amount and number of the first bottle, as its label has them; empty where they are left off '.
                    'or none is filled.',
            ),
        ]
        public string $net,
        #[OA\Property] public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $warnings,
        #[OA\Property(description: 'Whether it can be printed: what must be said of it fits.')] public bool $prints,
    ) {}
}
