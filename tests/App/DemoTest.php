<?php

use App\Demo\SkerryHouse;
use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Texts;

it('lays Skerry House true for whatever day it is', function (string $now) {
    Carbon::setTestNow($now);
    config(['kettle.demo' => true]);
    DB::table('houses')->where('is_demo', true)->delete();
    expect(Artisan::call('kettle:demo'))->toBe(0);
    $house = SkerryHouse::find();
    app(CurrentHouse::class)->within($house, function () {
        foreach (['log_entries', 'making_entries', 'boil_entries'] as $book) {
            expect(DB::table($book)->where('happened_at', '>', Carbon::now())->count())->toBe(0, $book);
        }
        expect(
            Batch::query()
                ->where('stage', 'steeping')
                ->where('strain_at', '<', Carbon::now()->subWeek())
                ->count(),
        )
            ->toBe(1)
            ->and(Batch::query()->pluck('stage')->map->value->unique()->sort()->values()->all())
            ->toBe(['bottled', 'discarded', 'planned', 'settling', 'steeping']);
    });
    $this->postJson('/api/demo')->assertOk()->assertJsonPath('houses.0.name', 'Skerry House');
    $today = $this->getJson("/api/houses/{$house->uid}/today")->assertOk();
    expect($today->json('headline'))->toContain('cannot wait');
    $another = ['name' => 'North End', 'measures' => 'metric', 'time_zone' => 'Europe/London'];
    $this->postJson('/api/houses', $another, ['Idempotency-Key' => 'another-house'])->assertOk();
    // Again the same day it is left; on a later day it is laid anew, unless somebody wrote in it.
    Artisan::call('kettle:demo');
    expect(SkerryHouse::find()->uid)->toBe($house->uid);
    Carbon::setTestNow(Carbon::parse($now)->addDays(3));
    Artisan::call('kettle:demo');
    expect(SkerryHouse::find()->uid)->not->toBe($house->uid);
    // Whoever looks around enters it, though another house was begun before this one.
    $houses = $this->postJson('/api/demo')->assertOk()->json('houses');
    expect(array_column($houses, 'name'))->toBe(['Skerry House', 'North End']);
})->with(['2026-11-24T10:10:00Z', '2027-03-28T08:00:00Z', '2028-02-29T21:00:00Z', '2026-11-24T00:06:00Z']);

it('leaves a demo that somebody has written in', function () {
    DB::table('houses')->where('is_demo', true)->delete();
    Artisan::call('kettle:demo');
    $house = SkerryHouse::find();
    Carbon::setTestNow(Carbon::now()->addDays(2));
    app(CurrentHouse::class)->within($house, fn () => app(App\Actions\Batches\AddNote::class)(Batch::query()->firstOrFail(), 'mine', null));
    Artisan::call('kettle:demo');
    expect(SkerryHouse::find()->uid)->toBe($house->uid);
});

it('sweeps up old keys and links', function () {
    DB::table('written_keys')->insert([
        'user_id' => $this->keeper->id,
        'key' => 'old-key-1',
        'request_hash' => str_repeat('0', 64),
        'created_at' => now()->subDays(17),
    ]);
    DB::table('written_keys')->insert([
        'user_id' => $this->keeper->id,
        'key' => 'new-key-1',
        'request_hash' => str_repeat('0', 64),
        'created_at' => now(),
    ]);
    app()->call([new App\Jobs\SweepUp(), 'handle']);
    expect(DB::table('written_keys')->pluck('key')->all())->toBe(['new-key-1']);
});

it('keeps no sentence of its own in the database: only codes, numbers, and what people called or wrote', function () {
    Carbon::setTestNow('2026-11-24 09:00:00');
    config(['kettle.demo' => true]);
    DB::table('houses')->where('is_demo', true)->delete();
    Artisan::call('kettle:demo');
    $house = DB::table('houses')->where('is_demo', true)->value('id');
    // Written out by hand: the columns that hold anything put together, and the keys in them that are people's own words.
    $columns = [
        'batches' => ['herbs', 'oils', 'plan', 'shelf', 'diary', 'purpose', 'stage'],
        'log_entries' => ['kind', 'data'],
        'lots' => ['verdict', 'got_how', 'form', 'state'],
        'lot_moves' => ['kind'],
        'lot_checks' => ['verdict', 'says', 'answers'],
        'stove_sessions' => ['band', 'state'],
        'tasks' => ['key', 'step', 'place'],
        'bottles' => ['state'],
        'makings' => ['plan', 'plants', 'stage', 'verdicts'],
        'making_entries' => ['kind', 'data'],
        'tins' => ['state'],
    ];
    // The verdict “as expected” is a code with a space in it.
    $theirs =
        '/(^|\.)(called|jar|cooker|cooker_name|setting|name|it|typed|to|where|confirmed|inci|fragrance|latin|allergens|'.
        'uptake_key|verdict)\b[^:]*: /';
    $found = [];
    $seen = 0;
    foreach ($columns as $table => $names) {
        foreach (DB::table($table)->where('house_id', $house)->get($names) as $row) {
            foreach ((array) $row as $column => $value) {
                $seen++;
                $tree = is_string($value) ? json_decode($value, true) ?? $value : $value;
                foreach (Texts::of($tree, $column) as $text) {
                    if (str_contains(explode(': ', $text, 2)[1], ' ') && preg_match($theirs, $text) !== 1) {
                        $found["{$table}.{$text}"] = true;
                    }
                }
            }
        }
    }
    $versions = DB::table('recipe_versions')->join('recipes', 'recipes.id', 'recipe_id')->where('recipes.house_id', $house)->pluck('says');
    expect(array_keys($found))
        ->toBe([])
        ->and($seen)
        ->toBeGreaterThan(300)
        ->and($versions->every(fn (string $says) => str_starts_with($says, '{"say":"recipe.makes"')))
        ->toBeTrue();
});
