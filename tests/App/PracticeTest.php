<?php

use Illuminate\Support\Facades\DB;

it('gives a made-up jar and judges what is said of it, and keeps nothing', function () {
    $rows = fn (): array => array_map(fn (string $table) => DB::table($table)->count(), [
        'batches',
        'log_entries',
        'lots',
        'makings',
        'boils',
        'security_events',
    ]);
    $before = $rows();
    $jar = $this->atHouse('GET', '/practice/1')->assertOk()->json();
    expect([$jar['jar'], $jar['of'], $jar['next'], $jar['name']])
        ->toBe([1, 60, 2, 'Marshmallow root in sunflower oil'])
        ->and(array_column($jar['tasks'], 'unit', 'id'))
        ->toBe([
            'herb' => 'g',
            'oil' => 'g',
            'jar' => '',
            'warmth' => '°C',
            'hours' => 'h',
            'strained' => 'mL',
            'wrong' => '',
            'kitchen' => '',
            'salve' => 'g',
            'until' => '',
            'start' => '',
        ])
        ->and(array_column(array_column($jar['tasks'], null, 'id')['hours']['readings'], 'warmth', 'at'))
        ->toMatchArray(['18:00' => '21 °C', '19:30' => '50 °C', '22:30' => '29 °C']);
    $said = $this->atHouse('POST', '/practice/1/herb', ['answer' => ' 60 g '])
        ->assertOk()
        ->json();
    expect([$said['verdict'], $said['is'], $said['slip']])
        ->toBe(['right', '60 g of herb.', ''])
        ->and(implode(' ', array_column($said['why'], 'says')))
        ->toContain('300 mL of oil at 1:5')
        ->not->toContain('You chose');
    $this->atHouse('POST', '/practice/1/wrong', ['answer' => 'keep'])
        ->assertOk()
        ->assertJsonPath('verdict', 'wrong')
        ->assertJsonPath('why.0.source', '');
    expect($this->atHouse('GET', '/practice/60')->json('next'))
        ->toBe(1)
        ->and($this->atHouse('GET', '/practice')->json())
        ->toBe($jar)
        ->and($rows())
        ->toBe($before);
});

it('is in the cook’s own degrees', function () {
    $this->keeper->update(['prefs' => ['temperature' => 'f', 'amounts' => 'kitchen']]);
    $jar = $this->atHouse('GET', '/practice/1')->json();
    expect(array_column($jar['tasks'], 'unit', 'id')['warmth'])->toBe('°F');
    $this->atHouse('POST', '/practice/1/warmth', ['answer' => '120'])
        ->assertOk()
        ->assertJsonPath('verdict', 'right')
        ->assertJsonPath('is', 'About 120 °F, and never over 140 °F.');
    // The oil is weighed at 20 °C.
    $why = $this->atHouse('POST', '/practice/1/oil', ['answer' => '276 g'])->json('why.0.says');
    expect($why)->toContain('68 °F')->not->toContain('°C');
});

it('says what it cannot read at its field, and what there is not', function () {
    $fault = fn (mixed $answer) => $this->atHouse('POST', '/practice/1/herb', ['answer' => $answer])
        ->assertStatus(422)
        ->json('faults.0.field');
    expect([$fault('a handful'), $fault(''), $fault(['60 g']), $fault(str_repeat('6', 81))])->toBe(array_fill(0, 4, 'answer'));
    $this->atHouse('POST', '/practice/1/jar', ['answer' => 'the blue one'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.sentence', 'Choose one of those that are offered.');
    foreach (
        ['/practice/0', '/practice/61', '/practice/9999', '/practice/one', '/practice/1x', '/practice/-1', '/practice/99999999999'] as $none
    ) {
        $this->atHouse('GET', $none)->assertStatus(404);
    }
    $this->atHouse('POST', '/practice/1/stir', ['answer' => '60 g'])->assertStatus(404);
    $this->atHouse('POST', '/practice/99/herb', ['answer' => '60 g'])->assertStatus(404);
});
