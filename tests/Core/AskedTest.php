<?php

use Kettle\Ask\Questions;
use Kettle\Ask\Schemas;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

/** @return list<string> "field: reason" of each fault, none where it is answered */
function refusedFor(string $mode, array $document): array
{
    try {
        (new Questions(Tables::shipped()))->ask($mode, $document, new DateTimeImmutable('2026-11-24T10:00:00Z'));

        return [];
    } catch (WishException $refused) {
        foreach ($refused->faults as $fault) {
            expect($fault['sentence'])->toMatch('/[.?]$/');
        }

        return array_map(fn (array $fault) => $fault['field'].': '.$fault['reason'], $refused->faults);
    }
}

// Written out by hand, from what the schemas in docs/formats allow.
it('accepts what is published, and refuses all else by its name', function (string $mode, string $document, array $faults) {
    expect(refusedFor($mode, json_decode($document, true, 32, JSON_THROW_ON_ERROR)))->toBe($faults);
})->with([
    'a slip in a name' => [
        'plan',
        '{"herb":{"id":"garlic","state":"fresh"},"oils":["olive"],"purpos":"kitchen"}',
        ['purpos: unknown_field'],
    ],
    'two slips, and one of them deeper' => [
        'plan',
        '{"herb":{"id":"thyme","amout":"3 g"},"oils":["olive"],"methd":"cold"}',
        ['herb.amout: unknown_field', 'methd: unknown_field'],
    ],
    'no oils' => ['plan', '{"herb":{"id":"thyme"}}', ['oils: missing']],
    'a number where a word is wanted' => ['plan', '{"herb":{"id":"thyme"},"oils":["olive"],"method":3}', ['method: unreadable']],
    'a warm room in words' => ['plan', '{"herb":{"id":"thyme"},"oils":["coconut"],"house":{"room_c":"35"}}', ['house.room_c: unreadable']],
    'a room at the pole' => ['plan', '{"herb":{"id":"thyme"},"oils":["coconut"],"house":{"room_c":-20}}', ['house.room_c: out_of_range']],
    'a dropper that pours' => ['bottle', '{"oil_ml":300,"sizes":[],"house":{"drops_per_ml":1}}', ['house.drops_per_ml: out_of_range']],
    'capsules of nothing' => ['bottle', '{"oil_ml":300,"sizes":[],"capsule_iu":0}', ['capsule_iu: out_of_range']],
    'capsules for an ox' => ['bottle', '{"oil_ml":300,"sizes":[],"capsule_iu":100000}', ['capsule_iu: out_of_range']],
    'vitamin by the bucket' => ['bottle', '{"oil_ml":300,"sizes":[],"iu_per_cup":90000}', ['iu_per_cup: out_of_range']],
    'next to no oil' => ['bottle', '{"oil_ml":1e-308,"sizes":[]}', ['oil_ml: out_of_range']],
    'less than none' => ['bottle', '{"oil_ml":-1,"sizes":[]}', ['oil_ml: out_of_range']],
    'a bottle of no size' => ['bottle', '{"oil_ml":300,"sizes":[{"id":"a","capacity_ml":0}]}', ['sizes.0.capacity_ml: out_of_range']],
    'away for all of June' => ['diary', '{"jobs":[],"cookers":[],"away":"all of June"}', ['away: unreadable']],
    'away backwards' => [
        'diary',
        '{"jobs":[],"cookers":[],"away":[{"from":"2026-12-02T00:00","to":"2026-12-01T00:00"}]}',
        ['away.0.to: out_of_range'],
    ],
    'a band upside down' => ['warm-hours', '{"readings":[],"band":{"low":60,"target":49,"ceiling":43}}', ['band: out_of_range']],
    'a pot with its band upside down' => [
        'pot',
        '{"watts":100,"loss_w_per_k":1,"water_kg":1,"band":{"low":60,"target":49,"ceiling":43}}',
        ['band: out_of_range'],
    ],
    'a job hotter than its ceiling' => [
        'diary',
        '{"jobs":[{"target_c":60,"ceiling_c":50,"hours":2,"jars_mm":[80]}],"cookers":[]}',
        ['jobs.0.ceiling_c: upside_down'],
    ],
    'strained before it was filled' => [
        'keep',
        '{"oils":[{"id":"olive"}],"filled_on":"2026-11-01","strained_on":"2026-10-01"}',
        ['strained_on: out_of_range'],
    ],
    'opened after it was poured' => [
        'keep',
        '{"oils":[{"id":"olive","opened":"2026-12-01"}],"filled_on":"2026-10-01","strained_on":"2026-11-01"}',
        ['oils.0.opened: out_of_range'],
    ],
    'water over the brim' => ['keep', '{"oils":[{"id":"olive"}],"state":"fresh","water":120}', ['water: out_of_range']],
    'no such state' => ['keep', '{"oils":[{"id":"olive"}],"state":"damp"}', ['state: unknown']],
    'a pot below nothing' => ['pot', '{"watts":-5,"loss_w_per_k":1,"water_kg":1}', ['watts: out_of_range']],
    'a jar of nothing in a bath' => [
        'bath',
        '{"cooker":{"length_mm":300,"height_mm":150},"jars":[{"brim_ml":0,"height_mm":100,"level_mm":50,"contents_g":100}]}',
        ['jars.0.brim_ml: out_of_range'],
    ],
    'beyond the pole' => ['sun', '{"latitude":91,"longitude":0}', ['latitude: out_of_range']],
    'a fault in no list' => ['faults', '{"signs":"cloudy"}', ['signs: unreadable']],
    'a yield with a word for a number' => [
        'yield',
        '{"way":"squeezed","batches":[{"oil_ml":"350","out_ml":260,"dry_g":70}]}',
        ['batches.0.oil_ml: unreadable'],
    ],
    'herb of no weight' => [
        'yield',
        '{"way":"squeezed","batches":[{"oil_ml":350,"out_ml":260,"dry_g":0}]}',
        ['batches.0.dry_g: out_of_range'],
    ],
    'a place that is none' => ['cautions', '{"herb":{"id":"thyme"},"oils":["olive"],"place":"attic"}', ['place: unknown']],
    'nothing but what is wanted' => ['plan', '{"herb":{"id":"thyme"},"oils":["olive"]}', []],
]);

it('offers the nearest name', function () {
    try {
        Schemas::shipped()->wish(['oils' => ['olive'], 'purpos' => 'kitchen', 'colour' => 'red']);
    } catch (WishException $refused) {
        expect($refused->faults[0]['sentence'])
            ->toBe('“purpos” is not known here. Is “purpose” meant?')
            ->and($refused->faults[1]['sentence'])
            ->toContain('Known are herb, herbs, oils');

        return;
    }
    $this->fail('It was taken.');
});

it('answers a line for a line, refused or not', function () {
    $lines = "{\"herb\":{\"id\":\"thyme\"},\"oils\":[\"olive\"]}\n\nnot json\n[]\n{\"oils\":[\"olive\"],\"purpos\":\"skin\"}\n";
    $process = proc_open(
        [PHP_BINARY, dirname(__DIR__, 2).'/bin/reckon.php', 'plan', '--lines'],
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
    );
    fwrite($pipes[0], $lines);
    fclose($pipes[0]);
    $answers = array_map(
        fn (string $line) => json_decode($line, true),
        array_filter(explode("\n", (string) stream_get_contents($pipes[1]))),
    );
    expect(proc_close($process))
        ->toBe(0)
        ->and($answers)
        ->toHaveCount(4)
        ->and($answers[0])
        ->toHaveKey('figures')
        ->and($answers[1]['faults'][0]['reason'])
        ->toBe('unreadable')
        ->and($answers[2]['faults'][0]['field'])
        ->toBe('oils')
        ->and($answers[3]['faults'][0]['reason'])
        ->toBe('unknown_field');
});
