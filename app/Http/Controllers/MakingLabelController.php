<?php

namespace App\Http\Controllers;

use App\Actions\Melt\MakingDocument;
use App\Actions\SetLabel;
use App\Http\Requests;
use App\Labels\CardSheet;
use App\Labels\LabelLayout;
use App\Labels\LabelSheet;
use App\Labels\SimulatedLabelPrinter;
use App\Models\Making;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tin;
use App\OpenApi\Operation;
use App\Pages\Making\MakingLabel;
use App\Pages\Press\LabelDesk;
use App\Responses\Bench\CardView;
use App\Responses\Press\LabelPage;
use Illuminate\Http\Response;
use Kettle\Making\MakingException;
use Kettle\Making\Stage;
use Kettle\Material\Tables;
use Kettle\Recipe\KitchenCard;

/** Labels of tins, lids, sticks and jars. The code opens the product at the address this was asked from. */
final class MakingLabelController extends Controller
{
    private const MOST = 200;

    public function __construct(
        private readonly CurrentHouse $current,
        private readonly LabelSheet $sheet,
        private readonly MakingLabel $words,
        private readonly LabelDesk $desk,
        private readonly Tables $tables,
    ) {}

    #[Operation('A product’s label: sheet, fields, what it says and what it lacks')]
    public function show(Making $making): LabelPage
    {
        return $this->desk->page($this->words->of($making));
    }

    #[Operation('Set a product’s label')]
    public function set(Requests\SetLabel $form, Making $making, SetLabel $set): LabelPage
    {
        $label = $form->label();
        $this->desk->check($label, MakingLabel::FIELDS);
        $set($making, $label, $form->integer('version'), 'product');

        return $this->show($making);
    }

    #[Operation('A label for each tin', gives: 'application/pdf')]
    public function labels(Making $making): Response
    {
        $label = $this->words->of($making);
        $bytes = $this->sheet->labels(
            $label->size($this->tables),
            $label->lines(),
            $this->nets($making, $label->withNet()),
            $this->address($making),
            $label->start($this->tables),
        );

        return new Response($bytes, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$making->code}-labels.pdf\"",
        ]);
    }

    #[Operation('What the simulated label printer gives of a product', gives: 'image/png', query: ['v'])]
    public function printed(Making $making, SimulatedLabelPrinter $printer): Response
    {
        $label = $this->words->of($making);
        $nets = array_slice($this->nets($making, $label->withNet()), 0, SimulatedLabelPrinter::MOST);
        $size = $label->size($this->tables);
        $layout = LabelLayout::toPrint($size, $label->lines(), $nets[count($nets) - 1]);

        return new Response($printer->strip($size, $layout, $nets, $this->address($making)), 200, ['Content-Type' => 'image/png']);
    }

    #[Operation('The kitchen card of a product, to print', gives: 'application/pdf')]
    public function cardPdf(Making $making, CardSheet $sheet, MakingDocument $documents): Response
    {
        $card = KitchenCard::ofProduct($documents->told($making->plan->document), $making->name);

        return new Response($sheet->of(CardView::of($card, $making->code)), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$making->code}-card.pdf\"",
        ]);
    }

    #[Operation('The 2D code that opens the product', gives: 'image/svg+xml')]
    public function code(Making $making): Response
    {
        return new Response(LabelSheet::code($this->address($making)), 200, ['Content-Type' => 'image/svg+xml']);
    }

    /** @return non-empty-list<string> of those that stand here */
    private function nets(Making $making, bool $with): array
    {
        $tins = array_values($making->rows()->where('state', 'in')->orderBy('number')->limit(self::MOST)->get()->all());
        $nets = array_map(fn (Tin $tin) => $with ? MakingLabel::net($tin) : '', $tins);

        return $nets !== [] ? $nets : throw MakingException::notOpen(Stage::Planned);
    }

    private function address(Making $making): string
    {
        return url('/h/'.$this->current->house()->uid.'/making/'.$making->uid);
    }
}
