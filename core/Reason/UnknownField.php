<?php

declare(strict_types=1);

namespace Kettle\Reason;

/** A field that nothing is known of, and the one that may be meant. */
final class UnknownField
{
    /** A name further than this from any that is known is no slip of the pen; nor is one of which more than half is otherwise. */
    private const NEAR = 3;

    private const TOLD = 30;

    /**
     * "“purpos” is not known here. Is “purpose” meant?"
     *
     * @param  list<string>  $known
     */
    public static function sentence(string $field, array $known): string
    {
        $field = mb_substr($field, 0, 40);
        $near = $known;
        usort($near, fn (string $a, string $b) => levenshtein($field, $a) <=> levenshtein($field, $b));

        return sprintf('“%s” is not known here.', $field).
            match (true) {
                $near === [] => ' Nothing is asked there.',
                levenshtein($field, $near[0]) <= min(self::NEAR, max(1, intdiv(strlen($field), 2))) => sprintf(' Is “%s” meant?', $near[0]),
                default => ' Known are '.implode(', ', array_slice($known, 0, self::TOLD)).'.',
            };
    }
}
