<?php

use Tests\AppCase;

// Declared in a way that PHP is sorry about; loaded here, before anything counts it against a test of ours.
$before = error_reporting(E_ALL & ~E_DEPRECATED);
class_exists(Sabre\VObject\Node::class);
error_reporting($before);

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
