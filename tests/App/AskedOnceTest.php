<?php

use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\Making;
use App\Models\OwnThing;
use App\Models\Recipe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use App\Pages\Almanac\AlmanacPresenter;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Routing\Route as Way;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/*
 * Every answer of the demo house that is only read, of things in each of their states: nothing is asked of the database twice for it.
 * What a page asks again for each of its rows, or for each way out that it tries, is found here. A trace walks step by step and may
 * come by a thing again: how often it asks is held where it is tested.
 */

/** What an address wants to know beside its path. */
const ASKED_WITH = [
    'oils' => '?purpose=salve',
    'find' => '?q=cal',
    'herbs' => '?q=cal',
    'yields/one' => '?form=flower-heads&way=squeezed',
    'solvents' => '?herb=calendula&use=salve',
];

/** The house prints on sheets, has no picture, moves nowhere and has entered nothing of its own: there is none of these. */
const NOT_THERE = [
    '/batches/{batch}/labels.png',
    '/batches/{batch}/photos/{photo}',
    '/boils/{boil}/labels.png',
    '/makings/{making}/labels.png',
    '/own/{own}',
    '/transfers/{transfer}/file',
];

/**
 * Of each kind of thing one in each of its states.
 *
 * @return array<string, list<list<string>>> by what an address calls it, or its two
 */
function thingsInEachState(): array
{
    $of = function (string $model, string $state): array {
        $all = $model::query()->orderBy('id')->get();
        $first = $all->unique(fn (Model $one) => json_encode($one->getAttribute($state)));

        return array_values($first->map(fn (Model $one) => [(string) $one->getRouteKey()])->all());
    };

    $almanac = [];
    foreach (AlmanacPresenter::KINDS as $kind) {
        foreach (array_slice(app(AlmanacPresenter::class)->list($kind), 0, 2) as $entry) {
            $almanac[] = [$kind, $entry->key];
        }
    }

    return [
        'batch' => $of(Batch::class, 'stage'),
        'making' => $of(Making::class, 'stage'),
        'boil' => $of(Boil::class, 'stage'),
        'lot' => $of(Lot::class, 'kind'),
        'session' => $of(StoveSession::class, 'state'),
        'recipe' => $of(Recipe::class, 'name'),
        'own' => $of(OwnThing::class, 'kind'),
        'kind key' => $almanac,
        'number' => [['1']],
    ];
}

it('asks the database nothing twice for one answer', function () {
    $house = $this->skerryHouse();
    $this->actingAs($house->memberships()->firstOrFail()->user);
    $things = app(CurrentHouse::class)->within($house, thingsInEachState(...));
    $ways = array_filter(
        Route::getRoutes()->getRoutes(),
        fn (Way $way) => in_array('GET', $way->methods(), true) && str_starts_with($way->uri(), 'api/houses/{house}'),
    );
    $twice = $answered = [];
    foreach ($ways as $way) {
        $path = substr($way->uri(), strlen('api/houses/{house}'));
        $of = array_values(array_diff($way->parameterNames(), ['house']));
        if (str_contains($path, '/trace')) {
            continue;
        }
        $answered[$path] = false;
        foreach ($of === [] ? [[]] : $things[implode(' ', $of)] ?? [] as $thing) {
            $asked = str_replace(array_map(fn (string $name) => "{{$name}}", $of), $thing, $path).(ASKED_WITH[ltrim($path, '/')] ?? '');
            app(CurrentHouse::class)->leave();
            DB::enableQueryLog();
            DB::flushQueryLog();
            $answered[$path] = $this->getJson("/api/houses/{$house->uid}{$asked}")->isOk() || $answered[$path];
            $queries = array_map(fn (array $each) => $each['query'].' '.json_encode($each['bindings']), DB::getQueryLog());
            $twice[$path] = [
                ...$twice[$path] ?? [],
                ...array_keys(array_filter(array_count_values($queries), fn (int $times) => $times > 1)),
            ];
        }
    }
    expect(array_filter($twice))
        ->toBe([])
        ->and(array_keys($answered, false, true))
        ->toEqualCanonicalizing(NOT_THERE)
        ->and(count($answered))
        ->toBeGreaterThan(50);
});
