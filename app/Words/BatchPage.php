<?php

namespace App\Words;

use App\Actions\Batches\PlanFacts;
use App\Http\Shapes\BatchView;
use App\Http\Shapes\BottleView;
use App\Http\Shapes\FillLine;
use App\Http\Shapes\LotUsed;
use App\Http\Shapes\PressView;
use App\Labels\LabelText;
use App\Models\Batch;
use App\Models\Bottle;
use App\Models\BottleSize;
use App\Models\LogEntry;
use App\Models\LotMove;
use App\Models\Task;
use Kettle\Diary\Stage;
use Kettle\Diary\Timetable;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Vessel\Filling;

/** Everything of one batch for its page and for the press. */
final readonly class BatchPage
{
    /** Lines of the logbook on one page; older ones are in the export. */
    private const ENTRIES = 100;

    public function __construct(
        private BatchWords $words,
        private TaskWords $taskWords,
        private EntryWords $entryWords,
        private PlanFacts $facts,
        private LabelText $label,
        private Times $times,
    ) {
    }

    public function of(Batch $batch): BatchView
    {
        $entries = $batch->entries()->orderByDesc('id')->limit(self::ENTRIES)->get();
        $corrected = array_fill_keys($batch->entries()->whereNotNull('corrects')->pluck('corrects')->all(), true);
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
            plan: $batch->plan,
            wish: $batch->wish,
            tasks: array_values($tasks->map(fn (Task $task) => $this->taskWords->view($task, $batch))->all()),
            entries: array_values($entries->map(fn (LogEntry $entry) => $this->entryWords->view($entry, $corrected))->all()),
            entries_total: $batch->entries()->count(),
            bottles: array_values($batch->bottles()->orderBy('number')->limit(60)->get()->map(
                fn (Bottle $bottle) => new BottleView($bottle->number, $bottle->called, LabelText::net((float) $bottle->filled_ml)),
            )->all()),
            press: $this->press($batch, $entries->firstWhere(fn (LogEntry $entry) => $entry->kind === 'strained' && ! isset($corrected[$entry->uid]))),
            lots: $this->lots($batch),
            label: $this->label->of($batch),
        );
    }

    /** @return list<LotUsed> what it took from Stores, in all */
    private function lots(Batch $batch): array
    {
        return array_values(LotMove::query()->where('batch_id', $batch->id)->with('lot')->orderBy('id')->get()->groupBy('lot_id')
            ->map(fn ($moves) => ['lot' => $moves[0]->lot, 'amount' => -$moves->sum(fn (LotMove $move) => (float) $move->amount)])
            ->filter(fn (array $used) => $used['amount'] > 0.0005)
            ->map(fn (array $used) => new LotUsed($used['lot']->uid, $used['lot']->called, AmountWriter::plain($used['amount'], $used['lot']->kind->measure() ?? Kind::Mass)))->all());
    }

    private function press(Batch $batch, ?LogEntry $strained): PressView
    {
        $expected = $this->facts->expected($batch);
        $ml = $batch->strained_ml === null ? null : (float) $batch->strained_ml;
        $text = fn (string $key): ?string => is_string($strained?->data[$key] ?? null) ? $strained->data[$key] : null;
        $settledAt = $batch->strained_at?->copy()->addHours(Timetable::SETTLE_HOURS);

        return new PressView(
            expected: AmountWriter::plain($expected['value'], Kind::Volume),
            expected_range: AmountWriter::plain($expected['low'], Kind::Volume).' to '.AmountWriter::plain($expected['high'], Kind::Volume),
            low_ml: $expected['low'],
            expected_ml: $expected['value'],
            high_ml: $expected['high'],
            oil_in_ml: $this->facts->number($batch, 'oil_volume'),
            strained_ml: $ml,
            strained: $ml === null ? null : AmountWriter::plain($ml, Kind::Volume),
            typed: $text('typed'),
            verdict: $text('verdict'),
            says: $text('says'),
            advice: $this->advice($batch),
            settled_at: $settledAt === null ? null : $this->times->due($settledAt),
            settled: $settledAt !== null && $settledAt->isPast(),
            suggested: $ml === null || $batch->stage === Stage::Bottled ? [] : $this->suggested($ml),
            left: $batch->left_ml === null ? null : AmountWriter::plain((float) $batch->left_ml, Kind::Volume),
        );
    }

    private function advice(Batch $batch): string
    {
        /** @var array{form: string} $herb */
        $herb = $batch->plan['herb'];
        if (($batch->plan['state'] ?? 'dried') !== 'dried') {
            return 'Wet herb: let it drain for some hours under a clean cloth. Do not squeeze it: that drives its water into the oil.';
        }

        return in_array($herb['form'], ['powder', 'tea-bag'], true)
            ? 'Powder: through paper, slowly, changed when it clogs. Press gently.'
            : 'Dried herb: cloth over a sieve, then squeeze it well, for the strongest oil is in it. Wipe the outside of the jar dry before pouring.';
    }

    /** @return list<FillLine> every size of the house, with the suggested count */
    private function suggested(float $ml): array
    {
        $sizes = BottleSize::query()->orderBy('capacity_ml')->get();
        $counts = array_column(Filling::suggest($ml, $sizes->mapWithKeys(fn (BottleSize $s) => [$s->uid => (float) $s->capacity_ml])->all())->bottles, 'count', 'id');

        return array_values($sizes->map(
            fn (BottleSize $size) => new FillLine($size->uid, $size->called, (float) $size->capacity_ml, $counts[$size->uid] ?? 0),
        )->all());
    }
}
