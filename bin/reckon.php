<?php

declare(strict_types=1);

/*
 * kettle reckon [MODE]: a document on standard input, the answer on standard output, with no web or
 * database. MODE is plan (a wish), or one of Kettle\Desk::MODES. Exit 0 with an answer, 2 with faults.
 */

use Kettle\Desk;
use Kettle\Material\Tables;
use Kettle\Recipe\WishRefused;

require __DIR__.'/../vendor/autoload.php';

const PRETTY = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

/** @var list<string> $argv */
try {
    $document = json_decode((string) file_get_contents('php://stdin', length: 1_000_000), true, 32);
    if (! is_array($document)) {
        throw WishRefused::one('', 'unreadable', 'What is asked is not a JSON object. See docs/formats.');
    }
    echo json_encode((new Desk(Tables::shipped()))->ask($argv[1] ?? 'plan', $document, new DateTimeImmutable), PRETTY), "\n";
} catch (WishRefused $refused) {
    echo json_encode(['faults' => $refused->faults], PRETTY), "\n";
    exit(2);
}
