<?php

use App\Models\Batch;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use App\Pages\Batch\BatchPage;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

require_once dirname(__DIR__).'/Begun.php';
require_once dirname(__DIR__).'/Kept.php';
require_once dirname(__DIR__).'/Pressed.php';

// Beside the database of the tests: how a table is made cannot be undone with them.
beforeEach(function () {
    $this->spare = config()->string('database.connections.mariadb.database').'_older';
    DB::connection('mariadb')->getPdo();
    config(['database.connections.older' => ['database' => $this->spare] + config()->array('database.connections.mariadb')]);
    config(['database.connections.maker' => config()->array('database.connections.mariadb')]);
    DB::connection('maker')->statement("DROP DATABASE IF EXISTS {$this->spare}");
    DB::connection('maker')->statement("CREATE DATABASE {$this->spare}");
    $this->migrate = fn (array $files): int => Artisan::call('migrate', [
        '--database' => 'older',
        '--path' => $files,
        '--realpath' => true,
        '--force' => true,
    ]);
});

afterEach(function () {
    DB::setDefaultConnection('mariadb');
    DB::purge('older');
    DB::connection('maker')->statement("DROP DATABASE IF EXISTS {$this->spare}");
});

it('carries a house over from when sentences were stored, as they were said', function () {
    $batch = $this->batch();
    $told = $this->atHouse('GET', "/batches/{$batch->uid}")->json();
    $all = glob(database_path('migrations/*.php')) ?: [];
    $last = array_search(database_path('migrations/2026_11_26_000002_keep_sentences_as_data.php'), $all, true);
    expect($last)->toBeInt();
    ($this->migrate)(array_slice($all, 0, (int) $last));
    $older = DB::connection('older');
    // What a house has been asked since, it had not been asked then.
    $then = fn (string $table): array => array_flip(Schema::connection('older')->getColumnListing($table));
    foreach (['users' => [$this->keeper->id], 'houses' => [$this->house->id]] as $table => $ids) {
        $older
            ->table($table)
            ->insert(
                DB::table($table)
                    ->whereIn('id', $ids)
                    ->get()
                    ->map(fn (stdClass $row) => array_intersect_key((array) $row, $then($table)))
                    ->all(),
            );
    }
    $row = array_intersect_key((array) DB::table('batches')->find($batch->id), $then('batches'));
    $diary = [
        'slots' => [],
        'cooker' => null,
        'cooker_name' => null,
        'warm_up_min' => 5,
        'says' => 'There is no cooker for it.',
        'job' => [],
    ];
    $older
        ->table('batches')
        ->insert([
            ...$row,
            'name' => $told['name'],
            'herb_name' => $told['herb'],
            'oils_name' => 'sunflower oil',
            'plan' => json_encode($told['plan']),
            'shelf' => json_encode(
                ['method' => $told['plan']['method']['name'], 'seen' => 'herb stood out'] + json_decode($row['shelf'], true),
            ),
            'diary' => json_encode($diary),
        ]);
    $line = (array) DB::table('log_entries')->where('batch_id', $batch->id)->first();
    $older->table('log_entries')->insert(['data' => json_encode(['sentence' => $told['plan']['sentence_text']])] + $line);
    $older->table('diary_moves')->insert([
        'house_id' => $this->house->id,
        'batch_id' => $batch->id,
        'was_at' => Carbon::now(),
        'is_at' => Carbon::now(),
        'why' => 'because nobody is at home',
        'moved_at' => Carbon::now(),
    ]);

    ($this->migrate)([$all[$last]]);
    // Cut off and run again, it leaves alone what is carried over.
    $older->table('migrations')->where('migration', 'like', '%keep_sentences_as_data')->delete();
    $kept = $older->table('batches')->value('plan');
    ($this->migrate)([$all[$last]]);

    expect($older->table('batches')->value('plan'))
        ->toBe($kept)
        ->and(json_decode($kept, true)['steps'][0]['says'])
        ->toBe(['say' => 'as-it-stood', 'with' => ['words' => $told['plan']['steps'][0]['says']]])
        ->and(json_decode($kept, true)['figures']['herb_mass'])
        ->not->toHaveKey('text')
        ->and($older->table('diary_moves')->value('why'))
        ->toBe('{"say":"as-it-stood","with":{"words":"because nobody is at home"}}')
        ->and(Schema::connection('older')->hasColumn('batches', 'herb_name'))
        ->toBeFalse();
    DB::setDefaultConnection('older');
    app(CurrentHouse::class)->within(House::query()->sole(), function () use ($told) {
        $batch = Batch::query()->sole();
        $view = json_decode((string) json_encode(app(BatchPage::class)->of($batch)), true);
        expect($view['plan'])
            ->toEqual($told['plan'])
            ->and($view['name'])
            ->toBe($told['name'])
            ->and($view['entries'][0]['title'])
            ->toBe('Planned. '.$told['plan']['sentence_text'])
            ->and($batch->shelf->method)
            ->toBe($told['plan']['method']['id'])
            ->and($batch->diary?->says?->with)
            ->toBe(['words' => 'There is no cooker for it.']);
    });
});

it('counts and sums what a house has had, and until when its products are good', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'herb', 'material' => 'sage', 'called' => 'sage', 'amount' => '50 g'],
    ])->assertOk();
    [$made, $batch] = begunSalve();
    $this->atHouse('POST', "/makings/{$made['id']}/pour", ['tins' => [['ml' => 30, 'count' => 2]]])->assertOk();
    $this->atHouse('POST', "/batches/{$batch}/keep", ['place' => 'room', 'glass' => 'clear'])->assertOk();
    $this->atHouse('POST', bottledBatch().'/discard', ['reason' => 'smells of paint'])->assertOk();
    $all = glob(database_path('migrations/*.php')) ?: [];
    $at = (int) array_search(database_path('migrations/2026_11_28_000008_index_what_pages_ask.php'), $all, true);
    ($this->migrate)(array_slice($all, 0, $at));
    $older = DB::connection('older');
    Schema::connection('older')->disableForeignKeyConstraints();
    foreach (['houses', 'batches', 'lots', 'makings', 'making_batches', 'yields'] as $table) {
        $then = array_flip(Schema::connection('older')->getColumnListing($table));
        $rows = DB::table($table)->when(
            $table !== 'making_batches' && $table !== 'houses',
            fn ($q) => $q->where('house_id', $this->house->id),
        );
        $older->table($table)->insert($rows->get()->map(fn (stdClass $row) => array_intersect_key((array) $row, $then))->all());
    }
    $since = array_slice($all, $at);
    ($this->migrate)($since);
    DB::setDefaultConnection('older');
    expect(DB::table('yields')->count())
        ->toBe(1)
        ->and(DB::table('tallies')->count())
        ->toBeGreaterThan(2)
        ->and(DB::table('held_things')->count())
        ->toBeGreaterThan(0);
    expect(DB::table('makings')->value('good_until'))->toBeLessThan(DB::table('makings')->value('best_before'));
    expectKept();
    // And taken back, for a release that was a mistake.
    Artisan::call('migrate:rollback', [
        '--database' => 'older',
        '--path' => $since,
        '--realpath' => true,
        '--force' => true,
        '--step' => count($since),
    ]);
    expect(Schema::connection('older')->hasTable('tallies'))->toBeFalse();
    expect(Schema::connection('older')->hasColumn('lots', 'use_until'))->toBeFalse();
});
