<?php

use App\Actions\Batches\BatchProjector;
use App\Models\Batch;
use App\Models\House;
use App\Models\Lot;
use App\Models\Membership;
use App\Models\QuickReads;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Shelf;
use Kettle\Diary\Stage;

require_once dirname(__DIR__).'/Begun.php';
require_once dirname(__DIR__).'/Kept.php';
require_once dirname(__DIR__).'/Pressed.php';

it('keeps what batches of a form gave through whatever is written, undone and thrown away', function () {
    // Another house has one of the same form, and keeps it.
    $mine = $this->house;
    $this->house = $this->aHouse($this->keeper, 'Another');
    bottledBatch([], '118 mL', [50 => 2]);
    [$other, $this->house] = [$this->house, $mine];
    $sum = fn (): array => (array) DB::table('yield_sums')->where('house_id', $this->house->id)->sole();
    $first = bottledBatch([], '120 mL', [50 => 2]);
    $one = $sum();
    expect($one)->toMatchArray(['form' => 'root', 'batches' => 1]);
    $second = bottledBatch([], '115 mL', [50 => 2]);
    expect($sum()['batches'])->toBe(2);
    expectKept();
    // Thrown away for what it was, it is not learned from; the line undone, it is again.
    $this->atHouse('POST', "{$second}/discard", ['reason' => 'it spilled'])->assertOk();
    expect($sum())->toEqualWithDelta($one, 1e-9);
    $this->atHouse('POST', "{$second}/undo", ['entry' => $this->atHouse('GET', $second)->json('entries.0.id')])->assertOk();
    expect($sum()['batches'])->toBe(2);
    // What says nothing of it changes nothing; and neither does folding it anew, again and again.
    $this->atHouse('POST', "{$first}/notes", ['note' => 'smells of hay'])->assertOk();
    app(CurrentHouse::class)->within($this->house, function () {
        foreach ([...Batch::query()->get(), ...Batch::query()->get()] as $batch) {
            app(BatchProjector::class)->refresh($batch);
        }
    });
    expect($sum()['batches'])->toBe(2);
    expectKept();
    // None is left: neither is their sum.
    foreach ([$first, $second] as $each) {
        $this->atHouse('POST', "{$each}/discard", ['reason' => 'all of it'])->assertOk();
    }
    expect(DB::table('yield_sums')->where('house_id', $this->house->id)->count())->toBe(0);
    expect(DB::table('yield_sums')->where('house_id', $other->id)->value('batches'))->toBe(1);
    expectKept();
});

it('keeps until when a product is good as its oils change, are thrown away and are poured back', function () {
    [$made, $batch] = begunSalve();
    expectKept();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 2]]])->assertOk();
    $this->atHouse('POST', "/batches/{$batch}/keep", ['place' => 'room', 'glass' => 'clear'])->assertOk();
    expectKept();
    $kept = fn (): array => (array) DB::table('makings')
        ->where('uid', $made['id'])
        ->first(['good_until', 'oil_thrown', 'wrong_after']);
    $shorter = $kept();
    expect($shorter['good_until'])->toBeLessThan(DB::table('makings')->where('uid', $made['id'])->value('best_before'));
    $this->atHouse('POST', "/batches/{$batch}/discard", ['reason' => 'smells of paint'])->assertOk();
    expect($kept()['wrong_after'])->toBe('1000-01-01');
    expectKept();
    $this->atHouse('POST', "/batches/{$batch}/undo", [
        'entry' => $this->atHouse('GET', "/batches/{$batch}")->json('entries.0.id'),
    ])->assertOk();
    expect($kept())->toBe($shorter);
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'grained'])->assertOk();
    expectKept();
});

it('reads the products of an oil, and their oils, as they are now and not as they were when it began', function () {
    [, $batch] = begunSalve();
    DB::enableQueryLog();
    $this->atHouse('POST', "/batches/{$batch}/discard", ['reason' => 'smells of paint'])->assertOk();
    $asked = array_filter(array_column(DB::getQueryLog(), 'query'), fn (string $sql) => str_contains($sql, 'making_batches'));
    $of = fn (string $start) => array_filter($asked, fn (string $sql) => str_starts_with($sql, $start));
    foreach (['select `id`, `house_id`, `best_before`, `good_until`', 'select MIN(batches.best_before)'] as $start) {
        expect($of($start))->not->toBe([], $start)->each->toEndWith('for update');
    }
});

it('keeps them so in all of Skerry House', function () {
    $house = $this->skerryHouse()->id;
    expect(DB::table('yield_sums')->where('house_id', $house)->count())
        ->toBeGreaterThan(0)
        ->and(DB::table('makings')->where('house_id', $house)->whereNotNull('wrong_after')->count())
        ->toBeGreaterThan(0);
    expectKept();
});

it('reads each column of each row of Skerry House as Eloquent by itself does', function () {
    $house = $this->skerryHouse();
    $kinds = $models = [];
    foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
        $model = 'App\\Models\\'.basename($file, '.php');
        if (! in_array(QuickReads::class, class_uses_recursive($model), true)) {
            continue;
        }
        $rows = app(CurrentHouse::class)->within($house, fn () => $model::query()->limit(60)->get());
        foreach ($rows as $row) {
            $models[$model] = true;
            foreach (array_keys($row->getAttributes()) as $column) {
                [$quick, $again, $own] = [$row->getAttribute($column), $row->getAttribute($column), $row->getAttributeValue($column)];
                expect($again)->toEqual($quick, "{$model} {$column}");
                $kinds[get_debug_type($own)] = true;
                expect($quick)->toEqual($own, "{$model} {$column}");
                expect(get_debug_type($quick))->toBe(get_debug_type($own), "{$model} {$column}");
            }
        }
    }
    // And what is told of them once and kept.
    foreach (app(CurrentHouse::class)->within($house, fn () => Batch::query()->get()) as $batch) {
        foreach (['name', 'herb_name', 'oils_name'] as $told) {
            $own = app(CurrentHouse::class)->within($house, fn () => $batch->fresh()?->getAttributeValue($told));
            expect($batch->getAttribute($told))->toBe($own)->toBeString()->and($batch->getAttribute($told))->toBe($own);
        }
    }
    expect($models)->toHaveKeys([House::class, User::class, Membership::class, Batch::class]);
    expect($kinds)->toHaveKeys(['int', 'float', 'bool', 'string', 'null', 'array', Carbon::class, Stage::class, Shelf::class]);
});

it('reads as Eloquent does also what was set and is not kept yet', function () {
    $lot = new Lot(['best_before' => Carbon::parse('2026-11-24T15:00:00Z'), 'checked_at' => '2026-11-24T15:00:00Z', 'version' => '3']);
    foreach (['best_before', 'checked_at', 'version', 'price'] as $column) {
        expect($lot->getAttribute($column))->toEqual($lot->getAttributeValue($column), $column);
    }
    expect($lot->best_before?->format('H:i'))->toBe('00:00')->and($lot->version)->toBe(3);
});

it('counts of Stores what still holds something, as its list does', function () {
    foreach ([['calendula', 50], ['yarrow', 20], ['sage', 0]] as [$herb, $left]) {
        $lot = $this->atHouse('POST', '/lots', [
            'lot' => ['kind' => 'herb', 'material' => $herb, 'called' => $herb, 'amount' => '50 g'],
        ])
            ->assertOk()
            ->json('lot.id');
        DB::table('lots')
            ->where('uid', $lot)
            ->update(['left' => $left]);
    }
    expectKept();
    foreach (['kind=herb' => 2, 'kind=' => 2, 'kind=carrier' => 0, 'kind=herb&q=sag' => 0, 'kind=herb&used=1' => 3] as $asked => $many) {
        $page = $this->atHouse('GET', "/stores?{$asked}")
            ->assertOk()
            ->json();
        expect($page['total'])->toBe($many, $asked)->and($page['lots'])->toHaveCount($many, $asked);
    }
    // Of another kind, used up again, put away, and gone altogether.
    $herbs = fn () => DB::table('lots')->where('house_id', $this->house->id);
    foreach (
        [
            fn () => $herbs()
                ->where('material', 'yarrow')
                ->update(['kind' => 'addition']),
            fn () => $herbs()
                ->where('material', 'yarrow')
                ->update(['kind' => 'herb', 'left' => 0]),
            fn () => $herbs()
                ->where('material', 'sage')
                ->update(['left' => 1, 'deleted_at' => now()]),
            fn () => $herbs()
                ->where('material', 'sage')
                ->update(['deleted_at' => null]),
            // Called by a name of the house's own, by another, and of another state.
            fn () => $herbs()
                ->where('material', 'sage')
                ->update(['material' => '', 'called' => 'Nan’s leaf']),
            fn () => $herbs()
                ->where('called', 'Nan’s leaf')
                ->update(['called' => 'nan’s leaf']),
            fn () => $herbs()
                ->where('called', 'nan’s leaf')
                ->update(['state' => 'fresh']),
            fn () => $herbs()
                ->where('called', 'nan’s leaf')
                ->update(['material' => 'sage', 'called' => 'sage', 'state' => 'dried']),
            fn () => $herbs()->where('material', 'calendula')->delete(),
        ] as $change
    ) {
        $change();
        expectKept();
    }
    expect($this->atHouse('GET', '/stores?kind=herb')->json('lots.*.called'))->toBe(['sage']);
});
