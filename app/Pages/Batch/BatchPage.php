<?php

namespace App\Pages\Batch;

use App\Actions\Batches\SecondCharge;
use App\House\KitchenFactory;
use App\House\Times;
use App\Labels\LabelSheet;
use App\Models\Batch;
use App\Models\Bottle;
use App\Models\LogEntry;
use App\Models\Task;
use App\Pages\Press\LabelPresenter;
use App\Pages\Press\PressPresenter;
use App\Pages\Stores\StoresPresenter;
use App\Pages\Today\TaskPresenter;
use App\Responses\Batch\BaseView;
use App\Responses\Batch\BatchView;
use App\Responses\Batch\BottleView;
use App\Responses\Batch\LotUsed;
use App\Responses\Batch\TraceLine;
use Kettle\Diary\Stage;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\Planning;

/** Everything of one batch for its page and for the press. */
final readonly class BatchPage
{
    /** Lines of the logbook on one page; older ones are in the export. */
    private const ENTRIES = 100;

    private const BOTTLES = 60;

    public function __construct(
        private BatchPresenter $words,
        private TaskPresenter $taskWords,
        private EntryPresenter $entryWords,
        private PressPresenter $press,
        private CautionPresenter $cautions,
        private StoresPresenter $stores,
        private LabelPresenter $label,
        private Times $times,
        private KitchenFactory $kitchens,
        private Planning $planning,
    ) {}

    public function of(Batch $batch): BatchView
    {
        // All of it once: what stands, what was read and where it is are folded from it again and again below.
        $batch->load('entries');
        $entries = $batch->entries->sortByDesc('id')->take(self::ENTRIES);
        $corrected = LogEntry::corrected($batch->entries);
        $tasks = $batch->tasks()->orderBy('due_at')->orderBy('id')->get();

        return new BatchView(
            id: $batch->uid,
            code: $batch->code,
            name: $batch->name,
            herb: $batch->herb_name,
            origin: $batch->origin,
            stage: $batch->stage->value,
            stage_text: $this->words->stage($batch),
            version: $batch->version,
            best_before: $this->times->date($batch->best_before),
            repeats: $batch->repeats,
            jar: $this->words->jar($batch),
            plan: $this->planning->told($batch->plan->document, $this->kitchens->plain()),
            wish: $batch->wish,
            tasks: array_values($tasks->map(fn (Task $task) => $this->taskWords->view($task, $batch))->all()),
            entries: array_values($entries->map(fn (LogEntry $entry) => $this->entryWords->view($entry, $corrected))->all()),
            entries_total: $batch->entries->count(),
            bottles: array_values(
                $batch
                    ->bottles()
                    ->orderBy('number')
                    ->limit(self::BOTTLES)
                    ->get()
                    ->map(
                        fn (Bottle $bottle) => new BottleView(
                            $bottle->number,
                            $bottle->called,
                            LabelSheet::contents((float) $bottle->filled_ml),
                            (float) $bottle->filled_ml,
                            AmountWriter::plain((float) $bottle->left_ml, Kind::Volume),
                            (float) $bottle->left_ml,
                            $bottle->state,
                            $bottle->to,
                        ),
                    )
                    ->all(),
            ),
            press: $this->press->of($batch),
            lots: $this->lots($batch),
            label: $this->label->of($batch),
            purpose: $batch->purpose,
            kept: $this->press->kept($batch),
            cautions: $this->cautions->of($batch),
            trace: $this->trace($batch),
            charge: SecondCharge::isThere($batch),
            base: $this->base($batch),
        );
    }

    private function base(Batch $batch): ?BaseView
    {
        $base = $batch->base();

        return $base === null ? null : new BaseView($base->uid, $base->code, $base->name);
    }

    /** @return list<LotUsed> what it took from Stores, in all */
    private function lots(Batch $batch): array
    {
        return array_map(
            fn (array $each) => new LotUsed($each['lot']->uid, $each['lot']->called, $each['amount_text']),
            $this->stores->taken($batch),
        );
    }

    /** @return list<TraceLine> every bottle, where a batch is thrown away: those that are here, and those that somebody has */
    private function trace(Batch $batch): array
    {
        if ($batch->stage !== Stage::Discarded) {
            return [];
        }

        return array_values(
            $batch
                ->bottles()
                ->where('state', '!=', 'thrown')
                ->orderBy('number')
                ->limit(self::BOTTLES)
                ->get()
                ->map(
                    fn (Bottle $bottle) => new TraceLine(
                        $bottle->number,
                        match ($bottle->state) {
                            'in' => sprintf(
                                '%s, %s: %s in it yet%s. Throw it away.',
                                $bottle->called,
                                $batch->storedAs()->where ?: 'where it stands',
                                AmountWriter::plain((float) $bottle->left_ml, Kind::Volume),
                                $bottle->to === '' ? '' : '; some went to '.$bottle->to,
                            ),
                            'given' => sprintf('%s, given to %s. Tell them.', $bottle->called, $bottle->to ?: 'somebody'),
                            default => sprintf('%s, used%s.', $bottle->called, $bottle->to === '' ? ' up' : ' for '.$bottle->to),
                        },
                        $bottle->state === 'in',
                    ),
                )
                ->all(),
        );
    }
}
