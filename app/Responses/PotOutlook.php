<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What a pot will do, before it is switched on: a model, with ranges. */
#[OA\Schema(schema: 'PotOutlook')]
final readonly class PotOutlook
{
    /**
     * @param  list<OutlookLine>  $lines
     * @param  list<StoveAlarm>  $warnings
     * @param  list<string>  $instead settings that keep under the ceiling, where this one does not
     */
    public function __construct(
        #[OA\Property] public BathView $bath,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OutlookLine::class))] public array $lines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveAlarm::class))] public array $warnings,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $instead,
        #[OA\Property] public string $stands_text,
        #[OA\Property] public string $pour_text,
        #[OA\Property] public string $model,
        #[OA\Property] public WarmthChart $chart,
        #[OA\Property] public WarmthScale $scale,
    ) {}
}
