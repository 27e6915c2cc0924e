<?php

/*
 * The core is plain PHP: no framework, no clock, no chance, no input or output but the table reader.
 */

arch('the core knows nothing of what is built on it')
    ->expect('Kettle')
    ->not->toUse(['App', 'Illuminate', 'Symfony', 'Carbon', 'Database']);

arch('the core is strict')->expect('Kettle')->toUseStrictTypes();

arch('the core asks nothing of the outside')
    ->expect('Kettle')
    ->not->toUse([
        'time', 'microtime', 'hrtime', 'date', 'mktime', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'uniqid', 'shuffle', 'array_rand',
        'file_get_contents', 'file_put_contents', 'fopen', 'curl_init', 'exec', 'shell_exec', 'getenv', 'echo', 'print', 'var_dump', 'dd', 'session_start',
    ])
    ->ignoring('Kettle\Material\Tables');

it('makes no moment of its own', function () {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core', FilesystemIterator::SKIP_DOTS)) as $file) {
        $code = (string) file_get_contents((string) $file);
        expect($code)->not->toMatch('/new \\\\?DateTime(Immutable)?(\(\)|;|\(\'now\')/', (string) $file);
    }
});

it('is tested by no clock but the one it is given', function () {
    foreach (['Core', 'App'] as $suite) {
        foreach (glob(dirname(__DIR__)."/{$suite}/*Test.php") ?: [] as $file) {
            $code = (string) file_get_contents($file);
            // "-3 months", "today" and nothing at all are reckoned from the machine's own now.
            expect($code)->not->toMatch('/new \\\\?DateTime(Immutable)?\((\)|\'(now|today|tomorrow|yesterday)|\'[+-]\d|\'[+-]\'\.)/', $file)->not->toMatch('/(?<![\w>:\'$])(time|microtime|date)\(/', $file);
        }
    }
});

arch('controllers leave the work to actions')->expect('App\Http\Controllers')->not->toUse(['Kettle\Recipe\Planner', 'Kettle\Diary\Course']);
