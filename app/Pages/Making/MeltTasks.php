<?php

namespace App\Pages\Making;

use App\Actions\Melt\MakingRecords;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Making;
use App\Responses\Today\AtTheMelt;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Batch\Stored;
use Kettle\Diary\Stage as BatchStage;
use Kettle\Making\Stage;

/**
 * What wants doing at the Melt: pots that are begun, each with its next step; what stands here and is not to be used; and
 * what has to be begun for a day.
 */
final readonly class MeltTasks
{
    private const LISTED = 6;

    public function __construct(
        private MakingRecords $records,
        private KitchenFactory $kitchens,
        private Times $times,
        private WantedPage $wanted,
        private LeafPresenter $leaf,
    ) {}

    /** @return list<AtTheMelt> what must not be used first */
    public function now(): array
    {
        $wanting = $this->wanting();
        $isOpen = fn (Making $making): bool => $making->stage->isOpen();
        $wrong = $wanting
            ->reject($isOpen)
            ->sortBy(fn (Making $making) => [$making->wrong_after, $making->id])
            ->load('batches:id,house_id,code,stage');
        $open = $wanting
            ->filter($isOpen)
            ->sortByDesc(fn (Making $making) => [$making->getRawOriginal('begun_at'), $making->id])
            ->take(self::LISTED)
            ->load('entries');

        return [
            ...array_values($wrong->map($this->notToBeUsed(...))->all()),
            ...array_values($open->map($this->next(...))->all()),
            ...$this->wanted->soon(),
        ];
    }

    /**
     * Asked in one: pots that are begun; and what was thrown away, is of an oil that was, or is past its day, and still here.
     *
     * @return Collection<int, Making>
     */
    private function wanting(): Collection
    {
        $all = Making::query()
            ->where('wrong_after', '<', $this->kitchens->now()->format('Y-m-d'))
            ->orderBy('wrong_after')
            ->orderBy('id')
            ->limit(self::LISTED);
        // Each stage by itself, as its index has it in order.
        foreach (Stage::open() as $stage) {
            $all->unionAll(Making::query()->where('stage', $stage)->orderByDesc('begun_at')->orderByDesc('id')->limit(self::LISTED));
        }

        return $all->get();
    }

    private function notToBeUsed(Making $making): AtTheMelt
    {
        $where = $making->stands === '' ? '' : ", {$making->stands}";
        $thrown = $making->batches->firstWhere('stage', BatchStage::Discarded);

        return new AtTheMelt(
            $making->uid,
            $making->code,
            $making->name,
            match (true) {
                $making->stage === Stage::Discarded => "was thrown away, and {$making->tins_left} stand here yet{$where}",
                $thrown !== null => "its oil {$thrown->code} was thrown away; {$making->tins_left} here{$where}",
                default => 'good until '.$this->times->date($making->goodUntil())."; {$making->tins_left} here{$where}",
            },
            true,
        );
    }

    private function next(Making $making): AtTheMelt
    {
        $state = $this->records->state($making);
        if ($state->leaf !== null) {
            return new AtTheMelt($making->uid, $making->code, $making->name, $this->leaf->says($state->leaf), false);
        }
        $steps = (new Stored($making->plan->document))->parts('steps');
        foreach ($steps as $step) {
            if (! $state->isDone($step->text('id'))) {
                return new AtTheMelt($making->uid, $making->code, $making->name, $this->kitchens->words()->of($step->said('says')), false);
            }
        }

        return new AtTheMelt($making->uid, $making->code, $making->name, 'Pour it.', false);
    }
}
