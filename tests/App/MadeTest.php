<?php

require_once dirname(__DIR__).'/Begun.php';

it('says so when its oil was thrown away since', function () {
    [$made, $batch] = begunSalve();
    expect($made['warnings'])->toBe([]);
    $this->atHouse('POST', "/batches/{$batch}/discard", ['reason' => 'smells of paint'])->assertOk();
    $now = $this->atHouse('GET', "/makings/{$made['id']}");
    expect($now->json('warnings.0'))->toContain('thrown away');
    // Nothing more is made of it: neither weighed nor poured.
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/weigh", ['part' => "batch.{$batch}"])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'not_now');
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 2]]])->assertStatus(422);
    // And of what was poured before, none is used, given or sold any more; it is thrown away.
    $line = $this->atHouse('GET', "/batches/{$batch}")->json('entries.0.id');
    $this->atHouse('POST', "/batches/{$batch}/undo", ['entry' => $line])->assertOk();
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 2]]])->assertOk();
    $this->atHouse('POST', "/batches/{$batch}/discard", ['reason' => 'it does smell of paint'])->assertOk();
    foreach (['used', 'given', 'sold'] as $how) {
        $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => $how, 'to' => 'somebody'])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.reason', 'not_now');
    }
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'thrown'])->assertOk();
});

it('is no better than its oil has become, on its page, its label, the shelf and Today', function () {
    [$made, $batch] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 2]]])->assertOk();
    // Kept in the light, the oil keeps shorter than was thought when the salve was made.
    $this->atHouse('POST', "/batches/{$batch}/keep", ['place' => 'room', 'glass' => 'clear'])->assertOk();
    $now = $this->atHouse('GET', "/batches/{$batch}")->json('best_before');
    expect($now)->not->toBe($made['best_before']);
    expect($this->atHouse('GET', $path)->json('best_before'))
        ->toBe($now)
        ->and($this->atHouse('GET', '/shelf')->json('made.0.best_before'))
        ->toBe($now)
        ->and(array_column($this->atHouse('GET', "{$path}/label")->json('lines'), 'text', 'id')['best_before'])
        ->toBe("Best before {$now}");
    $this->travelTo(Illuminate\Support\Carbon::parse($now)->addDays(2));
    expect($this->atHouse('GET', '/today')->json('melt.0.says'))->toBe("good until {$now}; 2 here");
});

it('lists what is in the pot and what still stands somewhere', function () {
    [$made] = begunSalve();
    expect($this->atHouse('GET', '/makings')->json('open.0.code'))
        ->toBe('P26-001')
        ->and($this->atHouse('GET', '/makings')->json('made'))
        ->toBe([]);
    $this->atHouse('POST', "/makings/{$made['id']}/pour", ['tins' => [['ml' => 30, 'count' => 3]], 'where' => 'larder'])->assertOk();
    expect($this->atHouse('GET', '/makings')->json('open'))
        ->toBe([])
        ->and($this->atHouse('GET', '/makings')->json('made.0.stands'))
        ->toBe('larder');
});

it('is on Today with its next step, on the Shelf when it is poured, and found by name, plant and code', function () {
    [$made, $batch] = begunSalve();
    $melt = $this->atHouse('GET', '/today')->json('melt');
    expect($melt[0]['code'])->toBe('P26-001')->and($melt[0]['says'])->toStartWith('Wash the tins')->and($melt[0]['wrong'])->toBeFalse();
    foreach (['p26-0', 'salve', 'calendula sal', 'calendula'] as $typed) {
        expect(array_column($this->atHouse('GET', '/find?q='.urlencode($typed))->json('found'), 'path'))->toContain(
            "making/{$made['id']}",
        );
    }
    expect($this->atHouse('GET', '/shelf')->json('made'))->toBe([]);
    $this->atHouse('POST', "/makings/{$made['id']}/pour", ['tins' => [['ml' => 30, 'count' => 3]], 'where' => 'larder'])->assertOk();
    expect($this->atHouse('GET', '/today')->json('melt'))
        ->toBe([])
        ->and($this->atHouse('GET', '/shelf')->json('made.0.tins_left'))
        ->toBe(3);
    $this->atHouse('POST', "/batches/{$batch}/discard", ['reason' => 'paint'])->assertOk();
    expect($this->atHouse('GET', '/today')->json('melt.0.says'))->toBe('its oil 26-001 was thrown away; 3 here, larder');
    $this->travelTo('2029-01-01');
    expect($this->atHouse('GET', '/today')->json('melt.0.wrong'))->toBeTrue();
});

it('labels each tin: ingredients by weight, what must be said, net weight, the code that opens it', function () {
    [$made] = begunSalve(['essential_oils' => [['id' => 'lavender', 'percent' => 1]]]);
    $path = "/makings/{$made['id']}";
    $this->atHouse('GET', "{$path}/labels.pdf")->assertStatus(422);
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]]])->assertOk();
    $page = $this->atHouse('GET', "{$path}/label")->assertOk();
    $texts = array_column($page->json('lines'), 'text', 'id');
    expect($texts['title'])
        ->toBe('Calendula salve')
        ->and($texts['must'])
        ->toContain('Contains bee products')
        ->and($texts['herb'])
        ->toBe('Ingredients: sunflower oil, beeswax, lavender, calendula, in its oil')
        ->and($texts['origin'])
        ->toContain('26-001')
        ->and($page->json('net'))
        ->toMatch('/^2\d(\.\d)? g \((0\.9|1) oz\)  no\. 1$/')
        ->and($page->json('bottles'))
        ->toBe(3);
    $this->atHouse('PUT', "{$path}/label", [
        'version' => $page->json('version'),
        'size' => 'a4-round-60',
        'start' => 2,
        'names' => 'inci',
        'fields' => ['title', 'net', 'herb', 'code'],
        'words' => '',
    ])->assertOk();
    $sheet = new Tests\PrintedPage(
        $this->atHouse('GET', "{$path}/labels.pdf")
            ->assertOk()
            ->getContent(),
    );
    expect(preg_replace('/\s+/', ' ', $sheet['text']))
        ->toContain('Helianthus Annuus Seed Oil')
        ->and($sheet['codes'])
        ->toBe(array_fill(0, 3, url('/h/'.$this->house->uid."/making/{$made['id']}")));
    // One that is gone needs none; a clash is shown, and what no label has is refused.
    $this->atHouse('POST', "{$path}/tins", ['tin' => 2, 'how' => 'used'])->assertOk();
    expect($this->atHouse('GET', "{$path}/label")->json('bottles'))->toBe(2);
    $set = ['version' => 1, 'size' => 'a4-3x7', 'start' => 1, 'names' => 'cook', 'fields' => ['title'], 'words' => ''];
    $this->atHouse('PUT', "{$path}/label", $set)->assertStatus(409);
    $this->atHouse('PUT', "{$path}/label", ['fields' => ['price']] + $set)->assertStatus(422);
});

it('writes down for how much a tin was sold as it is typed, and never for nothing instead', function () {
    $this->house->forceFill(['currency' => 'GBP'])->save();
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]]])->assertOk();
    foreach (['£4 each', 'a crown', '€4'] as $price) {
        $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'sold', 'price' => $price])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.field', 'price');
    }
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'given', 'price' => '4'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'price');
    $sold = fn (int $tin, mixed $price): ?string => $this->atHouse('POST', "{$path}/tins", [
        'tin' => $tin,
        'how' => 'sold',
        'price' => $price,
    ])
        ->assertOk()
        ->json('tins.'.($tin - 1).'.price_text');
    expect($sold(1, '£4.50'))->toBe('£4.50')->and($sold(2, '4,50'))->toBe('£4.50')->and($sold(3, null))->toBeNull();
});

it('gives the year’s account of what was made and where it went, and a card to stand by the pot', function () {
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 2], ['ml' => 15, 'count' => 1]]])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'sold', 'to' => '=fair', 'price' => 6.5])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 2, 'how' => 'given', 'to' => 'the neighbour'])->assertOk();
    $read = fn (string $csv): array => array_map(fn (string $line) => str_getcsv($line, escape: ''), explode("\n", trim($csv)));
    $csv = $read($this->atHouse('GET', '/account.csv?year=2026')->assertOk()->streamedContent());
    $rows = array_map(fn (array $row) => array_combine($csv[0], $row), array_slice($csv, 1));
    $of = fn (string $code, string $ml): array => array_values(
        array_filter($rows, fn ($r) => $r['code'] === $code && $r['size_ml'] === $ml),
    )[0];
    expect(array_intersect_key($of('P26-001', '30'), array_flip(['kind', 'made', 'here', 'sold', 'given', 'income', 'went_to'])))
        ->toBe([
            'kind' => 'product',
            'made' => '2',
            'here' => '0',
            'given' => '1',
            'sold' => '1',
            'income' => '6.5',
            'went_to' => "'=fair; the neighbour",
        ])
        ->and($of('P26-001', '15')['here'])
        ->toBe('1')
        ->and($of('26-001', '100')['kind'])
        ->toBe('oil')
        ->and($of('26-001', '100')['made'])
        ->toBe('2');
    expect($read($this->atHouse('GET', '/account.csv?year=2020')->streamedContent()))->toHaveCount(1);
    $this->atHouse('GET', '/account.csv?year=soon')->assertStatus(422);
    $card = new Tests\PrintedPage(
        $this->atHouse('GET', "{$path}/card.pdf")
            ->assertOk()
            ->getContent(),
    );
    expect($card['text'])->toContain('Calendula salve')->toContain('P26-001')->toContain('Beeswax');
});

it('finds what is wrong with a product by its own records and those of its oil, and writes it down', function () {
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $found = $this->atHouse('POST', "{$path}/faults", ['signs' => ['soft']])
        ->assertOk()
        ->json();
    expect($found['causes'][0]['id'])
        ->toBe('too-little-wax')
        ->and($found['causes'][0]['for'])
        ->toContain('It was not tried on a cold spoon.');
    foreach ([[], ['glowing'], 'soft'] as $signs) {
        $this->atHouse('POST', "{$path}/faults/note", ['signs' => $signs])->assertStatus(422);
    }
    $noted = $this->atHouse('POST', "{$path}/faults/note", ['signs' => ['grainy', 'pitted']])
        ->assertOk()
        ->json('entries.0');
    expect($noted['kind'])->toBe('fault')->and($noted['title'])->toStartWith('Seen: ')->toContain('grainy')->toContain('Most likely ');
    $signs = collect($this->atHouse('GET', '/faults')->json('signs'))->filter(fn (array $sign) => in_array('product', $sign['of'], true));
    expect($signs->pluck('id')->all())->toBe(['fur', 'off', 'rancid', 'soft', 'hard', 'grainy', 'sweating', 'layered', 'pitted']);
});
