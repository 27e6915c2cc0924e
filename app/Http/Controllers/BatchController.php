<?php

namespace App\Http\Controllers;

use App\Actions\Batches\AddNote;
use App\Actions\Batches\BottleBatch;
use App\Actions\Batches\DiscardBatch;
use App\Actions\Batches\RecordTask;
use App\Actions\Batches\SecondCharge;
use App\Actions\Batches\StartBatch;
use App\Actions\Batches\StrainBatch;
use App\Actions\Batches\StrikeOut;
use App\Actions\Clash;
use App\Http\Requests;
use App\Models\Batch;
use App\OpenApi\Operation;
use App\Pages\Batch\BatchPage;
use App\Responses\Batch\AgainView;
use App\Responses\Batch\BatchView;
use Illuminate\Http\Request;
use Kettle\Recipe\Again;
use Kettle\Recipe\WishException;

/** A batch: begun, followed, strained, bottled, undone. Each write answers with the batch as it stands. */
final class BatchController extends Controller
{
    public function __construct(private readonly BatchPage $page) {}

    #[Operation('Begin a batch from a wish')]
    public function start(Requests\StartBatch $form, StartBatch $start): BatchView
    {
        /** @var array<mixed> $wish */
        $wish = $form->input('wish');
        $repeats = $form->string('repeats')->toString();
        if ($repeats !== '') {
            Batch::query()->where('uid', $repeats)->firstOrFail();
        }

        return $this->batch(
            $start(
                $wish,
                $form->string('origin')->trim()->toString(),
                $repeats === '' ? null : $repeats,
                array_values(array_filter((array) $form->input('acknowledged'), 'is_string')),
                ($wanted = $this->text($form->input('wanted'))) === null ? null : [$wanted, $form->integer('wanted_oil')],
            ),
        );
    }

    #[Operation('The wish to make a batch again, or so many times as large', query: ['times'])]
    public function again(Request $request, Batch $batch): AgainView
    {
        $times = $request->query('times');
        if ($times !== null && (! is_string($times) || ! is_numeric($times))) {
            throw WishException::one('times', 'unreadable', 'Say how many times as large, such as 2 or 0.5.');
        }

        return new AgainView(Again::wish($batch->wish, $batch->plan->document, $times === null ? null : (float) $times));
    }

    #[Operation('The wish to put fresh herb in the oil of a batch: a second charge')]
    public function charge(Batch $batch, SecondCharge $charge): AgainView
    {
        return new AgainView($charge->wish($batch));
    }

    #[Operation('A batch')]
    public function show(Batch $batch): BatchView
    {
        return $this->batch($batch);
    }

    #[Operation('Say where the plant came from')]
    public function edit(Requests\EditBatch $form, Batch $batch): BatchView
    {
        $changed = Batch::query()
            ->whereKey($batch->id)
            ->where('version', $form->integer('version'))
            ->update(['origin' => $form->string('origin')->trim()->toString(), 'version' => $form->integer('version') + 1]);
        $batch->refresh();
        if ($changed === 0) {
            throw new Clash('Something was written for this batch meanwhile. What stands now is shown; enter yours again.', [
                'version' => $batch->version,
                'origin' => $batch->origin,
            ]);
        }

        return $this->batch($batch);
    }

    #[Operation('Do, skip or put off a step')]
    public function task(Requests\RecordTask $form, Batch $batch, RecordTask $record): BatchView
    {
        $record(
            $batch,
            $form->string('task')->toString(),
            $form->string('outcome')->toString(),
            $this->text($form->input('reason')),
            $this->text($form->input('until')),
            is_array($form->input('seen')) ? array_values(array_filter($form->input('seen'), 'is_string')) : [],
            amount: $this->text($form->input('amount')),
        );

        return $this->batch($batch);
    }

    #[Operation('Write a note')]
    public function note(Requests\WriteBatchNote $form, Batch $batch, AddNote $add): BatchView
    {
        $add($batch, $this->text($form->input('note')), $this->text($form->input('corrects')), $this->text($form->input('photo')));

        return $this->batch($batch);
    }

    #[Operation('Undo an entry')]
    public function undo(Requests\UndoEntry $form, Batch $batch, StrikeOut $strike): BatchView
    {
        $strike($batch, $form->string('entry')->toString());

        return $this->batch($batch);
    }

    #[Operation('Write down what came out of the cloth')]
    public function strain(Requests\Strain $form, Batch $batch, StrainBatch $strain): BatchView
    {
        $said = array_filter(
            array_map($this->text(...), $form->only(['gross', 'tare', 'spent', 'spent_to', 'way', 'filter', 'warmth'])),
            fn (?string $value) => $value !== null,
        );
        /**
         * @var array{gross?: string, tare?: string, spent?: string, spent_to?: string, way?: string, filter?: string,
         *     warmth?: string} $said
         */
        $signs = array_values(array_filter((array) $form->input('signs'), 'is_string'));
        $strain($batch, $form->string('amount')->toString(), $this->text($form->input('note')), [...$said, 'signs' => $signs]);

        return $this->batch($batch);
    }

    #[Operation('Fill bottles')]
    public function bottle(Requests\Bottle $form, Batch $batch, BottleBatch $bottle): BatchView
    {
        $storage = array_filter(
            array_map($this->text(...), $form->only(['place', 'glass', 'antioxidant', 'where'])),
            fn (?string $value) => $value !== null,
        );
        /** @var array<string, string> $storage */
        $bottle($batch, $form->counted('bottles'), $this->text($form->input('note')), $storage, $form->boolean('from_stores', true));

        return $this->batch($batch);
    }

    #[Operation('Throw a batch away, with the reason')]
    public function discard(Requests\Discard $form, Batch $batch, DiscardBatch $discard): BatchView
    {
        $discard($batch, $form->string('reason')->toString());

        return $this->batch($batch);
    }

    private function batch(Batch $batch): BatchView
    {
        return $this->page->of($batch);
    }
}
