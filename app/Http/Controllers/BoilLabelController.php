<?php

namespace App\Http\Controllers;

use App\Actions\SetLabel;
use App\Http\Requests;
use App\Labels\LabelLayout;
use App\Labels\LabelSheet;
use App\Labels\SimulatedLabelPrinter;
use App\Models\Boil;
use App\Models\Tenancy\CurrentHouse;
use App\OpenApi\Operation;
use App\Pages\Boil\PotLabel;
use App\Pages\Press\LabelDesk;
use App\Responses\Press\LabelPage;
use Illuminate\Http\Response;
use Kettle\Material\Tables;

/** The label of what was boiled down here. The code opens the pot at the address this was asked from. */
final class BoilLabelController extends Controller
{
    public function __construct(
        private readonly CurrentHouse $current,
        private readonly LabelSheet $sheet,
        private readonly PotLabel $words,
        private readonly LabelDesk $desk,
        private readonly Tables $tables,
    ) {}

    #[Operation('A pot’s label: sheet, fields, what it says and what it lacks')]
    public function show(Boil $boil): LabelPage
    {
        return $this->desk->page($this->words->of($boil));
    }

    #[Operation('Set a pot’s label')]
    public function set(Requests\SetLabel $form, Boil $boil, SetLabel $set): LabelPage
    {
        $label = $form->label();
        $this->desk->check($label, PotLabel::FIELDS);
        $set($boil, $label, $form->integer('version'), 'pot');

        return $this->show($boil);
    }

    #[Operation('The label of what came of a pot', gives: 'application/pdf')]
    public function labels(Boil $boil): Response
    {
        $label = $this->words->of($boil);
        $bytes = $this->sheet->labels(
            $label->size($this->tables),
            $label->lines(),
            [$label->withNet() ? $label->net : ''],
            $this->address($boil),
            $label->start($this->tables),
        );

        return new Response($bytes, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$boil->code}-labels.pdf\"",
        ]);
    }

    #[Operation('What the simulated label printer gives of a pot', gives: 'image/png', query: ['v'])]
    public function printed(Boil $boil, SimulatedLabelPrinter $printer): Response
    {
        $label = $this->words->of($boil);
        $net = $label->withNet() ? $label->net : '';
        $size = $label->size($this->tables);
        $strip = $printer->strip($size, LabelLayout::toPrint($size, $label->lines(), $net), [$net], $this->address($boil));

        return new Response($strip, 200, ['Content-Type' => 'image/png']);
    }

    #[Operation('The 2D code that opens the pot', gives: 'image/svg+xml')]
    public function code(Boil $boil): Response
    {
        return new Response(LabelSheet::code($this->address($boil)), 200, ['Content-Type' => 'image/svg+xml']);
    }

    private function address(Boil $boil): string
    {
        return url('/h/'.$this->current->house()->uid.'/stove/boil/'.$boil->uid);
    }
}
