<?php

namespace App\Files;

use Kettle\Reason\RefusedException;

/** A file that cannot be read as CSV with the columns that are wanted. */
final class CsvException extends RefusedException
{
    public static function empty(): self
    {
        return new self('missing', 'There is nothing in that file.', 'csv');
    }

    public static function notText(): self
    {
        return new self('unreadable', 'That file is not text. Save it as CSV, in UTF-8, and choose it again.', 'csv');
    }

    /** @param  list<string>  $wanted */
    public static function columns(array $wanted, string $found): self
    {
        return new self(
            'columns',
            sprintf(
                'The first line must name the columns. Wanted at least: %s. Found: %s.',
                implode(', ', $wanted),
                $found === '' ? 'nothing' : $found,
            ),
            'csv',
        );
    }

    public static function twice(string $column): self
    {
        return new self('twice', sprintf('The first line names “%s” twice. Leave the one out that does not count.', $column), 'csv');
    }

    public static function unclosed(int $line): self
    {
        return new self('unclosed', sprintf('A quote that begins in line %d is never closed. Close it, or take it out.', $line), 'csv');
    }

    public static function tooMany(int $most): self
    {
        return new self('too_much', sprintf('At most %d lines are taken at once. Split the file.', $most), 'csv');
    }
}
