<?php

/** Renders a PDF's first page with poppler; gives its size in mm and what its 2D codes say. */
function printed(string $pdf): array
{
    $dir = sys_get_temp_dir().'/kettle-label-'.bin2hex(random_bytes(6));
    mkdir($dir);
    file_put_contents("{$dir}/label.pdf", $pdf);
    $info = (string) shell_exec("pdfinfo {$dir}/label.pdf");
    preg_match('/Page size:\s+([\d.]+) x ([\d.]+) pts/', $info, $size);
    preg_match('/Pages:\s+(\d+)/', $info, $pages);
    shell_exec("pdftoppm -r 300 -gray -f 1 -l 1 -singlefile {$dir}/label.pdf {$dir}/label");
    shell_exec("pdftoppm -r 450 -png -f 1 -l 1 -singlefile {$dir}/label.pdf {$dir}/label");
    $codes = array_values(array_filter(explode("\n", (string) shell_exec("zbarimg -q --raw {$dir}/label.png 2>/dev/null"))));
    $text = (string) shell_exec("pdftotext -raw {$dir}/label.pdf -");
    $image = (string) file_get_contents("{$dir}/label.pgm");
    array_map('unlink', glob("{$dir}/*") ?: []);
    rmdir($dir);

    return ['mm' => [(float) $size[1] / 72 * 25.4, (float) $size[2] / 72 * 25.4], 'pages' => (int) $pages[1], 'codes' => $codes, 'text' => $text, 'pgm' => $image];
}

/** The first column, mm from the left, whose pixels are mostly a drawn line. */
function firstLine(string $pgm, bool $down): float
{
    preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $pgm, $m);
    [$width, $height] = [(int) $m[1], (int) $m[2]];
    $start = strlen($m[0]);
    $long = $down ? $height : $width;
    for ($at = 0; $at < $long; $at++) {
        $dark = 0;
        for ($i = 200; $i < 500; $i++) {
            $dark += ord($pgm[$start + ($down ? $at * $width + $i : $i * $width + $at)]) < 235 ? 1 : 0;
        }
        if ($dark > 250) {
            return $at / 300 * 25.4;
        }
    }

    return -1.0;
}

beforeEach(function () {
    $this->made = $this->batch(['jar' => $this->jarOf(505)->uid, 'oils' => ['sweet-almond']]);
    $this->fill($this->made);
    $this->path = "/batches/{$this->made->uid}";
});

it('prints a jar tag of its own size whose code opens the batch', function () {
    $answer = $this->atHouse('GET', "{$this->path}/tag.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $tag = printed($answer->getContent());
    expect($tag['mm'][0])->toEqualWithDelta(90, 0.1)->and($tag['mm'][1])->toEqualWithDelta(60, 0.1)
        ->and($tag['codes'])->toBe([url("/h/{$this->house->uid}/batch/{$this->made->uid}")]);
    foreach (['Marshmallow root oil', 'dried', 'Althaea officinalis', 'sweet almond oil', '1:5', 'Made 24 Nov 2026', 'strain by 22 Dec 2026', 'Best before', 'For the skin', 'Contains tree nut', '26-001'] as $words) {
        expect(preg_replace('/\s+/', ' ', $tag['text']))->toContain($words);
    }
});

it('prints bottle labels where the sheet has them, to 0.3 mm', function () {
    $this->atHouse('GET', "{$this->path}/labels.pdf")->assertStatus(422);
    $this->atHouse('POST', "{$this->path}/strain", ['amount' => '300 mL'])->assertOk();
    $size = collect($this->atHouse('GET', '')->json('bottles'))->firstWhere('capacity_ml', 10);
    $this->atHouse('POST', "{$this->path}/bottle", ['bottles' => [['size' => $size['id'], 'count' => 23]]])->assertOk();
    $sheet = printed($this->atHouse('GET', "{$this->path}/labels.pdf")->assertOk()->getContent());
    expect($sheet['mm'][0])->toEqualWithDelta(210, 0.1)->and($sheet['mm'][1])->toEqualWithDelta(297, 0.1)->and($sheet['pages'])->toBe(2)
        ->and($sheet['codes'])->toHaveCount(21)->and(array_unique($sheet['codes']))->toHaveCount(1)
        ->and(firstLine($sheet['pgm'], false))->toEqualWithDelta(7.25, 0.3)
        ->and(firstLine($sheet['pgm'], true))->toEqualWithDelta(15.15, 0.3)
        ->and($sheet['text'])->toContain('10 mL (0.3 fl oz)')->toContain('no. 21');
});

it('gives the same code as SVG for the print view', function () {
    $svg = $this->atHouse('GET', "{$this->path}/code.svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent();
    expect(simplexml_load_string($svg))->not->toBeFalse();
});

it('keeps long, mixed and right-to-left text on the label', function () {
    $wish = $this->wish(['herb' => ['name' => 'عشبة é̂ <b>蜂蜜</b> & "x"', 'form' => 'root']]);
    $uid = $this->atHouse('POST', '/batches', ['wish' => $wish, 'origin' => str_repeat('long ', 32)])->assertOk()->json('id');
    $tag = printed($this->atHouse('GET', "/batches/{$uid}/tag.pdf")->assertOk()->getContent());
    expect($tag['pages'])->toBe(1)->and($tag['codes'])->toHaveCount(1);
});
