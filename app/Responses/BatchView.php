<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A batch: its plan, its logbook, its next step, its facts. */
#[OA\Schema(schema: 'BatchView')]
final readonly class BatchView
{
    /**
     * @param  array<mixed>  $plan
     * @param  array<mixed>  $wish
     * @param  list<TaskView>  $tasks
     * @param  list<EntryView>  $entries
     * @param  list<BottleView>  $bottles
     * @param  list<LotUsed>  $lots
     * @param  list<LabelLine>  $label
     * @param  list<CautionView>  $cautions
     * @param  list<TraceLine>  $trace where every bottle is, for a batch that is to be found
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $origin,
        #[OA\Property] public string $stage,
        #[OA\Property] public string $stage_text,
        #[OA\Property] public int $version,
        #[OA\Property] public string $best_before,
        #[OA\Property] public ?string $repeats,
        #[OA\Property] public ShelfJar $jar,
        #[OA\Property(ref: '#/components/schemas/Plan')] public array $plan,
        #[OA\Property(ref: '#/components/schemas/Wish')] public array $wish,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TaskView::class))] public array $tasks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EntryView::class))] public array $entries,
        #[OA\Property] public int $entries_total,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BottleView::class))] public array $bottles,
        #[OA\Property] public PressView $press,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LotUsed::class))] public array $lots,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LabelLine::class))] public array $label,
        #[OA\Property] public string $purpose,
        #[OA\Property] public StorageView $kept,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CautionView::class))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TraceLine::class))] public array $trace,
    ) {}
}
