<?php

namespace Tests;

use Illuminate\Support\Carbon;

/** A house in which a bit of everything was done, and the file of it. */
final class BusyHouse
{
    /** @return array<string, mixed> the house's file, read */
    public static function exported(AppCase $test): array
    {
        return json_decode($test->atHouse('GET', '/export')->assertOk()->getContent(), true);
    }

    public static function in(AppCase $test): void
    {
        Laid::once($test, 'busy house', fn () => self::lay($test));
    }

    private static function lay(AppCase $test): void
    {
        $root = $test
            ->atHouse('POST', '/lots', [
                'lot' => [
                    'kind' => 'herb',
                    'material' => 'marshmallow-root',
                    'amount' => '500 g',
                    'price' => '30',
                    'got_on' => '2026-10-03',
                    'got_how' => 'gathered',
                    'part' => 'root',
                    'note' => 'lifted “wet”',
                ],
            ])
            ->assertOk()
            ->json('lot.id');
        $test
            ->atHouse('POST', "/lots/{$root}/checks", [
                'answers' => ['scent' => 'faint', 'colour' => 'paler', 'snap' => 'snaps', 'dust' => 'some'],
            ])
            ->assertOk();
        $gone = $test
            ->atHouse('POST', '/lots', [
                'lot' => [
                    'kind' => 'carrier',
                    'material' => 'sesame',
                    'amount' => '250 mL',
                    'best_before' => '2027-01-01',
                    'allergens' => 'soya',
                ],
            ])
            ->assertOk()
            ->json('lot.id');
        $test->atHouse('POST', "/lots/{$gone}/count", ['amount' => '0', 'note' => 'spilt'])->assertOk();
        $test->atHouse('DELETE', "/lots/{$gone}")->assertNoContent();
        $recipe = $test
            ->atHouse('POST', '/recipes', [
                'name' => 'Harbour hands',
                'note' => 'first',
                'wish' => ['herbs' => [['id' => 'calendula']], 'oils' => ['olive']],
            ])
            ->assertOk()
            ->json();
        $test
            ->atHouse('PATCH', "/recipes/{$recipe['id']}", [
                'name' => 'Harbour hands',
                'note' => 'second',
                'wish' => $recipe['wish'],
                'version' => 1,
            ])
            ->assertOk();
        $batch = $test->batch(['jar' => $test->jarOf(505)->uid]);
        $test->fill($batch);
        $test->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'Smells of “honey” — naïve 蜂蜜']);
        $test->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'strain', 'outcome' => 'later', 'until' => '2026-12-26']);
        $second = $test->batch([
            'method' => 'slow-cooker',
            'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'sesame', 'parts' => '1']],
        ]);
        $test->fill($second);
        $test->atHouse('DELETE', '/jars/'.$test->jarOf(790)->uid);
        $test->atHouse('POST', '/jars', ['called' => 'crock', 'brim' => '2 L', 'height' => '20 cm']);
        Carbon::setTestNow(Carbon::now()->addHours(2));
        $test->atHouse('POST', "/batches/{$second->uid}/strain", ['amount' => '150 mL', 'warmth' => 'not'])->assertOk();
        $size = $test->atHouse('GET', '')->json('bottles.1.id');
        $small = $test
            ->atHouse('POST', '/lots', ['lot' => ['kind' => 'bottle', 'material' => $size, 'called' => 'small bottle', 'amount' => '10']])
            ->assertOk()
            ->json('lot.id');
        $path = "/batches/{$second->uid}";
        $test->atHouse('POST', "{$path}/decant", ['amount' => '145 mL', 'again' => true])->assertOk();
        $test
            ->atHouse('POST', "{$path}/bottle", [
                'bottles' => [['size' => $size, 'count' => 3]],
                'place' => 'room',
                'glass' => 'clear',
                'antioxidant' => 'vitamin-e',
                'where' => 'the sill',
            ])
            ->assertOk();
        expect($test->atHouse('GET', "/lots/{$small}")->json('lot.left'))->toEqual(7);
        $test->atHouse('POST', "{$path}/use", ['bottle' => 2, 'how' => 'given', 'to' => 'Torin'])->assertOk();
        $test->atHouse('POST', "{$path}/keep", ['place' => 'cool-dark'])->assertOk();
        $test->atHouse('POST', "{$path}/purpose", ['purpose' => 'hair'])->assertOk();
        $test->atHouse('POST', "{$path}/check", ['answers' => ['smell' => 'faint', 'look' => 'clear', 'lid' => 'quiet']])->assertOk();
        $test->atHouse('POST', "{$path}/faults/note", ['signs' => ['weak']])->assertOk();
        $test->atHouse('POST', "{$path}/acknowledge", ['caution' => 'skin-only'])->assertOk();
        $test
            ->atHouse('POST', '/lots', ['lot' => ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '100 g', 'price' => '5']])
            ->assertOk();
        $made = $test
            ->atHouse('POST', '/makings', [
                'wish' => [
                    'product' => 'salve',
                    'oils' => [['batch' => $second->uid, 'amount' => '40 mL']],
                    'essential_oils' => [['id' => 'lavender', 'percent' => 1]],
                ],
                'acknowledged' => [],
            ])
            ->assertOk()
            ->json('id');
        $oil = "batch.{$second->uid}";
        $at = fn (string $what, array $body) => $test->atHouse('POST', "/makings/{$made}/{$what}", $body)->assertOk();
        $at('weigh', ['part' => $oil, 'amount' => '34 g']);
        $at('weigh', ['part' => 'beeswax']);
        $at('spoon', ['verdict' => 'too-soft', 'stuck' => '1 g', 'room' => '64 F']);
        $at('mend', ['part' => 'beeswax', 'amount' => '2 g']);
        $at('steps', ['step' => 'drops', 'warmth' => '48']);
        $at('pour', ['tins' => [['ml' => 15, 'count' => 2]], 'left' => '3 mL', 'where' => 'the sill']);
        $at('tins', ['tin' => 1, 'how' => 'sold', 'to' => 'the fair', 'price' => 4.5]);
        $at('notes', ['note' => 'Grained a “little”.']);
        $version = $test->atHouse('GET', "{$path}/label")->json('version');
        $test
            ->atHouse('PUT', "{$path}/label", [
                'version' => $version,
                'size' => 'roll-60x40',
                'start' => 1,
                'names' => 'inci',
                'fields' => ['title', 'herb', 'words'],
                'words' => 'Made at home',
            ])
            ->assertOk();
        $test->atHouse('PUT', '/almanac/plant/calendula/note', ['note' => 'Pick at noon.', 'version' => 0])->assertOk();
        $cold = AppCase::BASIL_KEPT_COLD;
        $test->fill($test->batch($cold, ['four-days']));
        $test->atHouse('POST', '/recipes', ['name' => 'Basil for the week', 'note' => '', 'wish' => $cold])->assertOk();
        $oil = $test
            ->atHouse('POST', '/lots', [
                'lot' => [
                    'kind' => 'carrier',
                    'material' => 'olive',
                    'amount' => '2 L',
                    'opened_on' => '2026-09-01',
                    'best_before' => '2027-02-02',
                ],
            ])
            ->assertOk()
            ->json('lot.id');
        $third = $test->batch(['oils' => ['olive'], 'jar' => $test->jarOf(505)->uid]);
        $test->fill($third);
        expect($test->atHouse('GET', "/batches/{$third->uid}")->json('best_before'))->toBe('2 Feb 2027');
    }
}
