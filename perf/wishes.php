<?php

/*
 * kettle bench wishes [how many] [seed]: wishes at random, a million unless told otherwise, each plan
 * of them held to what tests/RandomWishes.php says by hand. Prints what is wrong, and how many there
 * were of each kind. Ends with 1 where anything is.
 */

use Tests\RandomWishes;

require __DIR__.'/../vendor/autoload.php';

$many = max(1, (int) ($argv[1] ?? 1_000_000));
$wishes = new RandomWishes((int) ($argv[2] ?? 4242));
$wrong = 0;
$from = hrtime(true);
for ($i = 1; $i <= $many; $i++) {
    foreach ($wishes->next($i % 10 === 0) as $told) {
        $wrong++;
        echo $told, "\n";
    }
    if ($i % 100_000 === 0) {
        fprintf(STDERR, "%d of %d, %d wrong\n", $i, $many, $wrong);
    }
}
printf("%d wishes in %.0f s: %d wrong\n", $many, (hrtime(true) - $from) / 1e9, $wrong);
foreach ($wishes->seen as $what => $count) {
    printf("  %s: %d\n", str_replace('_', ' ', $what), $count);
}
exit($wrong === 0 ? 0 : 1);
