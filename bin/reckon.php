<?php

declare(strict_types=1);

/*
 * kettle reckon [MODE] [--lines]: a document on standard input, the answer on standard output, with no web or
 * database. MODE is plan (a wish), or one of Kettle\Ask\Questions::MODES. Exit 0 with an answer, 2 with faults.
 *
 * With --lines a question a line, and an answer a line each in the same order; a line that is refused is answered
 * by its faults, and the exit is 0.
 */

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

require __DIR__.'/../vendor/autoload.php';

const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

/** Bytes a question may have. */
const MOST = 1_000_000;

/**
 * @param  int  $flags of json_encode, JSON_THROW_ON_ERROR among them
 * @return array{bool, string} whether it was refused, and the answer or {faults}
 */
function answer(Questions $questions, string $mode, string $asked, int $flags): array
{
    try {
        $document = strlen($asked) > MOST ? null : json_decode($asked, true, 32);
        if (! is_array($document) || ($document !== [] && array_is_list($document))) {
            throw WishException::one('', 'unreadable', 'What is asked is not a JSON object. See docs/formats.');
        }

        return [false, (string) json_encode($questions->ask($mode, $document, new DateTimeImmutable()), $flags)];
    } catch (WishException $refused) {
        return [true, (string) json_encode(['faults' => $refused->faults], $flags)];
    } catch (JsonException) {
        return [
            true,
            (string) json_encode(
                [
                    'faults' => [
                        [
                            'field' => '',
                            'reason' => 'out_of_range',
                            'sentence' => 'With those numbers there is no answer that is a number.',
                        ],
                    ],
                ],
                $flags,
            ),
        ];
    }
}

/** @var list<string> $argv */
$words = array_values(array_filter(array_slice($argv, 1), fn (string $word) => $word !== '--lines'));
$questions = new Questions(Tables::shipped());
$mode = $words[0] ?? 'plan';
if (in_array('--lines', $argv, true)) {
    while (($line = fgets(STDIN)) !== false) {
        if (trim($line) !== '') {
            echo answer($questions, $mode, $line, FLAGS)[1], "\n";
        }
    }
    exit(0);
}
[$refused, $answer] = answer($questions, $mode, (string) stream_get_contents(STDIN, MOST + 1), FLAGS | JSON_PRETTY_PRINT);
echo $answer, "\n";
exit($refused ? 2 : 0);
