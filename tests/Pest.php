<?php

use Tests\AppCase;

pest()->extend(AppCase::class)->in('App');

/** What a Python program with SciPy or ephem (Debian's packages python3-scipy, python3-ephem) prints, as JSON. */
function python(string $program): mixed
{
    $process = proc_open(['/usr/bin/python3', '-c', $program], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
    fclose($pipes[0]);
    $out = (string) stream_get_contents($pipes[1]);
    $wrong = (string) stream_get_contents($pipes[2]);
    expect(proc_close($process))->toBe(0, $wrong);

    return json_decode($out, true);
}
