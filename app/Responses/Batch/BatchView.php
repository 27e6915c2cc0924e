<?php

namespace App\Responses\Batch;

use App\OpenApi\Schema;
use App\Responses\Press\LabelLine;
use App\Responses\Press\PressView;
use App\Responses\Press\StorageView;
use App\Responses\Shape;
use App\Responses\Shelf\ShelfJar;
use App\Responses\Today\TaskView;

/** A batch: its plan, its logbook, its next step, its facts. */
final readonly class BatchView extends Shape
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
     * @param  bool  $charge whether fresh herb can be put in its oil
     * @param  list<TraceLine>  $trace where every bottle is, for a batch that is to be found
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $herb,
        public string $origin,
        public string $stage,
        public string $stage_text,
        public int $version,
        public string $best_before,
        public ?string $repeats,
        public ShelfJar $jar,
        #[Schema(['$ref' => '#/components/schemas/Plan'])] public array $plan,
        #[Schema(['$ref' => '#/components/schemas/Wish'])] public array $wish,
        public array $tasks,
        public array $entries,
        public int $entries_total,
        public array $bottles,
        public PressView $press,
        public array $lots,
        public array $label,
        public string $purpose,
        public StorageView $kept,
        public array $cautions,
        public array $trace,
        public bool $charge,
        public ?BaseView $base,
    ) {}
}
