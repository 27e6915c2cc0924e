<?php

namespace App\Labels;

use App\Models\Bottle;
use App\Responses\Press\LabelLine;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use TCPDF2DBarcode;

/** Labels as PDF, exact in millimetres: on sheets from any place, on a roll one to a page, or as a jar tag. */
final readonly class LabelSheet
{
    /**
     * @param  list<LabelLine>  $lines
     * @param  string  $address what the 2D code opens
     */
    public function tag(LabelSize $size, array $lines, string $address): string
    {
        return $this->print($size, $lines, [''], $address, 1);
    }

    /**
     * @param  list<LabelLine>  $lines
     * @param  list<string>  $nets net amount and number of each; empty where they are left off
     * @param  int  $start the first free label of the sheet, from 1
     */
    public function labels(LabelSize $size, array $lines, array $nets, string $address, int $start): string
    {
        return $this->print($size, $lines, $nets, $address, $start);
    }

    /** "50 mL (1.7 fl oz)  no. 3" */
    public static function net(Bottle $bottle): string
    {
        return self::contents((float) $bottle->filled_ml).'  no. '.$bottle->number;
    }

    /** A 2D code as SVG, for the browser's own print view. */
    public static function code(string $address): string
    {
        return (new TCPDF2DBarcode($address, 'QRCODE,L'))->getBarcodeSVGcode(4, 4, 'black');
    }

    /**
     * @param  list<LabelLine>  $lines
     * @param  non-empty-list<string>|list<string>  $nets one for each label
     */
    private function print(LabelSize $size, array $lines, array $nets, string $address, int $start): string
    {
        return Sheet::calmly(function () use ($size, $lines, $nets, $address, $start): string {
            $longest = array_reduce($nets, fn (string $long, string $net) => mb_strlen($net) > mb_strlen($long) ? $net : $long, '');
            $layout = LabelLayout::toPrint($size, $lines, $longest);
            $pdf = Sheet::blank([$size->pageW, $size->pageH], $size->pageW > $size->pageH ? 'L' : 'P', false);
            $pdf->setTextColor(0, 0, 0);
            // What all labels share is written into the file once, and shown on each.
            $shared = null;
            foreach ($nets as $i => $net) {
                $place = ($start - 1 + $i) % $size->each();
                if ($i === 0 || $place === 0) {
                    $pdf->AddPage();
                }
                $shared ??= $this->shared($pdf, $size, $layout, $address);
                [$x, $y] = $size->at($place);
                $pdf->printTemplate($shared, $x, $y, $size->w, $size->h);
                // The edge stands half outside, where what is shared would be cut off.
                $pdf->setDrawColor(190, 198, 202);
                $pdf->setLineWidth(0.1);
                $size->round ? $pdf->Circle($x + $size->w / 2, $y + $size->h / 2, $size->w / 2) : $pdf->Rect($x, $y, $size->w, $size->h);
                foreach ($layout->runs as $run) {
                    if ($run['net']) {
                        self::write($pdf, $run, $x, $y, $net);
                    }
                }
            }

            return $pdf->Output('', 'S');
        });
    }

    private function shared(Sheet $pdf, LabelSize $size, LabelLayout $layout, string $address): string
    {
        /** @phpstan-ignore argument.type, argument.type (a template may be of any size, whatever the library's notes say) */
        $shared = $pdf->startTemplate($size->w, $size->h);
        if ($layout->code['w'] > 0) {
            $pdf->write2DBarcode($address, 'QRCODE,L', $layout->code['x'], $layout->code['y'], $layout->code['w'], $layout->code['w'], [
                'padding' => 0,
            ]);
        }
        foreach ($layout->runs as $run) {
            if (! $run['net']) {
                self::write($pdf, $run, 0, 0, $run['text']);
            }
        }
        $pdf->endTemplate();

        return is_string($shared) ? $shared : '';
    }

    /** @param  array{x: float, y: float, pt: float, bold: bool, text: string, net: bool}  $run */
    private static function write(Sheet $pdf, array $run, float $x, float $y, string $text): void
    {
        $pdf->setFont(LabelLayout::FONT, $run['bold'] ? 'B' : '', $run['pt']);
        $pdf->setXY($x + $run['x'], $y + $run['y']);
        $pdf->Cell(0, $run['pt'] * 0.4, $text, 0, 0, 'L');
    }

    /** Net contents in both systems: "50 mL (1.7 fl oz)". */
    public static function contents(float $ml): string
    {
        return AmountWriter::plain($ml, Kind::Volume).' ('.AmountWriter::fluidOunces($ml).')';
    }
}
