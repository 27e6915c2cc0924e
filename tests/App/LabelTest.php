<?php

use Illuminate\Support\Facades\DB;
use Tests\PrintedPage;

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
            return ($at / 300) * 25.4;
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
    $answer = $this->atHouse('GET', "{$this->path}/tag.pdf")
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf');
    $tag = new PrintedPage($answer->getContent());
    expect($tag['mm'][0])
        ->toEqualWithDelta(90, 0.1)
        ->and($tag['mm'][1])
        ->toEqualWithDelta(60, 0.1)
        ->and($tag['codes'])
        ->toBe([url("/h/{$this->house->uid}/batch/{$this->made->uid}")]);
    foreach (
        [
            'Marshmallow root oil',
            'dried',
            'Althaea officinalis',
            'sweet almond oil',
            '1:5',
            'Made 24 Nov 2026',
            'strain by 22 Dec 2026',
            'Best before',
            'For the skin',
            'Contains almond (tree nut',
            '26-001',
        ] as $words
    ) {
        expect(preg_replace('/\s+/', ' ', $tag['text']))->toContain($words);
    }
});

it('prints bottle labels where the sheet has them, to 0.3 mm', function () {
    $this->atHouse('GET', "{$this->path}/labels.pdf")->assertStatus(422);
    $this->atHouse('POST', "{$this->path}/strain", ['amount' => '300 mL'])->assertOk();
    $size = collect($this->atHouse('GET', '')->json('bottles'))->firstWhere('capacity_ml', 10);
    $this->atHouse('POST', "{$this->path}/bottle", ['bottles' => [['size' => $size['id'], 'count' => 23]]])->assertOk();
    $sheet = new PrintedPage(
        $this->atHouse('GET', "{$this->path}/labels.pdf")
            ->assertOk()
            ->getContent(),
    );
    expect($sheet['mm'][0])
        ->toEqualWithDelta(210, 0.1)
        ->and($sheet['mm'][1])
        ->toEqualWithDelta(297, 0.1)
        ->and($sheet['pages'])
        ->toBe(2)
        ->and($sheet['codes'])
        ->toHaveCount(21)
        ->and(array_unique($sheet['codes']))
        ->toHaveCount(1)
        ->and(firstLine($sheet['pgm'], false))
        ->toEqualWithDelta(7.25, 0.3)
        ->and(firstLine($sheet['pgm'], true))
        ->toEqualWithDelta(15.15, 0.3)
        ->and($sheet['text'])
        ->toContain('10 mL (0.34 fl oz)')
        ->toContain('no. 21');
});

it('gives the same code as SVG for the print view', function () {
    $svg = $this->atHouse('GET', "{$this->path}/code.svg")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/svg+xml')
        ->getContent();
    expect(simplexml_load_string($svg))->not->toBeFalse();
});

it('keeps long, mixed and right-to-left text on the label', function () {
    $wish = $this->wish(['herb' => ['name' => 'عشبة é̂ <b>蜂蜜</b> & "x"', 'form' => 'root']]);
    $uid = $this->atHouse('POST', '/batches', ['wish' => $wish, 'origin' => str_repeat('long ', 32)])
        ->assertOk()
        ->json('id');
    $tag = new PrintedPage(
        $this->atHouse('GET', "/batches/{$uid}/tag.pdf")
            ->assertOk()
            ->getContent(),
    );
    expect($tag['pages'])->toBe(1)->and($tag['codes'])->toHaveCount(1);
});

/** Where boxes are drawn in 76 mm of a rendered page: mm from the left of every upright line long enough to be a label's side. */
function uprightLines(string $pgm, float $fromMm = 10.0): array
{
    preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $pgm, $m);
    [$width, $height, $start] = [(int) $m[1], (int) $m[2], strlen($m[0])];
    $lines = [];
    $from = (int) (($fromMm / 25.4) * 300);
    for ($x = 0; $x < $width; $x++) {
        $run = $longest = 0;
        for ($y = $from; $y < min($height, $from + 900); $y += 2) {
            $run = ord($pgm[$start + $y * $width + $x]) < 235 ? $run + 1 : 0;
            $longest = max($longest, $run);
        }
        // As long as the shortest label is high, 25 mm at 300 dots an inch, every second dot.
        if ($longest > 140 && ($lines === [] || ($x / 300) * 25.4 - end($lines) > 0.5)) {
            $lines[] = ($x / 300) * 25.4;
        }
    }

    return $lines;
}

function labelled(string $size, int $start = 1, int $count = 40, array $more = []): array
{
    $test = test();
    $test->atHouse('POST', "{$test->path}/strain", ['amount' => '400 mL'])->assertOk();
    $test
        ->atHouse('POST', "{$test->path}/bottle", [
            'bottles' => [
                ['size' => collect($test->atHouse('GET', '')->json('bottles'))->firstWhere('capacity_ml', 10)['id'], 'count' => $count],
            ],
        ])
        ->assertOk();
    $page = $test
        ->atHouse('GET', "{$test->path}/label")
        ->assertOk()
        ->json();
    $set = [
        'version' => $page['version'],
        'size' => $size,
        'start' => $start,
        'names' => 'cook',
        'fields' => array_column($page['fields'], 'id'),
        'words' => '',
        ...$more,
    ];
    $page = $test
        ->atHouse('PUT', "{$test->path}/label", $set)
        ->assertOk()
        ->json();

    return [
        $page,
        new PrintedPage(
            $test
                ->atHouse('GET', "{$test->path}/labels.pdf")
                ->assertOk()
                ->getContent(),
        ),
    ];
}

// The sizes of paper: ISO 216 A4, 210 x 297 mm; ANSI/ASME Y14.1 A (Letter), 8.5 x 11 in.
it('puts every label of a sheet where it belongs, to 0.3 mm', function (string $size, array $page, float $top, array $left) {
    [, $sheet] = labelled($size);
    expect(firstLine($sheet['pgm'], true))->toEqualWithDelta($top, 0.3);
    expect($sheet['mm'][0])->toEqualWithDelta($page[0], 0.1)->and($sheet['mm'][1])->toEqualWithDelta($page[1], 0.1);
    $lines = uprightLines($sheet['pgm']);
    foreach ($left as $mm) {
        expect(min(array_map(fn (float $line) => abs($line - $mm), $lines)))->toBeLessThan(0.3, "{$size}: {$mm}");
    }
})->with([
    ['a4-3x7', [210, 297], 15.15, [7.25, 7.25 + 63.5, 73.25, 139.25, 139.25 + 63.5]],
    ['a4-2x7', [210, 297], 15.15, [4.65, 103.75, 106.25, 205.35]],
    ['a4-2x4', [210, 297], 13.1, [4.65, 106.25]],
    ['a4-3x8', [210, 297], 0.5, [70.0, 140.0]],
    // 2 5/8 in wide, from 3/16 in, 1/8 in between.
    ['letter-3x10', [215.9, 279.4], 12.7, [4.7625, 4.7625 + 66.675, 4.7625 + 69.85, 4.7625 + 139.7]],
    ['letter-2x5', [215.9, 279.4], 12.7, [4.7625, 106.3625, 109.5375]],
]);

it('prints a roll one to a page, of its own size', function (string $size, float $w, float $h) {
    [, $roll] = labelled($size, 1, 3);
    expect($roll['mm'][0])
        ->toEqualWithDelta($w, 0.1)
        ->and($roll['mm'][1])
        ->toEqualWithDelta($h, 0.1)
        ->and($roll['pages'])
        ->toBe(3)
        ->and($roll['codes'])
        ->toHaveCount(1);
})->with([['roll-50x30', 50, 30], ['roll-60x40', 60, 40], ['roll-100x50', 100, 50], ['roll-2x1', 50.8, 25.4]]);

it('begins anywhere on a used sheet, and goes on overleaf', function () {
    [, $sheet] = labelled('a4-3x7', 20, 4);
    // Two on this sheet, two on the next; the first stands in the second column of the last row.
    expect($sheet['pages'])
        ->toBe(2)
        ->and($sheet['codes'])
        ->toHaveCount(2)
        ->and(firstLine($sheet['pgm'], false))
        ->toBe(-1.0);
    $lines = uprightLines($sheet['pgm'], 220);
    expect(min(array_map(fn (float $line) => abs($line - 73.25), $lines)))->toBeLessThan(0.3)->and(min($lines))->toBeGreaterThan(72.0);
});

it('names the ingredients as INCI does, the most first', function () {
    [$page] = labelled('a4-2x4', 1, 1, ['names' => 'inci']);
    $lines = array_column($page['lines'], 'text', 'id');
    expect($lines['herb'])
        ->toBe('Ingredients: Prunus Amygdalus Dulcis Oil, Althaea Officinalis Root Extract')
        ->and($lines)
        ->not->toHaveKey('oil')
        ->and(array_column($page['checklist'], 'there', 'says')['the ingredients, cosmetics by their INCI names, the most first'])
        ->toBeTrue();
});

it('leaves out what is not wanted, adds the cook’s own line, and warns of what does not fit', function () {
    [$page, $sheet] = labelled('a4-3x7', 1, 1, ['fields' => ['title', 'words', 'code'], 'words' => 'Made at Skerry House']);
    expect(array_column($page['lines'], 'id'))
        ->toBe(['title', 'must', 'words', 'code'])
        ->and($sheet['text'])
        ->toContain('Made at Skerry House')
        ->not->toContain('Best before')
        ->not->toContain('10 mL');
    $fields = array_column($page['fields'], 'id');
    $tight = $this->atHouse('PUT', "{$this->path}/label", [
        'version' => $page['version'],
        'size' => 'roll-2x1',
        'start' => 1,
        'names' => 'cook',
        'fields' => $fields,
        'words' => str_repeat('who made it and where ', 13),
    ])
        ->assertOk()
        ->json();
    expect(implode(' ', $tight['warnings']))->toContain('Not all of it fits')->toContain('your own line');
});

it('prints no label that does not carry its allergens, whatever is left out of it', function () {
    // Never chosen, always there.
    [$page, $sheet] = labelled('a4-3x7', 1, 1, ['fields' => ['title']]);
    expect($page['net'])->toBe('');
    expect(array_column($page['lines'], 'text', 'id')['must'])
        ->toBe('Contains almond (tree nuts).')
        ->and($page['prints'])
        ->toBeTrue()
        ->and($sheet['text'])
        ->toContain('Contains almond (tree nuts).')
        ->and(array_column($page['checklist'], 'there', 'says')['the allergens'])
        ->toBeTrue();
    // Nor behind a name that fills the whole of a small label.
    $plan = $this->made->refresh()->plan->document;
    $plan['herb']['mix'] = str_repeat('mallow and ', 60);
    DB::table('batches')
        ->where('id', $this->made->id)
        ->update(['plan' => json_encode($plan)]);
    $fields = array_column($page['fields'], 'id');
    $tight = $this->atHouse('PUT', "{$this->path}/label", [
        'version' => $page['version'],
        'size' => 'roll-2x1',
        'start' => 1,
        'names' => 'cook',
        'fields' => $fields,
        'words' => '',
    ])
        ->assertOk()
        ->json();
    expect($tight['net'])
        ->toBe('10 mL (0.34 fl oz)  no. 1')
        ->and($tight['prints'])
        ->toBeFalse()
        ->and($tight['warnings'][0])
        ->toContain('is not printed')
        ->and(array_column($tight['checklist'], 'there', 'says')['the allergens'])
        ->toBeFalse();
    $this->atHouse('GET', "{$this->path}/labels.pdf")
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'does_not_fit');
    $this->atHouse('GET', "{$this->path}/labels.png")->assertStatus(422);
});

it('says which letters have no shape, and prints the rest', function () {
    [$page, $sheet] = labelled('a4-2x4', 1, 1, ['words' => 'مصنوع a̐e̋ 蜂蜜 🐝 in Skerry']);
    expect(implode(' ', $page['warnings']))
        ->toContain('no shape for')
        ->toContain('蜂')
        ->not->toContain('م')
        ->and($sheet['text'])
        ->toContain('Skerry')
        ->and($sheet['codes'])
        ->toHaveCount(1);
});

it('refuses a label that cannot be', function (array $change, string $field) {
    $page = $this->atHouse('GET', "{$this->path}/label")
        ->assertOk()
        ->json();
    $set = [
        'version' => $page['version'],
        'size' => 'a4-3x7',
        'start' => 1,
        'names' => 'cook',
        'fields' => ['title'],
        'words' => '',
        ...$change,
    ];
    $this->atHouse('PUT', "{$this->path}/label", $set)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
})->with([
    'a text of 5,000 letters' => [['words' => str_repeat('x', 5000)], 'words'],
    'an image as a text' => [['words' => ['data' => 'iVBORw0KGgo=']], 'words'],
    'no such sheet' => [['size' => 'a5'], 'size'],
    'a list as a sheet' => [['size' => ['a4-3x7']], 'size'],
    'a place past the last' => [['start' => 22], 'start'],
    'a place before the first' => [['start' => 0], 'start'],
    'a field nobody knows' => [['fields' => ['title', 'price']], 'fields'],
    'names nobody uses' => [['names' => 'latin'], 'names'],
]);

it('shows a clash of two who set a label', function () {
    $page = $this->atHouse('GET', "{$this->path}/label")->json();
    $set = ['version' => $page['version'], 'size' => 'a4-2x4', 'start' => 1, 'names' => 'cook', 'fields' => ['title'], 'words' => ''];
    $this->atHouse('PUT', "{$this->path}/label", $set)->assertOk();
    $this->atHouse('PUT', "{$this->path}/label", $set)->assertStatus(409);
});

it('shows what a label printer would give: black or nothing, to the dot, its code read back', function () {
    labelled('roll-60x40', 1, 8);
    $png = $this->atHouse('GET', "{$this->path}/labels.png")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png')
        ->getContent();
    $image = imagecreatefromstring($png);
    // 60 x 40 mm at 203 dots an inch, six labels with 3 mm between.
    [$w, $h, $gap] = [480, 320, 24];
    expect(imagesx($image))
        ->toBe($w + 2 * $gap)
        ->and(imagesy($image))
        ->toBe(6 * ($h + $gap) + $gap);
    $colours = [];
    for ($y = $gap; $y < $gap + $h; $y += 3) {
        for ($x = $gap; $x < $gap + $w; $x += 3) {
            $colours[imagecolorat($image, $x, $y) & 0xFFFFFF] = true;
        }
    }
    expect(array_keys($colours))->toEqualCanonicalizing([0x000000, 0xFFFFFF]);
    $file = sys_get_temp_dir().'/kettle-strip-'.bin2hex(random_bytes(6)).'.png';
    file_put_contents($file, $png);
    $codes = array_filter(explode("\n", (string) shell_exec("zbarimg -q --raw {$file} 2>/dev/null")));
    unlink($file);
    expect($codes)
        ->toHaveCount(6)
        ->and(array_unique($codes))
        ->toBe([url("/h/{$this->house->uid}/batch/{$this->made->uid}")]);
});

it('prints no sheet on a roll printer, and no labels of bottles that are gone', function () {
    labelled('a4-3x7', 1, 1);
    $this->atHouse('GET', "{$this->path}/labels.png")->assertStatus(422);
    $this->atHouse('POST', "{$this->path}/use", ['bottle' => 1, 'how' => 'used'])->assertOk();
    $this->atHouse('GET', "{$this->path}/labels.pdf")->assertStatus(422);
});

// NIST Handbook 44: a US fluid ounce is 29.5735295625 mL; net contents in both systems, as labels there have them.
it('gives net contents in both systems', function (float $ml, string $text) {
    expect(App\Labels\LabelSheet::contents($ml))->toBe($text);
})->with([
    [29.5735295625, '30 mL (1 fl oz)'],
    [10, '10 mL (0.34 fl oz)'],
    [5, '5 mL (0.17 fl oz)'],
    [50, '50 mL (1.7 fl oz)'],
    [100, '100 mL (3.4 fl oz)'],
    [250, '250 mL (8.5 fl oz)'],
    [473.176473, '473 mL (16 fl oz)'],
]);
