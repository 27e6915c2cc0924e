<?php

/* What the tests of the stove begin with: jars that are filled, pots that are on, thermometers that send. */

use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;

/** @param  array<string, mixed>  $more of the wish */
function warmBatch(Tests\AppCase $test, array $more = []): Batch
{
    $batch = $test->batch(['method' => 'slow-cooker', 'school' => 'usual', 'jar' => $test->jarOf(505)->uid, ...$more]);
    $test->fill($batch);

    return $batch;
}

/** @return array<string, mixed> the pot just begun */
function begun(Tests\AppCase $test, array $batches, array $more = []): array
{
    $cooker = collect($test->atHouse('GET', '/stove')->json('cookers'))->first(fn ($c) => in_array('slow-cooker', $c['methods'], true));

    return $test
        ->atHouse('POST', '/stove', [
            'cooker' => $cooker['id'],
            'setting' => 'Warm',
            'batches' => array_map(fn (Batch $b) => $b->uid, $batches),
            'watch' => 'hand',
            ...$more,
        ])
        ->assertOk()
        ->json();
}

/** @return array{string, string} a sender's id and key */
function aSender(Tests\AppCase $test, string $called = 'the wire'): array
{
    $made = $test
        ->atHouse('POST', '/probes', ['called' => $called, 'kind' => 'sends'])
        ->assertOk()
        ->json();

    return [$made['id'], $made['key']];
}

function sent(Tests\AppCase $test, string $key, array $readings): Illuminate\Testing\TestResponse
{
    app(CurrentHouse::class)->leave();
    auth()->logout();

    return $test->withHeaders(['Authorization' => "Bearer {$key}"])->json('POST', '/api/readings', ['readings' => $readings]);
}

/** A pot with a sender in it, and what it sent each minute up to now. */
function sending(Tests\AppCase $test, int $minutes, float $celsius = 49.0): array
{
    [$probe, $key] = aSender($test);
    $batch = warmBatch($test);
    $pot = begun($test, [$batch], ['watch' => $probe]);
    $start = Carbon::now()->getTimestamp();
    Carbon::setTestNow(Carbon::now()->addMinutes($minutes));
    sent($test, $key, array_map(fn (int $i) => ['at' => $start + $i * 60, 'c' => $celsius], range(0, $minutes)))->assertOk();

    return [$pot['id'], $key, $batch];
}

function tend(Tests\AppCase $test, string $pot, string $what, ?string $with = null, string $confirmed = ''): Illuminate\Testing\TestResponse
{
    return $test->atHouse('POST', "/stove/{$pot}/tend", ['what' => $what, 'with' => $with, 'confirmed' => $confirmed]);
}
