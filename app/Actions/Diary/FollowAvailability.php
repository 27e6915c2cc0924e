<?php

namespace App\Actions\Diary;

use App\Actions\Batches\BatchProjector;
use App\Actions\Batches\ProjectBatches;
use App\Actions\Melt\WantProduct;
use App\Actions\Stove\PlanDiary;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Task;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Kettle\Reason\Said;

/** After somebody said when they are away, or are not: what is due then moves at once, heated or not. */
final readonly class FollowAvailability
{
    /** What is due about so long before an absence may have been moved there, and after it as well, days. */
    private const BEFORE_DAYS = 2;

    private const AFTER_DAYS = 9;

    /** So many are folded while somebody waits; a house with more has the rest done by the queue. */
    private const AT_ONCE = 60;

    public function __construct(
        private KitchenFactory $kitchens,
        private PlanDiary $diary,
        private BatchProjector $fold,
        private CurrentHouse $current,
        private WantProduct $wanted,
    ) {}

    /**
     * @param  Said  $why told with each move
     * @param  ?\DateTimeInterface  $from,$to between which somebody is there, or is not, where it was otherwise; null for any time
     */
    public function __invoke(Said $why, ?\DateTimeInterface $from = null, ?\DateTimeInterface $to = null): void
    {
        $this->kitchens->forgetPresence();
        ($this->diary)($why);
        $due = Task::query()
            ->when($from !== null, fn ($query) => $query->where('due_at', '>=', Carbon::parse($from)->utc()->subDays(self::BEFORE_DAYS)))
            ->when($to !== null, fn ($query) => $query->where('due_at', '<=', Carbon::parse($to)->utc()->addDays(self::AFTER_DAYS)));
        /** @var Collection<int, int> $ids */
        $ids = $due->groupBy('batch_id')->orderByRaw('MIN(due_at)')->pluck('batch_id');
        foreach (Batch::query()->whereKey($ids->take(self::AT_ONCE))->get() as $batch) {
            $this->fold->refresh($batch);
        }
        foreach ($ids->skip(self::AT_ONCE)->chunk(200) as $rest) {
            ProjectBatches::dispatch($this->current->house()->id, array_values($rest->all()))->afterCommit();
        }
        $this->wanted->followAll();
    }
}
