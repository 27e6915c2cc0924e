<?php

use Illuminate\Testing\TestResponse;

/** @return TestResponse what a file would do, or does */
function csv($test, string $bytes, bool $do = false): TestResponse
{
    return $test->atHouse('POST', '/stores/csv', ['csv' => base64_encode($bytes), 'do' => $do]);
}

const HERBS = "kind,material,amount,price,got_on\nherb,calendula,250 g,12.50,2026-07-20\nherb,self-heal,100 g,,\noil,olive oil,1 L,9,\n";

it('says what a file would do before it does it', function () {
    csv($this, HERBS)
        ->assertOk()
        ->assertJsonPath('done', false)
        ->assertJsonPath('added', 3)
        ->assertJsonPath('refused', 0)
        ->assertJsonPath('says', 'Would be: 3 added.');
    $this->atHouse('GET', '/stores')->assertJsonPath('total', 0);
    csv($this, HERBS, true)
        ->assertOk()
        ->assertJsonPath('done', true)
        ->assertJsonPath('says', 'Done: 3 added.');
    $this->atHouse('GET', '/stores')->assertJsonPath('total', 3);
});

it('refuses a row with its reason, and takes the others', function () {
    $file = "kind,material,amount\nherb,calendula,250 g\nherb,calendula,lots\ndragon,scale,5\ncarrier,petrol,1 L\nherb,yarrow,20 g\n";
    $preview = csv($this, $file)->assertOk()->assertJsonPath('added', 2)->assertJsonPath('refused', 3);
    $refused = array_values(array_filter($preview->json('rows'), fn (array $row) => $row['what'] === 'refused'));
    expect(array_column($refused, 'line'))
        ->toBe([3, 4, 5])
        ->and($refused[0]['says'])
        ->toContain('amount: “lots” cannot be read as a weight')
        ->and($refused[1]['says'])
        ->toContain('kind: Say what it is')
        ->and($refused[2]['says'])
        ->toContain('material: “petrol” is not in the Almanac');
    csv($this, $file, true)->assertOk()->assertJsonPath('added', 2);
    $this->atHouse('GET', '/stores')->assertJsonPath('total', 2);
});

it('reads what a spreadsheet saves', function (string $bytes, string $note) {
    $preview = csv($this, $bytes)->assertOk()->assertJsonPath('added', 1)->assertJsonPath('refused', 0);
    expect(implode(' ', $preview->json('notes')))->toContain($note)->and($preview->json('rows.0.name'))->toBe('Crème de souci');
})->with([
    'commas' => ["kind,called,amount\nherb,Crème de souci,250 g\n", ''],
    'semicolons' => ["kind;called;amount\nherb;Crème de souci;250 g\n", 'semicolons'],
    'tabs' => ["kind\tcalled\tamount\nherb\tCrème de souci\t250 g\n", 'tabs'],
    'a byte order mark' => ["\xEF\xBB\xBFkind,called,amount\nherb,Crème de souci,250 g\n", ''],
    'Windows-1252' => [mb_convert_encoding("kind,called,amount\nherb,Crème de souci,250 g\n", 'Windows-1252', 'UTF-8'), 'Windows-1252'],
    'UTF-16' => ["\xFF\xFE".mb_convert_encoding("kind,called,amount\r\nherb,Crème de souci,250 g\r\n", 'UTF-16LE', 'UTF-8'), 'UTF-16'],
    'Windows lines' => ["kind,called,amount\r\nherb,Crème de souci,250 g\r\n", ''],
    'old Macintosh lines' => ["kind,called,amount\rherb,Crème de souci,250 g\r", ''],
    'names in capitals and with spaces' => ["KIND, Called ,Amount,Best Before\nherb,Crème de souci,250 g,2028-01-01\n", ''],
    'columns nobody knows' => ["kind,called,amount,colour\nherb,Crème de souci,250 g,green\n", 'Not read: colour'],
    'blank lines' => ["kind,called,amount\n\n\nherb,Crème de souci,250 g\n,,\n", ''],
    'no newline at the end' => ["kind,called,amount\nherb,Crème de souci,250 g", ''],
]);

it('counts lines as the file has them, with cells over several', function () {
    $file = "kind,called,amount,note\nherb,one,5 g,\"first\nsecond\nthird\"\nherb,two,lots,\nherb,\"th\"\"ree\",5 g,\"a, b\"\n";
    $rows = csv($this, $file)->assertOk()->json('rows');
    expect(array_map(fn (array $row) => [$row['line'], $row['what'], $row['name']], $rows))->toBe([
        [2, 'added', 'one'],
        [5, 'refused', 'two'],
        [6, 'added', 'th"ree'],
    ]);
});

it('refuses a file that is none', function (string $bytes, string $says) {
    csv($this, $bytes)->assertStatus(422)->assertJsonPath('detail', fn (string $detail) => str_contains($detail, $says));
})->with([
    'nothing' => ["\n\n", 'nothing in that file'],
    'no columns of ours' => ["name,weight\ncalendula,5\n", 'Found: name, weight'],
    'the wrong delimiter' => ["kind|called|amount\nherb|calendula|5 g\n", 'The first line must name the columns'],
    'no header' => ["herb,calendula,5 g\n", 'Wanted at least'],
    'a spreadsheet itself' => ["PK\x03\x04\x14\x00", 'not text'],
    'a picture' => ["\x89PNG\r\n\x1a\n\0\0\0", 'not text'],
    'too many lines' => ["kind,called,amount\n".str_repeat("herb,x,5 g\n", 5001), 'At most 5000'],
]);

it('refuses what is not base64, and what is too much', function () {
    $this->atHouse('POST', '/stores/csv', ['csv' => '***', 'do' => false])->assertStatus(422);
    $this->atHouse('POST', '/stores/csv', ['csv' => ['x'], 'do' => false])->assertStatus(422);
    $this->atHouse('POST', '/stores/csv', ['csv' => base64_encode(HERBS)])->assertStatus(422);
    $this->atHouse('POST', '/stores/csv', ['csv' => str_repeat('A', 4_000_001), 'do' => false])->assertStatus(422);
});

it('goes out and comes in the same, and changes nothing by it', function () {
    foreach (
        [
            [
                'kind' => 'herb',
                'material' => 'calendula',
                'amount' => '250 g',
                'price' => '12.50',
                'got_how' => 'gathered',
                'got_where' => 'the "old" bed, east',
                'got_on' => '2026-07-20',
                'food_grade' => 'yes',
                'part' => 'petals',
                'note' => "two\nlines",
            ],
            ['kind' => 'herb', 'called' => 'sea campion', 'form' => 'root', 'state' => 'wilted', 'amount' => '30 g'],
            [
                'kind' => 'carrier',
                'material' => 'hazelnut',
                'amount' => '500 mL',
                'opened_on' => '2026-10-01',
                'best_before' => '2027-04-01',
                'allergens' => 'packed beside soya',
            ],
            ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '1 lb'],
            ['kind' => 'jar', 'material' => $this->jarOf(505)->uid, 'amount' => '12', 'low_at' => '3'],
        ] as $lot
    ) {
        $this->atHouse('POST', '/lots', ['lot' => $lot])->assertOk();
    }
    $out = $this->atHouse('GET', '/stores.csv')->streamedContent();
    csv($this, $out)
        ->assertOk()
        ->assertJsonPath('same', 5)
        ->assertJsonPath('changed', 0)
        ->assertJsonPath('added', 0)
        ->assertJsonPath('refused', 0);
    // Into another house, without the ids, it adds the same.
    $lines = array_map(fn (string $line) => $line, explode("\n", $out));
    expect($lines[0])->toStartWith('id,kind,material,called');
});

it('changes by its id, and counts what the file says is left', function () {
    $id = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L']])->json('lot.id');
    $file = "id,kind,material,amount,price,left\n{$id},carrier,olive,1 L,9.00,400\n";
    csv($this, $file)->assertOk()->assertJsonPath('changed', 1);
    csv($this, $file, true)->assertOk()->assertJsonPath('says', 'Done: 1 changed.');
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('lot.left_text', '400 mL')
        ->assertJsonPath('lot.price_text', '9.00');
    $wrong = csv(
        $this,
        "id,kind,material,amount,left\n{$id},carrier,olive,1 L,some\n".
            "01ARZ3NDEKTSV4RRFFQ69G5FAV,carrier,olive,1 L,\n{$id},herb,calendula,5 g,\n",
    )
        ->assertOk()
        ->assertJsonPath('refused', 3)
        ->json('rows');
    expect($wrong[0]['says'])
        ->toContain('plain number')
        ->and($wrong[1]['says'])
        ->toContain('No lot here has that id')
        ->and($wrong[2]['says'])
        ->toContain('stays what it is');
});

it('writes no formula into a spreadsheet, and reads it back as it was', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'herb', 'called' => '=HYPERLINK("x")', 'amount' => '5 g', 'note' => '@cmd'],
    ])->assertOk();
    $out = $this->atHouse('GET', '/stores.csv')->streamedContent();
    expect($out)->toContain("'=HYPERLINK")->toContain("'@cmd");
    csv($this, $out)->assertJsonPath('same', 1);
});

it('reads or refuses any file, seeded', function () {
    mt_srand(17);
    $bits = [
        'kind',
        'called',
        'amount',
        ',',
        ';',
        "\t",
        "\n",
        "\r\n",
        '"',
        'herb',
        'calendula',
        '5 g',
        'é',
        "\xFF",
        '=1+1',
        '🫖',
        ' ',
        'id',
        'left',
        '-5',
    ];
    for ($i = 0; $i < 60; $i++) {
        $bytes = "kind,called,amount\n".implode('', array_map(fn () => $bits[mt_rand(0, count($bits) - 1)], range(1, mt_rand(1, 30))));
        expect(csv($this, $bytes)->getStatusCode())->toBeIn([200, 422]);
    }
});
