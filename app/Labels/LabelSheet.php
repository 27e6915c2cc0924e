<?php

namespace App\Labels;

use App\Http\Shapes\LabelLine;
use App\Models\Batch;
use App\Models\Bottle;
use TCPDF2DBarcode;

/**
 * Labels as PDF, exact in millimetres: a jar tag on a page of its own size, and bottle labels on an
 * A4 sheet of 3 by 7, each 63.5 x 38.1 mm.
 */
final readonly class LabelSheet
{
    public const TAG_W = 90.0;

    public const TAG_H = 60.0;

    public const LABEL_W = 63.5;

    public const LABEL_H = 38.1;

    public const COLUMNS = 3;

    public const ROWS = 7;

    /** From the sheet's edges, and between columns; rows touch. */
    public const LEFT = 7.25;

    public const TOP = 15.15;

    public const GUTTER = 2.5;

    private const PAD = 3.0;

    private const CODE = 16.0;

    public function __construct(private LabelText $text)
    {
    }

    public function tag(Batch $batch, string $address): string
    {
        return Sheet::calmly(function () use ($batch, $address): string {
            $pdf = Sheet::blank([self::TAG_W, self::TAG_H], 'L');
            $this->label($pdf, 0, 0, self::TAG_W, self::TAG_H, $this->text->of($batch), $address, '', 9.0);

            return $pdf->Output('', 'S');
        });
    }

    /** @param  list<Bottle>  $bottles */
    public function labels(Batch $batch, array $bottles, string $address): string
    {
        return Sheet::calmly(function () use ($batch, $bottles, $address): string {
            $pdf = Sheet::blank('A4', 'P', false);
            $lines = $this->text->of($batch);
            foreach ($bottles as $index => $bottle) {
                $on = $index % (self::COLUMNS * self::ROWS);
                if ($on === 0) {
                    $pdf->AddPage();
                }
                $this->label(
                    $pdf,
                    self::LEFT + ($on % self::COLUMNS) * (self::LABEL_W + self::GUTTER),
                    self::TOP + intdiv($on, self::COLUMNS) * self::LABEL_H,
                    self::LABEL_W, self::LABEL_H, $lines, $address,
                    LabelText::net((float) $bottle->filled_ml).'  no. '.$bottle->number, 5.4,
                );
            }

            return $pdf->Output('', 'S');
        });
    }

    /** A 2D code as SVG, for the browser's own print view. */
    public static function code(string $address): string
    {
        return (new TCPDF2DBarcode($address, 'QRCODE,L'))->getBarcodeSVGcode(4, 4, 'black');
    }

    /** @param  list<LabelLine>  $lines */
    private function label(Sheet $pdf, float $x, float $y, float $w, float $h, array $lines, string $address, string $net, float $size): void
    {
        $pdf->setDrawColor(190, 198, 202);
        $pdf->setLineWidth(0.1);
        $pdf->Rect($x, $y, $w, $h);
        $code = min(self::CODE, $h - 2 * self::PAD) * ($h > 50 ? 1.4 : 1.0);
        $pdf->write2DBarcode($address, 'QRCODE,L', $x + $w - self::PAD - $code, $y + self::PAD, $code, $code, ['padding' => 0]);
        $narrow = $w - 3 * self::PAD - $code;
        $top = $y + self::PAD;
        foreach ($lines as $line) {
            if ($line->id === 'code') {
                $pdf->setFont('dejavusans', 'B', $size);
                $pdf->setXY($x + $w - self::PAD - $code, $y + self::PAD + $code + 0.6);
                $pdf->Cell($code, $size * 0.42, $line->text, 0, 0, 'C');

                continue;
            }
            $title = $line->id === 'title';
            $pdf->setFont('dejavusans', $title ? 'B' : '', $title ? $size * 1.35 : $size);
            $wide = $top > $y + self::PAD + $code + $size * 0.6 ? $w - 2 * self::PAD : $narrow;
            $room = $y + $h - self::PAD + 0.6 - $top;
            $text = $this->fitting($pdf, $line->text, $wide, $room);
            if ($text === '') {
                break;
            }
            $pdf->MultiCell($wide, 0, $text, 0, 'L', false, 1, $x + self::PAD, $top);
            $top = $pdf->GetY() + ($title ? 0.5 : 0.0);
            if ($title && $net !== '') {
                $pdf->setFont('dejavusans', 'B', $size);
                $pdf->setXY($x + self::PAD, $top);
                $pdf->Cell($narrow, $size * 0.42, $net, 0, 1, 'L');
                $top += $size * 0.44;
            }
        }
    }

    /** As much of a text as fits a height; a label is never written past its foot. */
    private function fitting(Sheet $pdf, string $text, float $wide, float $room): string
    {
        $lines = (int) floor($room / $pdf->getStringHeight($wide, 'x'));
        if ($lines < 1) {
            return '';
        }
        while ($pdf->getNumLines($text, $wide) > $lines) {
            $text = mb_substr($text, 0, (int) (mb_strlen($text) * 0.9) - 1).'…';
        }

        return $text;
    }
}
