<?php

use App\House\KitchenFactory;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;

require_once dirname(__DIR__).'/Kept.php';
require_once dirname(__DIR__).'/Shelved.php';

/*
 * Which lots a plan is told of, where there are more of a thing than it looks at. Today is 24 November 2026.
 */

/**
 * Ids of the lots that a wish is told of.
 *
 * @param  array<string, mixed>  $wish
 * @return list<string>
 */
function toldOf(House $house, array $wish, string $material): array
{
    $lots = app(CurrentHouse::class)->within($house, fn () => app(KitchenFactory::class)->forWish($wish)->lots);

    return array_values(array_map(fn ($lot) => $lot->id, array_filter($lots, fn ($lot) => $lot->material === $material)));
}

it('tells of each thing the twelve that are taken first, and of what may not be used only where there is room', function () {
    // Fourteen that may be used, the first of them written last; no day is known of one.
    $good = [];
    foreach (range(14, 1) as $each) {
        $good["good-{$each}"] = ['best_before' => $each === 14 ? null : sprintf('2027-01-%02d', $each)];
    }
    shelved($this->house, [
        ...$good,
        // As many as are looked at, before what is good for one day more.
        ...array_fill_keys(array_map(fn (int $each) => "stale-{$each}", range(1, 12)), ['best_before' => '2026-11-23']),
        'today' => ['best_before' => '2026-11-24'],
        'failed' => ['best_before' => '2027-01-01', 'verdict' => 'past'],
        'soon' => ['best_before' => '2026-12-01', 'verdict' => 'soon'],
        'empty' => ['best_before' => '2026-12-01', 'left' => 0],
        'gone' => ['best_before' => '2026-12-01', 'deleted_at' => '2026-11-01 00:00:00'],
    ]);
    // Another house has older ones of the same.
    $other = $this->aHouse($this->keeper, 'Another');
    shelved($other, ['theirs' => ['best_before' => '2026-12-01']]);
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => ['sunflower', 'olive']];
    expect(toldOf($this->house, $wish, 'sunflower'))->toBe(['today', 'soon', ...array_map(fn (int $each) => "good-{$each}", range(1, 10))]);
    expect(toldOf($other, $wish, 'sunflower'))->toBe(['theirs']);
    // Five that may be used, ten that may not: what failed its check before what is only old, the oldest first.
    $olive = ['material' => 'olive'];
    $stale = [];
    foreach (range(8, 1) as $each) {
        $stale["stale-olive-{$each}"] = $olive + ['best_before' => "2026-10-0{$each}"];
    }
    shelved($this->house, [
        ...$stale,
        'olive-no-day' => $olive,
        'olive-2' => $olive + ['best_before' => '2027-02-02', 'got_on' => '2026-02-01'],
        'olive-1' => $olive + ['best_before' => '2027-02-02', 'got_on' => '2026-01-01'],
        'olive-0' => $olive + ['best_before' => '2027-02-01', 'got_on' => '2026-03-01'],
        'olive-unknown' => $olive + ['best_before' => '2027-02-02'],
        'olive-failed' => $olive + ['best_before' => '2028-01-01', 'verdict' => 'past'],
        'olive-failed-too' => $olive + ['verdict' => 'past'],
    ]);
    expect(toldOf($this->house, $wish, 'olive'))->toBe([
        ...['olive-0', 'olive-unknown', 'olive-1', 'olive-2', 'olive-no-day', 'olive-failed', 'olive-failed-too'],
        ...array_map(fn (int $each) => "stale-olive-{$each}", range(1, 5)),
    ]);
    expectKept();
});

it('hides no dried herb behind fresh, and nothing that a house calls its own', function () {
    $fresh = ['kind' => 'herb', 'material' => 'calendula', 'state' => 'fresh', 'best_before' => '2026-11-30'];
    $own = ['kind' => 'herb', 'material' => '', 'called' => 'Nan’s leaf', 'state' => 'dried'];
    shelved($this->house, [
        ...array_fill_keys(array_map(fn (int $each) => "fresh-{$each}", range(1, 20)), $fresh),
        'dried' => ['state' => 'dried', 'best_before' => '2028-01-01'] + $fresh,
        ...array_fill_keys(array_map(fn (int $each) => "own-{$each}", range(1, 13)), $own),
        // Asked for by its name, as the database tells names apart: without regard to great and small letters.
        'own-small' => ['called' => 'nan’s leaf'] + $own,
        'not-asked' => ['called' => 'Aunt’s leaf'] + $own,
    ]);
    $wish = ['herbs' => [['id' => 'calendula'], ['name' => 'Nan’s leaf']], 'oils' => ['sunflower']];
    expect(toldOf($this->house, $wish, 'calendula'))->toHaveCount(13)->toContain('dried', 'fresh-12')->not->toContain('fresh-13');
    expect(toldOf($this->house, $wish, ''))->toHaveCount(13)->toContain('own-small', 'own-12')->not->toContain('own-13', 'not-asked');
    expectKept();
});

it('knows the lot that was named, be it empty or far behind', function () {
    $lots = array_fill_keys(array_map(fn (int $each) => "lot-{$each}", range(1, 15)), ['best_before' => '2027-01-01']);
    shelved($this->house, [...$lots, 'used-up' => ['left' => 0]]);
    $named = fn (string $lot): array => toldOf($this->house, ['oils' => [['id' => 'sunflower', 'lot' => $lot]]], 'sunflower');
    expect($named('lot-15'))->toHaveCount(13)->toContain('lot-15')->and($named('used-up'))->toHaveCount(13)->toContain('used-up');
});

it('reads no more rows of four hundred lots of an oil than of forty', function () {
    $read = fn (): int => rowsRead(fn () => expect(toldOf($this->house, ['oils' => ['sunflower']], 'sunflower'))->toHaveCount(12));
    $many = function (int $from, int $to): void {
        foreach (range($from, $to) as $each) {
            shelved($this->house, ["lot-{$each}" => ['best_before' => $each % 3 === 0 ? '2026-01-01' : '2027-01-01']]);
        }
    };
    $many(1, 40);
    $read();
    $few = $read();
    $many(41, 400);
    expect($read())->toBe($few)->toBeGreaterThan(0);
});
