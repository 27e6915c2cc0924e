<?php

// Shuts or opens what comes on standard input, with the passphrase in KETTLE_PASSPHRASE: `php bin/seal.php shut|open`.

use App\Backup\Seal;
use App\Backup\SealException;

require __DIR__.'/../vendor/autoload.php';

$passphrase = (string) getenv('KETTLE_PASSPHRASE');
$text = (string) stream_get_contents(STDIN);
try {
    echo($argv[1] ?? '') === 'open' ? Seal::open($text, $passphrase) : Seal::shut($text, $passphrase);
} catch (SealException $refused) {
    fwrite(STDERR, $refused->getMessage()."\n");
    exit(1);
}
