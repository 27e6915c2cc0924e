<?php

/** @return array{int, string} what ./kettle answers: its exit code and all it printed */
function kettle(string $arguments, string $before = ''): array
{
    exec($before.' '.escapeshellarg(dirname(__DIR__, 2).'/kettle').' '.$arguments.' 2>&1', $lines, $code);

    return [$code, implode("\n", $lines)];
}

it('says what it can do', function () {
    [$code, $said] = kettle('');
    expect($code)->toBe(0);
    foreach (['demo', 'up', 'stop', 'test', 'bench', 'reckon', 'shots', 'password', 'doctor'] as $command) {
        expect($said)->toContain("\n  {$command} ");
    }
});

it('refuses a command it has not, and a test it has not', function () {
    [$code, $said] = kettle('nonsense');
    expect($code)->toBe(1)->and($said)->toContain('There is no command “nonsense”.');
    [$code, $said] = kettle('test nonsense');
    expect($code)->toBe(1)->and($said)->toContain('There is no test called “nonsense”.');
    [$code, $said] = kettle('password');
    expect($code)->toBe(1)->and($said)->toContain('Say whose');
});

it('reckons from a pipe', function () {
    [$code, $said] = kettle('reckon', 'echo \'{"herb":{"id":"self-heal","amount":"50 g"},"oils":["olive"],"ratio":"1:6"}\' |');
    $plan = json_decode($said, true);
    expect($code)->toBe(0)->and($plan['figures']['oil_volume']['value'])->toEqual(300);
    [$code, $said] = kettle('reckon', 'echo nonsense |');
    expect($code)
        ->toBe(2)
        ->and(json_decode($said, true)['faults'][0]['reason'])
        ->toBe('unreadable');
});
