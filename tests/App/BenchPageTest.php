<?php

use App\Models\Tenancy\Role;

/** Text of a PDF as poppler reads it. */
function pdfText(string $bytes): string
{
    $file = tempnam(sys_get_temp_dir(), 'card');
    file_put_contents($file, $bytes);
    $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
    unlink($file);

    return (string) preg_replace('/\s+/', ' ', $text);
}

it('sets every method side by side, for a wish that its own method refuses too', function () {
    expect(
        count(
            $this->atHouse('POST', '/ways', ['wish' => $this->wish()])
                ->assertOk()
                ->json('methods'),
        ),
    )->toBe(8);
    $full = $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '200 g'], 'jar' => $this->jarOf(505)->uid]);
    $this->atHouse('POST', '/reckon', ['wish' => $full])->assertStatus(422);
    $refused = collect(
        $this->atHouse('POST', '/ways', ['wish' => $full])
            ->assertOk()
            ->json('methods'),
    )->pluck('refused', 'id');
    expect($refused['cold'])->toContain('to the brim')->and($refused['gentle-pan'])->toContain('dried herb');
    $this->atHouse('POST', '/ways', ['wish' => ['herb' => ['id' => 'nightshade of the moon'], 'oils' => []]])->assertStatus(422);
    $this->atHouse('POST', '/ways', [])->assertStatus(422);
});

it('answers a wish with what it is', function () {
    $plan = $this->atHouse('POST', '/reckon', ['wish' => $this->wish()])
        ->assertOk()
        ->assertJsonMissingPath('methods');
    expect($plan->json('stores.0.kept'))->toBeFalse()->and($plan->json('steps.0.says'))->toContain('bone-dry');
});

it('answers a refused wish with the ways out', function () {
    $answer = $this->atHouse('POST', '/reckon', [
        'wish' => $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '200 g'], 'jar' => $this->jarOf(505)->uid]),
    ])->assertStatus(422);
    expect(array_column($answer->json('faults.0.ways'), 'id'))->toBe(['larger-jar', 'several-jars', 'fill-this-jar']);
    $way = $answer->json('faults.0.ways.1.change');
    $this->atHouse('POST', '/reckon', ['wish' => [...$this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '200 g']]), ...$way]])
        ->assertOk()
        ->assertJsonPath('jar.count', 3);
});

it('does not keep the comparison with a batch', function () {
    $batch = $this->batch();
    expect($batch->plan->document)->not->toHaveKey('methods')->toHaveKey('steps');
});

it('sets oils in order, with what is in Stores', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '500 mL', 'price' => '20'],
    ])->assertOk();
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '500 mL', 'price' => '30'],
    ])->assertOk();
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'best_before' => '2026-01-01'],
    ])->assertOk();
    $oils = collect($this->atHouse('GET', '/oils?purpose=face')->assertOk()->json('oils'))->keyBy('id');
    expect($oils['jojoba']['stock_text'])
        ->toBe('1 L')
        ->and($oils['jojoba']['price_text'])
        ->toBe('5.00')
        ->and($oils['olive']['stock_text'])
        ->toBeNull()
        ->and($oils['coconut']['solid'])
        ->toBeTrue()
        ->and($oils['olive']['picture']['mono'])
        ->toEqual(76.0);
    $this->atHouse('GET', '/oils')->assertOk();
    $this->atHouse('GET', '/oils?purpose=engine')->assertStatus(422);
    $this->atHouse('GET', '/oils?purpose[]=face')->assertStatus(422);
});

it('minds the room of the house', function () {
    $house = $this->atHouse('GET', '')->json();
    $edit = array_intersect_key($house, array_flip(['name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml', 'version']));
    $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['oils' => ['coconut']])])->assertStatus(422);
    $this->atHouse('PATCH', '', [...$edit, 'room_c' => 27, 'currency' => 'GBP', 'things' => ['shelf', 'pot']])
        ->assertOk()
        ->assertJsonPath('room_c', 27)
        ->assertJsonPath('currency', 'GBP')
        ->assertJsonPath('things', ['shelf', 'pot']);
    $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['oils' => ['coconut']])])->assertOk();
    $ways = $this->atHouse('POST', '/ways', ['wish' => $this->wish(['oils' => ['coconut']])])->assertOk();
    expect(collect($ways->json('methods'))->firstWhere('id', 'slow-cooker')['missing'])->toBe(['a slow cooker', 'a kitchen thermometer']);
    foreach ([['room_c' => 90], ['currency' => 'pounds'], ['things' => 'all'], ['things' => [['x']]]] as $bad) {
        $this->atHouse('PATCH', '', [...$edit, 'version' => $edit['version'] + 1, ...$bad])->assertStatus(422);
    }
});

it('weighs what wilts', function () {
    $this->atHouse('POST', '/wilting', ['fresh' => '100 g', 'now' => '65 g', 'hours' => '10 h', 'form' => 'thin-leaf'])
        ->assertOk()
        ->assertJsonPath('verdict', 'ready')
        ->assertJsonPath('figures.dry_equivalent.text', '22 g');
    $this->atHouse('POST', '/wilting', ['fresh' => '100 g', 'now' => '120 g'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'now');
    foreach ([[], ['fresh' => '100 g'], ['fresh' => ['x'], 'now' => '1'], ['fresh' => '1e9', 'now' => '1']] as $bad) {
        $this->atHouse('POST', '/wilting', $bad)->assertStatus(422);
    }
    $this->atHouse('POST', '/wilting', ['fresh' => '100 g', 'now' => '90 g'], $this->member(Role::Reader))->assertOk();
});

it('prints the kitchen card from the plan', function () {
    $wish = $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'method' => 'slow-cooker']);
    $answer = $this->atHouse('POST', '/card.pdf', ['wish' => $wish])->assertOk();
    expect($answer->headers->get('Content-Type'))->toBe('application/pdf');
    $text = pdfText($answer->getContent());
    expect($text)
        ->toContain('Marshmallow root in sunflower oil')
        ->toContain('60 g')
        ->toContain('300 mL')
        ->toContain('Weigh 60 g')
        ->toContain('then keep the oil at about 49 °C for 12 h')
        ->toContain('Care. Keep the oil under 60 °C');
    $this->atHouse('POST', '/card.pdf', ['wish' => $this->wish(['ratio' => '1:1'])])->assertStatus(422);
});

it('shows the same card on the page as on paper, of a wish and of a batch', function () {
    $wish = $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'start' => '2026-11-26']);
    $card = $this->atHouse('POST', '/card', ['wish' => $wish])
        ->assertOk()
        ->json();
    expect($card['corner'])
        ->toBe('26 November 2026')
        ->and($card['amounts'])
        ->toBe([
            ['name' => 'marshmallow root, root, dried and cut', 'amount' => '60 g', 'also' => ''],
            ['name' => 'sunflower oil', 'amount' => '300 mL', 'also' => '276 g'],
        ]);
    $this->atHouse('POST', '/card', ['wish' => $this->wish(['ratio' => '1:1'])])->assertStatus(422);
    $text = preg_replace(
        '/\s+/',
        ' ',
        pdfText(
            $this->atHouse('POST', '/card.pdf', ['wish' => $wish])
                ->assertOk()
                ->getContent(),
        ),
    );
    foreach ([$card['corner'], '300 mL · 276 g', ...$card['steps']] as $line) {
        expect($text)->toContain($line);
    }
    $batch = $this->batch();
    $own = $this->atHouse('GET', "/batches/{$batch->uid}/card")
        ->assertOk()
        ->json();
    expect($own['corner'])->toBe($batch->code)->and($own['name'])->toBe($batch->name);
});

it('prints the card of a batch as it was planned', function () {
    $batch = $this->batch([
        'herb' => null,
        'herbs' => [['id' => 'calendula', 'amount' => '20 g'], ['id' => 'self-heal', 'amount' => '20 g']],
        'oils' => ['olive', 'jojoba'],
    ]);
    $text = pdfText(
        $this->atHouse('GET', "/batches/{$batch->uid}/card.pdf")
            ->assertOk()
            ->getContent(),
    );
    expect($text)->toContain($batch->code)->toContain('Calendula, flower heads')->toContain('Self-heal, thin leaf')->toContain('Strain on');
});

it('keeps the card on one page for the longest plan there is', function () {
    $wish = [
        'herbs' => array_map(fn (string $id) => ['id' => $id], ['calendula', 'self-heal', 'yarrow', 'sage', 'thyme', 'oregano']),
        'oils' => ['olive', 'sunflower', 'sesame', 'jojoba', 'castor', 'hazelnut'],
        'method' => 'slow-cooker',
        'purpose' => 'salve',
        'jar' => $this->jarOf(1980)->uid,
        'jars' => '2',
    ];
    $file = tempnam(sys_get_temp_dir(), 'card');
    file_put_contents(
        $file,
        $this->atHouse('POST', '/card.pdf', ['wish' => $wish])
            ->assertOk()
            ->getContent(),
    );
    expect((string) shell_exec('pdfinfo '.escapeshellarg($file)))->toMatch('/Pages:\s+1\b/');
    unlink($file);
});

it('reads a whole wish out of one sentence, keeps nothing, and says what it left out', function () {
    $read = $this->atHouse('POST', '/wishes/read', ['text' => 'a pint of calendula and a purple thing in olive, slow cooker'])
        ->assertOk()
        ->assertJsonPath('unread', ['purple thing'])
        ->assertJsonMissingPath('wish.herbs.0.amount')
        ->json('wish');
    $this->atHouse('POST', '/reckon', ['wish' => $read])->assertOk();
    $this->atHouse('POST', '/wishes/read', ['text' => 'hello'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'text');
    $this->atHouse('POST', '/wishes/read', ['text' => str_repeat('calendula ', 200)])->assertStatus(422);
    $this->atHouse('POST', '/wishes/read', [])->assertStatus(422);
});
