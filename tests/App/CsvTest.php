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
    $wrong = csv($this, "id,kind,material,amount,left\n{$id},carrier,olive,1 L,some\n"."01ARZ3NDEKTSV4RRFFQ69G5FAV,carrier,olive,1 L,\n")
        ->assertOk()
        ->assertJsonPath('refused', 2)
        ->json('rows');
    $other = csv($this, "id,kind,material,amount\n{$id},herb,calendula,5 g\n")->json('rows');
    expect($wrong[0]['says'])
        ->toContain('left: “some” cannot be read as a volume')
        ->and($wrong[1]['says'])
        ->toContain('No lot here has that id')
        ->and($other[0]['says'])
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

/** @return array<int, string> what is said of each line of a file */
function csvSays($test, string $bytes, bool $do = false): array
{
    $rows = csv($test, $bytes, $do)->assertOk()->json('rows');

    return array_combine(array_column($rows, 'line'), array_map(fn (array $row) => trim($row['what'].': '.$row['says']), $rows));
}

it('leaves alone what a file has no column for', function () {
    $id = $this->atHouse('POST', '/lots', [
        'lot' => [
            'kind' => 'carrier',
            'material' => 'hazelnut',
            'amount' => '500 mL',
            'best_before' => '2027-04-01',
            'allergens' => 'packed beside soya',
            'note' => 'the good one',
        ],
    ])->json('lot.id');
    expect(csvSays($this, "id,kind,material,amount,price\n{$id},carrier,hazelnut,500 mL,8\n", true))->toBe([
        2 => 'changed: Changes price.',
    ]);
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('fields.best_before', '2027-04-01')
        ->assertJsonPath('fields.note', 'the good one')
        ->assertJsonPath('fields.price', '8')
        ->assertJsonPath('fields.allergens', fn (string $allergens) => str_contains($allergens, 'packed beside soya'));
    // An empty cell of a column that is there takes it away.
    csv($this, "id,kind,material,amount,note\n{$id},carrier,hazelnut,500 mL,\n", true)->assertJsonPath('changed', 1);
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('fields.note', '')
        ->assertJsonPath('fields.price', '8');
});

it('refuses what is left before anything of its line is changed', function () {
    $id = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '7']])->json(
        'lot.id',
    );
    foreach (['some', '-5', '9000000'] as $left) {
        csv($this, "id,kind,material,amount,price,left\n{$id},carrier,olive,1 L,9,{$left}\n", true)->assertJsonPath('refused', 1);
    }
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('fields.price', '7')
        ->assertJsonPath('lot.left_text', '1 L');
});

it('says what a count in a file changes, and keeps that it was by a file', function () {
    $id = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L']])->json('lot.id');
    expect(csvSays($this, "id,kind,material,amount,left\n{$id},carrier,olive,1000 mL,0.4 L\n", true))->toBe([
        2 => 'changed: What is left becomes 400 mL; here it is 1 L.',
    ]);
    $moves = $this->atHouse('GET', "/lots/{$id}")->json('moves');
    expect(array_column($moves, 'text'))
        ->toContain('Counted, by a file: 600 mL less than thought')
        ->and(array_column($moves, 'note'))
        ->toBe(['', '']);
});

it('takes what is left of a lot that is new', function () {
    csv($this, "kind,material,amount,left\nherb,calendula,250 g,120\nherb,yarrow,50 g,5\nwax,beeswax,50 g,50\n", true)->assertJsonPath(
        'added',
        3,
    );
    $left = collect($this->atHouse('GET', '/stores')->json('lots'))->pluck('left_text', 'called');
    expect($left['calendula'])->toBe('120 g')->and($left['yarrow'])->toBe('5 g')->and($left['beeswax'])->toBe('50 g');
});

it('refuses a line that was copied with its id', function () {
    $id = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L']])->json('lot.id');
    $file = "id,kind,material,amount\n{$id},carrier,olive,2 L\n{$id},carrier,olive,5 L\n";
    expect(csvSays($this, $file, true))->toBe([
        2 => 'changed: Changes amount. What is left becomes 2 L; here it is 1 L.',
        3 => 'refused: Line 2 has this id too. Leave the id empty to add another lot.',
    ]);
    $this->atHouse('GET', "/lots/{$id}")->assertJsonPath('lot.left_text', '2 L');
});

it('tells what it takes for something, and what may be meant', function () {
    $file = implode("\n", [
        'kind,material,state,amount,got_how',
        'herb,Calendulla,dried,20 g,',
        'herb,St John\'s wort,,20 g,',
        'herb,Calendula officinalis,dried,20 g,Grown',
        'herb,sea campion,dried,20 g,',
        'essential oils,Lavandula angustifolia oil,,10 mL,',
        'herb,yarrow,dried,20 g,swapped',
        '',
    ]);
    expect(csvSays($this, $file))->toBe([
        2 => 'added: Not in the Almanac: kept by its name, without cautions. If calendula is meant, write that.',
        3 => 'added: Taken as dried.',
        4 => 'added:',
        5 => 'added: Not in the Almanac: kept by its name, without cautions.',
        6 => 'added:',
        7 => 'refused: got_how: “swapped” is not how a lot is got: write bought or gathered, or leave it out and note it.',
    ]);
    expect(csv($this, $file)->json('rows.1.name'))->toBe('St John’s wort')->and(csv($this, $file)->json('rows.2.name'))->toBe('calendula');
});

it('tells what is there already', function () {
    csv($this, HERBS, true)->assertJsonPath('added', 3);
    expect(csvSays($this, HERBS))->toBe([
        2 => 'added: Taken as dried. One like it is in Stores already.',
        3 => 'added: Taken as dried. One like it is in Stores already.',
        4 => 'added: One like it is in Stores already.',
    ]);
    expect(csvSays($this, "kind,material,state,amount\nherb,calendula,dried,250 g\nherb,calendula,dried,0.25 kg\n"))->toBe([
        2 => 'added:',
        3 => 'added: Line 2 is the same.',
    ]);
});

it('reads days as a spreadsheet writes them, told by those that are one only', function (string $days, array $says, string $note) {
    $lines = array_map(fn (string $day) => "wax,beeswax,20 g,{$day}", explode(' ', $days));
    $preview = csv($this, "kind,material,amount,got_on\n".implode("\n", $lines)."\n", true);
    expect(array_column($preview->json('rows'), 'what'))->toBe($says)->and(implode(' ', $preview->json('notes')))->toContain($note);
})->with([
    // 3 April in both; were it 4 March, the first would still be read.
    'day first' => ['25/03/2026 03/04/2026', ['added', 'added'], 'the day first'],
    'month first' => ['03/25/2026 03/04/2026', ['added', 'added'], 'the month first'],
    'years of two figures' => ['25/03/26 3/4/26', ['added', 'added'], 'the day first'],
    'with points' => ['3.4.2026 25.3.2026', ['added', 'added'], ''],
    'the year first' => ['2026/03/25 2026/3/4', ['added', 'added'], ''],
    'nothing shows it' => ['03/04/2026 05/06/2026', ['refused', 'refused'], ''],
    'two hands' => ['25/03/2026 03/25/2026 03/04/2026', ['added', 'added', 'refused'], ''],
    'no such day' => ['31/02/2026 25/03/2026', ['refused', 'added'], 'the day first'],
]);

it('has the day that was meant', function () {
    csv($this, "kind,material,amount,got_on,best_before\nwax,beeswax,20 g,03/04/2026,25/12/2027\n", true)->assertJsonPath('added', 1);
    $id = $this->atHouse('GET', '/stores')->json('lots.0.id');
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('fields.got_on', '2026-04-03')
        ->assertJsonPath('fields.best_before', '2027-12-25');
});

it('refuses a line whose cells have moved, and a quote that is never closed', function () {
    expect(csvSays($this, "kind,material,amount,note\nherb,yarrow,20 g,from the market, stall 3\nwax,beeswax,5 g,,\n"))->toBe([
        2 => 'refused: This line has 5 cells, and the first line names 4 columns. A text with a comma in it is written between quotes.',
        3 => 'added:',
    ]);
    csv($this, "kind,material,amount,note\nherb,yarrow,20 g,\"from the market\nwax,beeswax,5 g,\nwax,beeswax,9 g,\n")
        ->assertStatus(422)
        ->assertSee('A quote that begins in line 2 is never closed.');
    csv($this, "kind,material,amount,note,Note\nwax,beeswax,5 g,a,b\n")->assertStatus(422)->assertSee('names “note” twice');
    // Inches in the last line are no quote.
    expect(csvSays($this, "kind,called,state,amount,note\nherb,sea campion,dried,20 g,5\" pot"))->toHaveCount(1);
});

it('reads the names that people give their columns, and says so', function () {
    $preview = csv($this, "sep=;\nType;Name;Qty;Use by;Paid\nOils;Olive oil;1 L;31/12/2027;9,50\n", true)->assertJsonPath('added', 1);
    expect(implode(' ', $preview->json('notes')))
        ->toContain('“type” is read as kind, “name” is read as called')
        ->toContain('“use by” is read as best_before,')
        ->and($this->atHouse('GET', '/lots/'.$this->atHouse('GET', '/stores')->json('lots.0.id'))->json('fields'))
        ->toMatchArray(['kind' => 'carrier', 'material' => 'olive', 'best_before' => '2027-12-31', 'price' => '9.5']);
});
