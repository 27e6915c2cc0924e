<?php

declare(strict_types=1);

/*
 * The busy times of an iCalendar file on standard input, as JSON. Run by the application in a process of its own,
 * which is ended when it takes too long: a rule that never comes round keeps nobody waiting.
 *
 * Arguments: the present (ISO 8601), the time zone, days ahead, most busy times. Exit 0 with
 * what App\Actions\Diary\Busy reads, 3 where it is no calendar, 4 where something comes again too often, 5 for too many.
 */

use App\Actions\Diary\BusyTimes;
use Sabre\VObject\Recur\MaxInstancesExceededException;

require __DIR__.'/../vendor/autoload.php';

/** @var list<string> $argv */
try {
    $zone = new DateTimeZone($argv[2]);
    $busy = BusyTimes::of(
        (string) stream_get_contents(STDIN),
        (new DateTimeImmutable($argv[1]))->setTimezone($zone),
        (int) $argv[3],
        (int) $argv[4],
    );
} catch (MaxInstancesExceededException) {
    exit(4);
} catch (LengthException) {
    exit(5);
} catch (Throwable) {
    exit(3);
}
echo $busy->json();
