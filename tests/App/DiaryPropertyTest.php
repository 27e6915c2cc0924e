<?php

use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\StoveJar;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Diary\Stage;
use Kettle\Time\Interval;
use Kettle\Vessel\Packing;
use Kettle\Vessel\WaterBath;

require_once __DIR__.'/../Pots.php';

/**
 * What is wrong with the diary as the database has it, asked without the diary's own code.
 *
 * @return list<string>
 */
function wrongInTheDiary(Tests\AppCase $test): array
{
    return app(CurrentHouse::class)->within($test->house, function (): array {
        $availability = app(KitchenFactory::class)->availability();
        $wrong = [];
        $runs = [];
        foreach (
            Batch::query()
                ->whereIn('stage', [Stage::Planned, Stage::Steeping])
                ->whereNotNull('diary')
                ->get() as $batch
        ) {
            $slots = $batch->diary->slots;
            $cooker = Cooker::withTrashed()->where('uid', $batch->diary->cooker)->first();
            foreach ($slots as $slot) {
                [$from, $to] = [app(KitchenFactory::class)->local($slot->from), app(KitchenFactory::class)->local($slot->to)];
                $by = array_filter($availability->on($from), fn (Interval $while) => $from >= $while->from && $to <= $while->to);
                $by === [] && ($wrong[] = "{$batch->code} is warm from {$from->format('d H:i')} with nobody by");
                $runs[$batch->diary->cooker][] = [
                    'batch' => $batch,
                    'from' => $from,
                    'to' => $to,
                    'target' => $batch->plan->method->targetC,
                    'width' => $batch->plan->jar->diameterMm + 2 * WaterBath::WALL_MM,
                    'count' => $batch->plan->jar->count,
                ];
            }
            $cooker !== null &&
                $cooker->trashed() &&
                StoveJar::query()->where('batch_id', $batch->id)->whereNull('out_at')->doesntExist() &&
                ($wrong[] = "{$batch->code} is kept a cooker that is gone");
            // The open task stands where the diary keeps it.
            $on = $batch->tasks()->where('step', 'warm_on')->orderBy('due_at')->first();
            $slots !== [] &&
                $on !== null &&
                abs($on->due_at->getTimestamp() - $slots[0]->from->getTimestamp()) > 60 &&
                ($wrong[] =
                    "{$batch->code}: its task is not where its keeping is: ".
                    json_encode([
                        $on->key,
                        $on->due_at,
                        $slots,
                        $batch
                            ->entries()
                            ->orderBy('id')
                            ->get(['kind', 'data', 'happened_at']),
                    ]));
        }
        foreach ($runs as $uid => $slots) {
            $cooker = Cooker::withTrashed()->where('uid', $uid)->firstOrFail()->core();
            foreach ($slots as $one) {
                $with = array_filter($slots, fn (array $other) => $other['from'] < $one['to'] && $one['from'] < $other['to']);
                count(array_unique(array_column($with, 'target'))) > 1 &&
                    ($wrong[] = "{$one['batch']->code} shares its water with another warmth");
                $widths = array_merge(
                    ...array_map(fn (array $each) => array_fill(0, (int) $each['count'], (float) $each['width']), array_values($with)),
                );
                Packing::place($cooker, $widths) === null && ($wrong[] = "{$uid} holds too many at {$one['from']->format('d H:i')}");
            }
        }

        return $wrong;
    });
}

it('holds whatever is done to the house, in any order', function (int $seed) {
    mt_srand($seed);
    $pick = fn (array $from) => $from[mt_rand(0, count($from) - 1)];
    $herbs = ['self-heal', 'calendula', 'marshmallow-root', 'yarrow'];
    $batches = [];
    $absences = [];
    for ($step = 0; $step < 16; $step++) {
        $what = $pick(['batch', 'batch', 'batch', 'away', 'home', 'later', 'done', 'done', 'cooker', 'cooker_off', 'wait']);
        $batch = $batches === [] ? null : $pick($batches);
        match (true) {
            $what === 'batch' || $batch === null => ($batches[] = $this->atHouse('POST', '/batches', [
                'wish' => [
                    'herb' => ['id' => $pick($herbs)],
                    'oils' => ['sunflower'],
                    'method' => 'slow-cooker',
                    'school' => $pick(['usual', 'usual', 'gentle', 'hot', 'woody']),
                    'jar' => $this->jarOf((float) $pick([260, 405, 505]))->uid,
                ],
            ])
                ->assertOk()
                ->json('id')),
            $what === 'away' => ($absences[] = $this->atHouse('POST', '/absences', [
                'from' => Carbon::now()
                    ->addDays($day = mt_rand(0, 8))
                    ->format('Y-m-d'),
                'to' => Carbon::now()
                    ->addDays($day + mt_rand(0, 3))
                    ->format('Y-m-d').$pick(['', 'T15:30']),
            ])->json('absences.0.id')),
            $what === 'home' => $absences !== [] && $this->atHouse('DELETE', '/absences/'.array_pop($absences)),
            $what === 'later' => $this->atHouse('POST', "/batches/{$batch}/tasks", [
                'task' => 'next_warm_on',
                'outcome' => 'later',
                'until' => Carbon::now()->addDays(mt_rand(0, 6))->format('Y-m-d').'T'.$pick(['08:00', '13:30', '20:00']),
            ]),
            $what === 'cooker' => $this->atHouse('POST', '/cookers', [
                'called' => "another {$step}",
                'shape' => $pick(['round', 'oval']),
                'length' => $pick(['210 mm', '300 mm']),
                'width' => '210 mm',
                'height' => '140 mm',
                'method' => 'slow-cooker',
            ])->assertOk(),
            $what === 'cooker_off' => $this->atHouse(
                'DELETE',
                '/cookers/'.$pick($this->atHouse('GET', '/stove')->json('cookers'))['id'] ?? 'x',
            ),
            $what === 'wait' => Carbon::setTestNow(Carbon::now()->addMinutes(mt_rand(30, 900))),
            default => $this->atHouse('POST', "/batches/{$batch}/tasks", [
                'task' => collect($this->atHouse('GET', "/batches/{$batch}")->json('tasks'))->firstWhere('open', true)['key'] ?? 'fill',
                'outcome' => 'done',
            ]),
        };
        expect(wrongInTheDiary($this))->toBe([], "seed {$seed}, step {$step}: {$what}");
        if (count($this->atHouse('GET', '/stove')->json('cookers')) === 0) {
            $this->atHouse('POST', '/cookers', [
                'called' => 'the last',
                'shape' => 'round',
                'length' => '210 mm',
                'height' => '130 mm',
                'method' => 'slow-cooker',
            ])->assertOk();
        }
    }
})->with([[1], [2], [3], [4], [5]]);

it('asks the database no oftener for each batch it places', function () {
    $queries = function (): int {
        Illuminate\Support\Facades\DB::enableQueryLog();
        Illuminate\Support\Facades\DB::flushQueryLog();
        app(CurrentHouse::class)->within($this->house, fn () => app(App\Actions\Stove\PlanDiary::class)());

        return count(Illuminate\Support\Facades\DB::getQueryLog());
    };
    $this->batch(['method' => 'slow-cooker']);
    $few = $queries();
    foreach (range(1, 6) as $n) {
        $this->batch(['method' => 'slow-cooker', 'herb' => ['id' => 'calendula']]);
    }
    // Nothing moves, so nothing is written: only the reading remains.
    expect($queries())->toBe($few);
});

it('takes the readings of a log in any pieces and order, doubled as often, to the same hours', function (int $seed) {
    mt_srand($seed);
    [$probe, $key] = aSender($this);
    $pot = begun($this, [warmBatch($this)], ['watch' => $probe])['id'];
    $start = Carbon::now()->getTimestamp();
    $log = [];
    $celsius = 40.0;
    for ($at = 0; $at < 9000; $at += mt_rand(10, 400)) {
        $celsius = max(20, min(66, $celsius + mt_rand(-20, 24) / 10));
        $log[] = ['at' => $start + $at, 'c' => round($celsius, 1)];
    }
    Carbon::setTestNow(Carbon::now()->addHours(3));
    $pieces = array_chunk($log, mt_rand(3, 12));
    $pieces = [...$pieces, ...array_slice($pieces, 0, 3)];
    shuffle($pieces);
    $taken = 0;
    foreach ($pieces as $piece) {
        shuffle($piece);
        $taken += sent($this, $key, $piece)->assertOk()->json('taken');
    }
    $whole = Kettle\Warmth\WarmHours::over(array_map(fn (array $r) => [$r['at'], $r['c']], $log), Kettle\Warmth\Band::about(49, 60));
    $kept = App\Models\StoveProbe::query()->firstOrFail()->gathered;
    expect($taken)
        ->toBe(count($log))
        ->and($kept['count'])
        ->toBe(count($log))
        ->and($kept['hours'])
        ->toEqualWithDelta($whole->hours(), 1e-9)
        ->and($kept['over_s'])
        ->toEqualWithDelta($whole->minutesOver() * 60, 1e-6)
        ->and($kept['peak'])
        ->toEqual($whole->peak());
    $this->atHouse('GET', "/stove/{$pot}")->assertOk();
})->with([[11], [12], [13]]);
