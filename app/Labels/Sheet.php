<?php

namespace App\Labels;

use TCPDF;

/** A PDF without the library's own line at the foot, measured in millimetres from the paper's own edge. */
final class Sheet extends TCPDF
{
    /** @var bool */
    protected $tcpdflink = false;

    /**
     * @param  string|array{float, float}  $size
     * @param  string  $way P upright, L on its side
     */
    public static function blank(string|array $size, string $way, bool $first = true): self
    {
        $pdf = new self($way, 'mm', $size, true, 'UTF-8');
        $pdf->setCreator('Warm Kettle');
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setMargins(0, 0, 0, true);
        $pdf->setAutoPageBreak(false);
        $pdf->setCellPaddings(0, 0, 0, 0);
        $pdf->setFontSubsetting(true);
        if ($first) {
            $pdf->AddPage();
        }

        return $pdf;
    }

    /**
     * The PDF library warns of letters no font has, and of mixed directions, where Laravel would stop
     * at a warning; a box in place of a letter is what is wanted.
     *
     * @template T
     *
     * @param  \Closure(): T  $make
     * @return T
     */
    public static function calmly(\Closure $make): mixed
    {
        set_error_handler(fn () => true, E_WARNING | E_NOTICE | E_DEPRECATED);
        try {
            return $make();
        } finally {
            restore_error_handler();
        }
    }
}
