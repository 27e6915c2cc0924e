<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What is warm, what wants warmth, and what there is to warm it in. */
#[OA\Schema(schema: 'StovePage')]
final readonly class StovePage
{
    /**
     * @param  list<StoveCard>  $sessions
     * @param  list<StoveWaiting>  $waiting
     * @param  list<PanCard>  $pans
     * @param  list<CookerView>  $cookers
     * @param  list<ProbeView>  $probes
     * @param  list<StoveCard>  $ended
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveCard::class))] public array $sessions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveWaiting::class))] public array $waiting,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PanCard::class))] public array $pans,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CookerView::class))] public array $cookers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProbeView::class))] public array $probes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveCard::class))] public array $ended,
    ) {}
}
