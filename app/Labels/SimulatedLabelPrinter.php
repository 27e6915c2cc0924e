<?php

namespace App\Labels;

use GdImage;
use TCPDF2DBarcode;

/**
 * A small label printer that is not there: 203 dots to the inch, black or nothing, one label after another
 * from a roll. What it gives is the strip that would come out, as a picture.
 */
final readonly class SimulatedLabelPrinter
{
    public const DPI = 203;

    /** Labels in one strip. */
    public const MOST = 6;

    /** Dots darker than this burn. */
    private const BURNS_UNDER = 128;

    private const GAP_MM = 3.0;

    /**
     * @param  list<string>  $nets what each label says of its own bottle
     * @return string PNG
     *
     * @throws LabelException when it is not a roll
     */
    public function strip(LabelSize $size, LabelLayout $layout, array $nets, string $address): string
    {
        if ($size->paper !== 'roll') {
            throw LabelException::roll();
        }
        $nets = array_slice($nets, 0, self::MOST);
        [$w, $h, $gap] = [self::dots($size->w), self::dots($size->h), self::dots(self::GAP_MM)];
        $strip = imagecreatetruecolor(max(1, $w + 2 * $gap), max(1, max(1, count($nets)) * ($h + $gap) + $gap));
        assert($strip !== false);
        imagefill($strip, 0, 0, (int) imagecolorallocate($strip, 214, 209, 190));
        $one = $this->label($size, $layout, $address);
        foreach ($nets as $i => $net) {
            $label = imagecreatetruecolor($w, $h);
            assert($label !== false);
            imagecopy($label, $one, 0, 0, 0, 0, $w, $h);
            foreach ($layout->runs as $run) {
                if ($run['net']) {
                    $this->write($label, $run, $net);
                }
            }
            imagecopy($strip, self::burned($label), $gap, $gap + $i * ($h + $gap), 0, 0, $w, $h);
        }
        ob_start();
        imagepng($strip, null, 9);

        return (string) ob_get_clean();
    }

    private function label(LabelSize $size, LabelLayout $layout, string $address): GdImage
    {
        $label = imagecreatetruecolor(self::dots($size->w), self::dots($size->h));
        assert($label !== false);
        imagefill($label, 0, 0, 0xFFFFFF);
        foreach ($layout->runs as $run) {
            if (! $run['net']) {
                $this->write($label, $run, $run['text']);
            }
        }
        if ($layout->code['w'] > 0) {
            /** @var array{num_cols: int, num_rows: int, bcode: list<list<int>>} $code */
            $code = (new TCPDF2DBarcode($address, 'QRCODE,L'))->getBarcodeArray();
            // A printer makes each square of whole dots, or readers stumble.
            $dot = max(1, intdiv(self::dots($layout->code['w']), $code['num_cols']));
            [$left, $top] = [self::dots($layout->code['x']), self::dots($layout->code['y'])];
            foreach ($code['bcode'] as $row => $cells) {
                foreach ($cells as $column => $dark) {
                    if ((int) $dark === 1) {
                        imagefilledrectangle(
                            $label,
                            $left + $column * $dot,
                            $top + $row * $dot,
                            $left + ($column + 1) * $dot - 1,
                            $top + ($row + 1) * $dot - 1,
                            0x000000,
                        );
                    }
                }
            }
        }

        return $label;
    }

    /** @param  array{x: float, y: float, pt: float, bold: bool, text: string, net: bool}  $run */
    private function write(GdImage $label, array $run, string $text): void
    {
        // GD takes points of 96 to the inch.
        $pt = ($run['pt'] * self::DPI) / 96;
        imagettftext(
            $label,
            $pt,
            0,
            self::dots($run['x']),
            self::dots($run['y'] + $run['pt'] * 0.335),
            0x000000,
            self::font($run['bold']),
            $text,
        );
    }

    private static function burned(GdImage $label): GdImage
    {
        for ($y = 0, $h = imagesy($label); $y < $h; $y++) {
            for ($x = 0, $w = imagesx($label); $x < $w; $x++) {
                imagesetpixel($label, $x, $y, ((int) imagecolorat($label, $x, $y) & 0xFF) < self::BURNS_UNDER ? 0x000000 : 0xFFFFFF);
            }
        }

        return $label;
    }

    /** @return int<1, max> */
    private static function dots(float $mm): int
    {
        return max(1, (int) round(($mm / 25.4) * self::DPI));
    }

    /** The same letters as on paper: the PDF library keeps them packed, and a picture wants them as a file. */
    private static function font(bool $bold): string
    {
        $name = LabelLayout::FONT.($bold ? 'b' : '');
        $file = storage_path("framework/cache/{$name}.ttf");
        if (! is_file($file)) {
            $packed = (string) file_get_contents(base_path("vendor/tecnickcom/tcpdf/fonts/{$name}.z"));
            // Written beside and then moved, for two may ask at once.
            $beside = $file.'.'.getmypid();
            file_put_contents($beside, (string) gzuncompress($packed));
            rename($beside, $file);
        }

        return $file;
    }
}
