<?php

use Kettle\Batch\FrozenPlan;
use Kettle\Infusion\Methods;
use Kettle\Infusion\OwnHours;
use Kettle\Infusion\Uptake;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/**
 * Hours and warmth of one's own. Temperatures and spans are those of the schools, common practice, no source; the table
 * is written out by hand from them.
 */
function ownHours(array $more): array
{
    return $more + ['herb' => ['id' => 'calendula'], 'oils' => ['olive']];
}

/** @return list<array<string, mixed>> */
function ownHoursFaults(array $more): array
{
    try {
        Support::plan(ownHours($more));
    } catch (WishException $refused) {
        return $refused->faults;
    }

    return [];
}

it('takes hours and warmth of one’s own in place of a school’s', function (
    array $wish,
    float $least,
    float $usual,
    float $most,
    ?float $at,
    ?float $ceiling,
) {
    $variant = Support::plan(ownHours($wish))->wish->variant;
    expect([$variant->id, $variant->leastH, $variant->usualH, $variant->mostH, $variant->targetC, $variant->ceilingC])->toBe([
        OwnHours::ID,
        $least,
        $usual,
        $most,
        $at,
        $ceiling,
    ]);
})->with([
    // A slow cooker at 38 °C for six to eight hours, and its ceiling that of the school at 38 °C.
    [['method' => 'slow-cooker', 'hours' => '6 to 8 h', 'warmth' => '38 C'], 6.0, 7.0, 8.0, 38.0, 40.0],
    [['method' => 'slow-cooker', 'hours' => '7'], 7.0, 7.0, 7.0, 49.0, 60.0],
    [['method' => 'slow-cooker', 'hours' => '3 h', 'school' => 'hot'], 3.0, 3.0, 3.0, 60.0, 71.0],
    [['method' => 'slow-cooker', 'warmth' => '45 C'], 6.0, 8.0, 12.0, 45.0, 55.0],
    // 54 is less than two degrees under 55: the next ceiling is 60.
    [['method' => 'slow-cooker', 'hours' => '90 min', 'warmth' => '54 °C'], 1.5, 1.5, 1.5, 54.0, 60.0],
    [['method' => 'cold', 'hours' => '3 to 5 weeks'], 504.0, 672.0, 840.0, null, null],
    [['method' => 'cold', 'hours' => '10 days'], 240.0, 240.0, 240.0, null, null],
]);

it('refuses what is not safe, or what cannot be, by the field', function (array $wish, string $field, string $says) {
    $faults = ownHoursFaults($wish);
    expect($faults[0]['field'])->toBe($field)->and($faults[0]['sentence'])->toContain($says);
})->with([
    [['method' => 'slow-cooker', 'warmth' => '90 C', 'hours' => '2 h'], 'warmth', '69 °C at the most'],
    [['method' => 'slow-cooker', 'warmth' => '70 C', 'hours' => '2 h'], 'warmth', '69 °C at the most'],
    [['method' => 'slow-cooker', 'warmth' => '20 C'], 'warmth', 'Under 30 °C'],
    // At 60 °C and over the hot school leaves it eight hours at the most; a thermometer's degree less is no way round it.
    [['method' => 'slow-cooker', 'warmth' => '65 C', 'hours' => '9 h'], 'hours', '8 h at the most'],
    [['method' => 'slow-cooker', 'warmth' => '60 C', 'hours' => '6 to 9 h'], 'hours', '8 h at the most'],
    [['method' => 'slow-cooker', 'warmth' => '49 C', 'hours' => '25 h'], 'hours', '24 h at the most'],
    // Warmer, the school's own hours may be too many.
    [['method' => 'slow-cooker', 'school' => 'gentle', 'warmth' => '60 C'], 'warmth', '8 h at the most'],
    [['method' => 'slow-cooker', 'hours' => '1 min'], 'hours', 'at the least'],
    [['method' => 'cold', 'hours' => '7'], 'hours', 'of what'],
    [['method' => 'cold', 'hours' => '7', 'school' => 'nothing'], 'school', 'no school called'],
    [['method' => 'cold', 'hours' => '12 h'], 'hours', 'at the least'],
    [['method' => 'cold', 'hours' => '40 weeks'], 'hours', '26 weeks at the most'],
    [['method' => 'cold', 'warmth' => '38 C'], 'warmth', 'Nothing holds a warmth'],
    [['method' => 'solar', 'hours' => 'a while'], 'hours', 'cannot be read'],
    [['method' => 'cold', 'stands' => '6 h'], 'stands', 'no heat'],
    [['method' => 'cold', 'cooled' => 'uncovered'], 'cooled', 'no heat'],
    [['method' => 'slow-cooker', 'stands' => '3 days'], 'stands', '24 h'],
    [['method' => 'slow-cooker', 'cooled' => 'quickly'], 'cooled', 'none of'],
    [['method' => 'slow-cooker', 'strained' => 'thrice'], 'strained', 'none of'],
]);

it('says when they are fewer or more than any school’s', function () {
    $ids = fn (array $wish) => array_map(fn (Note $note) => $note->id, Support::plan(ownHours($wish))->notes);
    expect($ids(['method' => 'slow-cooker', 'hours' => '7 h', 'warmth' => '38 C']))
        ->toContain('short-hours')
        ->and($ids(['method' => 'slow-cooker', 'hours' => '12 h', 'warmth' => '38 C']))
        ->not->toContain('short-hours')
        ->and($ids(['method' => 'slow-cooker', 'hours' => '7 h', 'warmth' => '35 C']))
        ->toContain('short-hours')
        ->and($ids(['method' => 'cold', 'hours' => '10 weeks']))
        ->toContain('long-hours')
        ->and($ids(['method' => 'cold', 'hours' => '6 weeks']))
        ->not->toContain('long-hours', 'short-hours');
});

it('keeps the whole of one’s own hours on the days, and one’s own standing after them', function () {
    $plan = Support::plan(ownHours(['method' => 'slow-cooker', 'hours' => '5 h', 'warmth' => '60 C', 'stands' => '3 h']));
    $warm = array_sum(
        array_map(fn ($session) => ($session->to->getTimestamp() - $session->from->getTimestamp()) / 3600, $plan->timetable->sessions),
    );
    $last = $plan->timetable->sessions[count($plan->timetable->sessions) - 1];
    expect($warm)
        ->toEqualWithDelta(5.0 + (count($plan->timetable->sessions) * $plan->figures['warm_up']->number()) / 60, 0.02)
        ->and($plan->timetable->strainAt >= $last->to->modify('+3 hours'))
        ->toBeTrue()
        ->and($plan->figures['warm_hours']->number())
        ->toBe(5.0);
});

it('keeps the standing of the school it was taken from, and the hand that school lets go of', function () {
    $wish = Support::plan(ownHours(['method' => 'slow-cooker', 'school' => 'overnight', 'hours' => '8 h 30 min']))->wish;
    // That school leaves it alone at night; hours of one's own are stayed by, as the method has it.
    expect([$wish->standsH(), $wish->practised()->tending->attended])->toBe([12.0, true]);
});

it('counts the cold hours on one’s own hours, and leads out by the usual ones', function () {
    // A kitchen oil of fresh herb is in the refrigerator within two hours of the oil going on: USDA FSIS, from memory.
    $wish = [
        'herb' => ['id' => 'basil', 'state' => 'fresh'],
        'oils' => ['olive'],
        'purpose' => 'kitchen',
        'kept' => 'fridge',
        'method' => 'double-boiler',
    ];
    expect(ownHoursFaults($wish + ['school' => 'quick']))->toBe([]);
    $faults = ownHoursFaults($wish + ['school' => 'quick', 'hours' => '3 h']);
    expect($faults[0]['reason'])->toBe('too_slow')->and(array_column($faults[0]['ways'], 'id'))->toContain('usual-hours', 'gentle-pan');
    $stands = ownHoursFaults($wish + ['school' => 'quick', 'stands' => '2 h']);
    expect($stands[0]['field'])
        ->toBe('stands')
        ->and($stands[0]['ways'][0]['id'])
        ->toBe('at-once');
});

it('leaves more oil behind in a second paper, and says so in the steps', function () {
    $once = Support::plan(ownHours([]));
    $twice = Support::plan(ownHours(['strained' => 'twice']));
    $lost = $once->figures['yield_volume']->number() - $twice->figures['yield_volume']->number();
    expect($lost)
        ->toEqualWithDelta(2.0, 1e-6)
        ->and(Uptake::by('drained', Support::planning()->tables())->strainedAgain(Support::planning()->tables())->lossesMl)
        ->toEqualWithDelta(7.0, 1e-9);
});

it('keeps the second paper, also where it is got out another way than was planned', function () {
    $frozen = function (array $wish): FrozenPlan {
        $record = Support::planning()->record(Support::plan(ownHours($wish)), Support::kitchen());

        return FrozenPlan::of(json_decode((string) json_encode(Said::kept($record)), true));
    };
    $tables = Support::planning()->tables();
    expect($frozen(['strained' => 'twice'])->through(Uptake::by('pressed', $tables), $tables)->lossesMl)
        ->toEqualWithDelta(7.0, 1e-9)
        ->and($frozen([])->through(Uptake::by('pressed', $tables), $tables)->lossesMl)
        ->toEqualWithDelta(5.0, 1e-9);
});

it('has no way that its own schools would be refused in', function () {
    foreach (Methods::of(Support::planning()->tables())->all() as $method) {
        foreach ($method->variants as $school) {
            $own = OwnHours::of($method, $school, null, $school->targetC);
            expect($own->ceilingC)->toBe($school->ceilingC);
        }
    }
});

it('is shaken as often as was wished, by a school or by hours of one’s own', function (array $more, float $every) {
    $kitchen = Support::kitchen();
    $record = Support::planning()->record(Support::plan(ownHours(['method' => 'cold', ...$more])), $kitchen);
    $method = FrozenPlan::of($record)->method->practised($kitchen->methods());
    expect($method->tending->shakeEveryH)->toBe($every);
})->with([
    'by a school' => [['shake' => 'weekly'], 168.0],
    'by hours of one’s own' => [['shake' => 'weekly', 'hours' => '3 weeks'], 168.0],
    'as the method has it' => [['hours' => '3 weeks'], 24.0],
]);
