<?php

declare(strict_types=1);

/*
 * kettle reckon: a wish on standard input, every figure on standard output, with no web or database.
 * Exit 0 with a plan, 2 with the faults of a wish that cannot be planned.
 */

use Kettle\Material\Tables;
use Kettle\Recipe\Bench;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\WishRefused;

require __DIR__.'/../vendor/autoload.php';

const PRETTY = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

try {
    $wish = json_decode((string) file_get_contents('php://stdin', length: 1_000_000), true, 32);
    if (! is_array($wish)) {
        throw WishRefused::one('', 'unreadable', 'The wish is not a JSON object. See docs/formats/wish.schema.json.');
    }
    $tables = Tables::shipped();
    $bench = new Bench($tables);
    $house = is_array($wish['house'] ?? null) ? $wish['house'] : [];
    $kitchen = KitchenReader::read($house, new DateTimeImmutable, $tables);
    echo json_encode($bench->document($bench->plan($wish, $kitchen), $kitchen), PRETTY), "\n";
} catch (WishRefused $refused) {
    echo json_encode(['faults' => $refused->faults], PRETTY), "\n";
    exit(2);
}
