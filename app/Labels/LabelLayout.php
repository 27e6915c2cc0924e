<?php

namespace App\Labels;

use App\Responses\Press\LabelLine;

/**
 * Where every word of a label stands, mm from its corner: worked out once, and drawn alike on paper and by
 * the simulated printer. The letters shrink until all of it fits; what then still does not is named.
 */
final readonly class LabelLayout
{
    public const FONT = 'dejavusans';

    /** Id of the line no label is printed without: its allergens, and what stops it from being used. */
    public const MUST = 'must';

    /** Points, the largest that fits is taken; under about 5 nobody reads it. */
    private const SIZES = [11.0, 10.0, 9.0, 8.0, 7.0, 6.4, 5.8, 5.4, 5.0];

    private const TITLE = 1.3;

    /** Height of a line over the height of its letters. */
    private const LEADING = 1.17;

    private const MM_PER_PT = 25.4 / 72;

    private const PAD = 2.6;

    private const CODE = 16.0;

    /**
     * @param  list<array{x: float, y: float, pt: float, bold: bool, text: string, net: bool}>  $runs y is the top of the line
     * @param  array{x: float, y: float, w: float}  $code the 2D code; no wider than nothing where there is none
     * @param  list<string>  $cut ids of lines that did not fit
     */
    private function __construct(public array $runs, public array $code, public array $cut) {}

    /**
     * @param  list<LabelLine>  $lines in the order of their weight; "title" first, "code" anywhere
     * @param  string  $net the longest net amount there will be; empty for none
     */
    public static function of(LabelSize $size, array $lines, string $net): self
    {
        $pdf = Sheet::blank([max(20.0, $size->w), max(20.0, $size->h)], 'P');
        // On a small label large letters leave no room to breathe, even where all would fit.
        $sizes = $size->h < 50 ? array_slice(self::SIZES, 2) : self::SIZES;
        do {
            $laid = self::try($pdf, $size, $lines, $net, (float) array_shift($sizes));
        } while ($laid->cut !== [] && $sizes !== []);

        return $laid;
    }

    /**
     * As `of`, for what is printed.
     *
     * @param  list<LabelLine>  $lines
     *
     * @throws LabelException where what must be said does not fit
     */
    public static function toPrint(LabelSize $size, array $lines, string $net): self
    {
        $laid = self::of($size, $lines, $net);

        return in_array(self::MUST, $laid->cut, true) ? throw LabelException::unsaid() : $laid;
    }

    /** @param  list<LabelLine>  $lines */
    private static function try(Sheet $pdf, LabelSize $size, array $lines, string $net, float $pt): self
    {
        // In a round label what is written stands in the square within.
        $pad = $size->round ? $size->w * 0.15 : self::PAD;
        $code = array_values(array_filter($lines, fn (LabelLine $line) => $line->id === 'code'))[0] ?? null;
        $codeW = $code === null ? 0.0 : min(self::CODE * ($size->h > 50 ? 1.4 : 1.0), $size->h - 2 * $pad - 3, $size->w * 0.36);
        $codeBox = ['x' => $size->w - $pad - $codeW, 'y' => $pad, 'w' => $codeW];
        $runs = $cut = [];
        $top = $pad;
        $foot = $size->h - $pad + 0.4;
        $codePt = min(7.0, $pt);
        $codeFoot = $code === null ? 0.0 : $pad + $codeW + $codePt * self::MM_PER_PT * 1.6;
        foreach ($lines as $line) {
            if ($line->id === 'code') {
                $wide = self::width($pdf, $line->text, $codePt, true);
                $runs[] = self::run($codeBox['x'] + max(0.0, ($codeW - $wide) / 2), $pad + $codeW + 0.4, $codePt, true, $line->text);

                continue;
            }
            $title = $line->id === 'title';
            $high = $pt * ($title ? self::TITLE : 1.0) * self::MM_PER_PT * self::LEADING;
            $rows = self::wrap(
                $pdf,
                $line->text,
                $pt * ($title ? self::TITLE : 1.0),
                $title,
                $size->w,
                $pad,
                $top,
                $high,
                $codeBox,
                $codeFoot,
            );
            if ($top + count($rows) * $high > $foot) {
                $cut[] = $line->id;
                $rows = array_slice($rows, 0, max(0, (int) floor(($foot - $top) / $high)));
                if ($rows !== []) {
                    $rows[count($rows) - 1] = mb_substr($rows[count($rows) - 1], 0, -1).'…';
                }
            }
            foreach ($rows as $row) {
                $runs[] = self::run($pad, $top, $pt * ($title ? self::TITLE : 1.0), $title, $row);
                $top += $high;
            }
            if ($title && $net !== '') {
                $runs[] = ['net' => true] + self::run($pad, $top, $pt, true, $net);
                $top += $pt * self::MM_PER_PT * self::LEADING;
                if ($pad + self::width($pdf, $net, $pt, true) > ($top < $codeFoot ? $codeBox['x'] : $size->w - $pad)) {
                    $cut[] = 'net';
                }
            }
        }

        return new self($runs, $codeBox, $cut);
    }

    /**
     * @param  array{x: float, y: float, w: float}  $code
     * @return list<string>
     */
    private static function wrap(
        Sheet $pdf,
        string $text,
        float $pt,
        bool $bold,
        float $w,
        float $pad,
        float $top,
        float $high,
        array $code,
        float $codeFoot,
    ): array {
        $rows = [];
        $row = '';
        $room = fn (): float => ($top + count($rows) * $high < $codeFoot ? $code['x'] - 1.2 : $w - $pad) - $pad;
        foreach (preg_split('/\s+/u', trim($text)) ?: [] as $word) {
            $longer = $row === '' ? $word : $row.' '.$word;
            if (self::width($pdf, $longer, $pt, $bold) <= $room()) {
                $row = $longer;

                continue;
            }
            if ($row !== '') {
                $rows[] = $row;
                $row = '';
            }
            // A word wider than the label is broken between letters, never within one.
            foreach (preg_match_all('/\X/u', $word, $letters) > 0 ? $letters[0] : [] as $letter) {
                if ($row !== '' && self::width($pdf, $row.$letter, $pt, $bold) > $room()) {
                    $rows[] = $row;
                    $row = '';
                }
                $row .= $letter;
            }
        }

        return $row === '' ? $rows : [...$rows, $row];
    }

    private static function width(Sheet $pdf, string $text, float $pt, bool $bold): float
    {
        return (float) $pdf->GetStringWidth($text, self::FONT, $bold ? 'B' : '', $pt);
    }

    /** @return array{x: float, y: float, pt: float, bold: bool, text: string, net: bool} */
    private static function run(float $x, float $y, float $pt, bool $bold, string $text): array
    {
        return ['x' => $x, 'y' => $y, 'pt' => $pt, 'bold' => $bold, 'text' => $text, 'net' => false];
    }

    /** Letters the label's font has no shape for; they are printed as a box. */
    public static function missing(string $text): string
    {
        $pdf = Sheet::blank([20.0, 20.0], 'P');
        $pdf->setFont(self::FONT, '', 8);
        $missing = array_filter(
            mb_str_split($text),
            fn (string $letter) => trim($letter) !== '' && ! $pdf->isCharDefined($letter, self::FONT),
        );

        return implode('', array_slice(array_values(array_unique($missing)), 0, 20));
    }
}
