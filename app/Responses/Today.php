<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What wants doing. */
#[OA\Schema(schema: 'Today')]
final readonly class Today
{
    /**
     * @param  list<TaskView>  $throw_away what is past the hours it may be used, before all else
     * @param  list<PlaceGroup>  $places
     * @param  list<DayGroup>  $coming
     * @param  list<StoveCard>  $stove
     * @param  list<StoreTask>  $stores
     */
    public function __construct(
        #[OA\Property] public string $headline,
        #[OA\Property] public string $date,
        #[OA\Property] public DayBar $bar,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TaskView::class))] public array $throw_away,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlaceGroup::class))] public array $places,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayGroup::class))] public array $coming,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveCard::class))] public array $stove,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoreTask::class))] public array $stores,
        #[OA\Property] public bool $stores_more,
        #[OA\Property] public int $due,
        #[OA\Property] public int $shown,
        #[OA\Property] public bool $empty,
    ) {}
}
