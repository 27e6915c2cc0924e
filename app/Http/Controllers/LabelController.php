<?php

namespace App\Http\Controllers;

use App\Actions\Clash;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Labels\CardSheet;
use App\Labels\LabelLayout;
use App\Labels\LabelSheet;
use App\Labels\LabelSize;
use App\Labels\SimulatedLabelPrinter;
use App\Models\Batch;
use App\Models\Bottle;
use App\Models\Tenancy\CurrentHouse;
use App\OpenApi\Operation;
use App\Pages\Press\LabelPresenter;
use App\Responses\Bench\CardView;
use App\Responses\Press\LabelPage;
use Illuminate\Http\Response;
use Kettle\Diary\DiaryException;
use Kettle\Material\Tables;
use Kettle\Recipe\KitchenCard;
use Kettle\Recipe\Planning;

/** Tags, labels and their codes. The code opens the batch at the address this was asked from. */
final class LabelController extends Controller
{
    private const MOST = 200;

    public function __construct(
        private readonly CurrentHouse $current,
        private readonly LabelSheet $sheet,
        private readonly LabelPresenter $words,
        private readonly Tables $tables,
        private readonly KitchenFactory $kitchens,
        private readonly Planning $planning,
    ) {}

    #[Operation('A batch’s label: sheet, fields, what it says and what it lacks')]
    public function show(Batch $batch): LabelPage
    {
        return $this->words->page($batch, $batch->bottles()->count());
    }

    #[Operation('Set a batch’s label')]
    public function set(Requests\SetLabel $form, Batch $batch): LabelPage
    {
        $label = [
            'size' => $form->string('size')->toString(),
            'start' => $form->integer('start'),
            'names' => $form->string('names')->toString(),
            'fields' => array_values(array_unique(array_filter($form->array('fields'), 'is_string'))),
            'words' => $form->string('words')->trim()->toString(),
        ];
        /** @var array{size: string, start: int, names: string, fields: list<string>, words: string} $label */
        $this->words->check($label);
        $version = $form->integer('version');
        $changed = Batch::query()
            ->whereKey($batch->id)
            ->where('version', $version)
            ->update(['label' => json_encode($label, JSON_THROW_ON_ERROR), 'version' => $version + 1]);
        $batch->refresh();
        if ($changed === 0) {
            throw new Clash('Something was written for this batch meanwhile. What stands now is shown; set the label again.', [
                'version' => $batch->version,
            ]);
        }

        return $this->show($batch);
    }

    #[Operation('The jar tag', gives: 'application/pdf')]
    public function tag(Batch $batch): Response
    {
        return $this->pdf(
            $this->sheet->tag(LabelSize::named(LabelSize::TAG, $this->tables), $this->words->of($batch), $this->address($batch)),
            "{$batch->code}-tag.pdf",
        );
    }

    #[Operation('A label for each bottle', gives: 'application/pdf')]
    public function labels(Batch $batch): Response
    {
        return $this->pdf(
            $this->sheet->labels(
                $this->words->size($batch),
                $this->words->of($batch),
                $this->bottles($batch),
                $this->address($batch),
                $this->words->start($batch),
                $this->words->withNet($batch),
            ),
            "{$batch->code}-labels.pdf",
        );
    }

    #[Operation('What the simulated label printer gives', gives: 'image/png')]
    public function printed(Batch $batch, SimulatedLabelPrinter $printer): Response
    {
        $bottles = array_slice($this->bottles($batch), 0, SimulatedLabelPrinter::MOST);
        $nets = array_map(fn (Bottle $bottle) => $this->words->withNet($batch) ? LabelSheet::net($bottle) : '', $bottles);
        $layout = LabelLayout::toPrint($this->words->size($batch), $this->words->of($batch), $nets[count($nets) - 1]);

        return new Response($printer->strip($this->words->size($batch), $layout, $nets, $this->address($batch)), 200, [
            'Content-Type' => 'image/png',
        ]);
    }

    #[Operation('The kitchen card of a batch')]
    public function card(Batch $batch): CardView
    {
        return $this->cardOf($batch);
    }

    #[Operation('The kitchen card of a batch, to print', gives: 'application/pdf')]
    public function cardPdf(Batch $batch, CardSheet $sheet): Response
    {
        return $this->pdf($sheet->of($this->cardOf($batch)), "{$batch->code}-card.pdf");
    }

    private function cardOf(Batch $batch): CardView
    {
        return CardView::of(KitchenCard::of($this->planning->told($batch->plan->document, $this->kitchens->plain())), $batch->code);
    }

    #[Operation('The 2D code that opens the batch', gives: 'image/svg+xml')]
    public function code(Batch $batch): Response
    {
        return new Response(LabelSheet::code($this->address($batch)), 200, ['Content-Type' => 'image/svg+xml']);
    }

    /** @return non-empty-list<Bottle> those that hold something yet */
    private function bottles(Batch $batch): array
    {
        $bottles = array_values($batch->bottles()->where('state', 'in')->orderBy('number')->limit(self::MOST)->get()->all());

        return $bottles !== []
            ? $bottles
            : throw new DiaryException('not_open', 'There are no bottles to label yet. Fill them first, or print the jar tag.');
    }

    private function address(Batch $batch): string
    {
        return url('/h/'.$this->current->house()->uid.'/batch/'.$batch->uid);
    }

    private function pdf(string $bytes, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\""]);
    }
}
