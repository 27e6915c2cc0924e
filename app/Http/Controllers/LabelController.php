<?php

namespace App\Http\Controllers;

use App\Actions\SetLabel;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Labels\CardSheet;
use App\Labels\LabelLayout;
use App\Labels\LabelSheet;
use App\Labels\LabelSize;
use App\Labels\SimulatedLabelPrinter;
use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use App\OpenApi\Operation;
use App\Pages\Press\LabelDesk;
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
        private readonly LabelDesk $desk,
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
    public function set(Requests\SetLabel $form, Batch $batch, SetLabel $set): LabelPage
    {
        $label = $form->label();
        $this->desk->check($label, LabelPresenter::FIELDS);
        $set($batch, $label, $form->integer('version'), 'batch');

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
        $nets = $this->nets($batch);
        $label = $this->words->label($batch, count($nets));

        return $this->pdf(
            $this->sheet->labels(
                $label->size($this->tables),
                $label->lines(),
                $label->withNet() ? $nets : array_fill(0, count($nets), ''),
                $this->address($batch),
                $label->start($this->tables),
            ),
            "{$batch->code}-labels.pdf",
        );
    }

    #[Operation('What the simulated label printer gives', gives: 'image/png', query: ['v'])]
    public function printed(Batch $batch, SimulatedLabelPrinter $printer): Response
    {
        $nets = array_slice($this->nets($batch), 0, SimulatedLabelPrinter::MOST);
        $label = $this->words->label($batch, count($nets));
        $nets = $label->withNet() ? $nets : array_fill(0, count($nets), '');
        $size = $label->size($this->tables);
        $layout = LabelLayout::toPrint($size, $label->lines(), $nets[count($nets) - 1]);

        return new Response($printer->strip($size, $layout, $nets, $this->address($batch)), 200, [
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

    /** @return non-empty-list<string> of the bottles that hold something yet */
    private function nets(Batch $batch): array
    {
        $nets = array_map(
            LabelSheet::net(...),
            array_values($batch->bottles()->where('state', 'in')->orderBy('number')->limit(self::MOST)->get()->all()),
        );

        return $nets !== []
            ? $nets
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
