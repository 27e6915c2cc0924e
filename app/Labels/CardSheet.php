<?php

namespace App\Labels;

use App\Responses\Bench\CardAmount;
use App\Responses\Bench\CardNote;
use App\Responses\Bench\CardView;

/** The kitchen card on an A4 page, as PDF. */
final readonly class CardSheet
{
    private const LEFT = 18.0;

    private const WIDE = 174.0;

    private const BOX = 4.2;

    /** The lowest a step may end, mm, with room below for what to watch for. */
    private const FOOT = 278.0;

    /** Points: the largest that fits one page. */
    private const SIZES = [10.5, 9.5, 8.7, 8.0];

    public function of(CardView $card): string
    {
        return Sheet::calmly(function () use ($card): string {
            $pdf = Sheet::blank('A4', 'P');
            $pdf->setTextColor(23, 38, 58);
            $pdf->setFont('dejavusans', 'B', 15);
            $pdf->setXY(self::LEFT, 16);
            $pdf->Cell(self::WIDE - 30, 8, $card->name, 0, 0, 'L', false, '', 1);
            $pdf->setFont('dejavusans', '', 10);
            $pdf->setXY(self::LEFT + self::WIDE - 30, 17);
            $pdf->Cell(30, 6, $card->corner, 0, 0, 'R');
            $pdf->setXY(self::LEFT, 26);
            $pdf->MultiCell(self::WIDE, 0, $card->sentence, 0, 'L', false, 1, self::LEFT, 26);
            $top = $pdf->GetY() + 4;
            $top = $this->amounts($pdf, $card->amounts, $top);
            $top = $this->steps($pdf, $card->steps, $top);
            $this->notes($pdf, $card->notes, $top);

            return $pdf->Output('', 'S');
        });
    }

    /** @param  list<CardAmount>  $rows */
    private function amounts(Sheet $pdf, array $rows, float $top): float
    {
        $pdf->setLineWidth(0.2);
        $pdf->setDrawColor(201, 208, 211);
        foreach ($rows as $row) {
            $amount = $row->also === '' ? $row->amount : $row->amount.' · '.$row->also;
            $pdf->setFont('dejavusans', '', 11);
            $pdf->setXY(self::LEFT, $top);
            $pdf->Cell(self::WIDE - 60, 8, ucfirst($row->name), 0, 0, 'L', false, '', 1);
            $pdf->setFont('dejavusans', 'B', 13);
            $pdf->Cell(60, 8, $amount, 0, 0, 'R', false, '', 1);
            $top += 8.5;
            $pdf->Line(self::LEFT, $top, self::LEFT + self::WIDE, $top);
        }

        return $top + 5;
    }

    /** @param  list<string>  $steps */
    private function steps(Sheet $pdf, array $steps, float $top): float
    {
        foreach (self::SIZES as $size) {
            $pdf->setFont('dejavusans', '', $size);
            $high = array_map(fn (string $says) => self::high($pdf, $says), $steps);
            if ($top + array_sum($high) <= self::FOOT) {
                break;
            }
        }
        $pdf->setLineWidth(0.35);
        $pdf->setDrawColor(31, 58, 95);
        foreach ($steps as $says) {
            if ($top + self::high($pdf, $says) > self::FOOT + 6) {
                $pdf->AddPage();
                $top = 16;
            }
            $pdf->Rect(self::LEFT, $top + 0.4, self::BOX, self::BOX);
            $pdf->MultiCell(self::WIDE - 9, 0, $says, 0, 'L', false, 1, self::LEFT + 9, $top);
            $top += self::high($pdf, $says);
        }

        return $top + 3;
    }

    private static function high(Sheet $pdf, string $says): float
    {
        return max(self::BOX + 0.6, $pdf->getStringHeight(self::WIDE - 9, $says)) + 1.4;
    }

    /** @param  list<CardNote>  $notes */
    private function notes(Sheet $pdf, array $notes, float $top): void
    {
        $pdf->setFont('dejavusans', '', 9);
        foreach ($notes as $note) {
            $says = $note->care ? 'Care. '.$note->says : $note->says;
            $high = $pdf->getStringHeight(self::WIDE, $says);
            if ($top + $high > 286) {
                return;
            }
            $pdf->MultiCell(self::WIDE, 0, $says, 0, 'L', false, 1, self::LEFT, $top);
            $top += $high + 1;
        }
    }
}
