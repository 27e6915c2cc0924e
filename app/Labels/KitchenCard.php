<?php

namespace App\Labels;

/** The kitchen card: one A4 page with the plan, to stand by the stove and be ticked off. */
final readonly class KitchenCard
{
    private const LEFT = 18.0;

    private const WIDE = 174.0;

    private const BOX = 4.2;

    /** The lowest a step may end, mm, with room below for what to watch for. */
    private const FOOT = 278.0;

    /** Points: the largest that fits one page. */
    private const SIZES = [10.5, 9.5, 8.7, 8.0];

    /**
     * @param  array<mixed>  $plan docs/formats/plan.schema.json, as a plan is now or as a batch keeps it
     * @param  string  $corner a batch's code, or the day
     */
    public function of(array $plan, string $corner): string
    {
        return Sheet::calmly(function () use ($plan, $corner): string {
            $pdf = Sheet::blank('A4', 'P');
            $pdf->setTextColor(23, 38, 58);
            $pdf->setFont('dejavusans', 'B', 15);
            $pdf->setXY(self::LEFT, 16);
            $pdf->Cell(self::WIDE - 30, 8, self::text($plan, 'name'), 0, 0, 'L', false, '', 1);
            $pdf->setFont('dejavusans', '', 10);
            $pdf->setXY(self::LEFT + self::WIDE - 30, 17);
            $pdf->Cell(30, 6, $corner, 0, 0, 'R');
            $pdf->setXY(self::LEFT, 26);
            $pdf->MultiCell(self::WIDE, 0, self::text($plan, 'sentence_text'), 0, 'L', false, 1, self::LEFT, 26);
            $top = $pdf->GetY() + 4;
            $top = $this->amounts($pdf, $plan, $top);
            $top = $this->steps($pdf, $plan, $top);
            $this->notes($pdf, $plan, $top);

            return $pdf->Output('', 'S');
        });
    }

    /** @param  array<mixed>  $plan */
    private function amounts(Sheet $pdf, array $plan, float $top): float
    {
        $figures = self::list($plan, 'figures');
        $figure = fn (string $id): string => self::text(is_array($figures[$id] ?? null) ? $figures[$id] : [], 'text');
        $rows = [];
        $herbs = array_values(self::list($plan, 'herbs'));
        foreach ($herbs as $i => $herb) {
            $rows[] = [
                self::text((array) $herb, 'name').', '.self::text((array) $herb, 'form_name'),
                $figure(count($herbs) > 1 ? "herb_mass.{$i}" : 'herb_mass'),
            ];
        }
        foreach (self::list($plan, 'oils') as $oil) {
            $id = self::text((array) $oil, 'id');
            $rows[] = [self::text((array) $oil, 'name'), $figure("oil_volume.{$id}").' · '.$figure("oil_mass.{$id}")];
        }
        $pdf->setLineWidth(0.2);
        $pdf->setDrawColor(201, 208, 211);
        foreach ($rows as [$name, $amount]) {
            $pdf->setFont('dejavusans', '', 11);
            $pdf->setXY(self::LEFT, $top);
            $pdf->Cell(self::WIDE - 60, 8, ucfirst($name), 0, 0, 'L', false, '', 1);
            $pdf->setFont('dejavusans', 'B', 13);
            $pdf->Cell(60, 8, $amount, 0, 0, 'R', false, '', 1);
            $top += 8.5;
            $pdf->Line(self::LEFT, $top, self::LEFT + self::WIDE, $top);
        }

        return $top + 5;
    }

    /** @param  array<mixed>  $plan */
    private function steps(Sheet $pdf, array $plan, float $top): float
    {
        $steps = self::list($plan, 'steps');
        foreach (self::SIZES as $size) {
            $pdf->setFont('dejavusans', '', $size);
            $high = array_map(fn (mixed $step) => self::high($pdf, self::text((array) $step, 'says')), $steps);
            if ($top + array_sum($high) <= self::FOOT) {
                break;
            }
        }
        $pdf->setLineWidth(0.35);
        $pdf->setDrawColor(31, 58, 95);
        foreach ($steps as $step) {
            $says = self::text((array) $step, 'says');
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

    /** @param  array<mixed>  $plan */
    private function notes(Sheet $pdf, array $plan, float $top): void
    {
        $pdf->setFont('dejavusans', '', 9);
        foreach (self::list($plan, 'notes') as $note) {
            $says = ((array) $note)['rank'] === 'note' ? self::text((array) $note, 'says') : 'Care. '.self::text((array) $note, 'says');
            $high = $pdf->getStringHeight(self::WIDE, $says);
            if ($top + $high > 286) {
                return;
            }
            $pdf->MultiCell(self::WIDE, 0, $says, 0, 'L', false, 1, self::LEFT, $top);
            $top += $high + 1;
        }
    }

    /** @param  array<mixed>  $from */
    private static function text(array $from, string $key): string
    {
        return is_string($from[$key] ?? null) ? $from[$key] : '';
    }

    /**
     * @param  array<mixed>  $from
     * @return array<mixed>
     */
    private static function list(array $from, string $key): array
    {
        return is_array($from[$key] ?? null) ? $from[$key] : [];
    }
}
