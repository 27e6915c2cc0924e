<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Measure\Ratio;

/** Pieces of a change to a wish, as the ways out put them together. */
final class Change
{
    /** Amounts by which a batch is given its size; taken out where another thing is to give it. */
    public const SIZES = ['oil_amount' => null, 'finished' => null, 'by_jar' => null];

    /** @return list<mixed> the herbs of the wish, with parts where they had weights */
    public static function unweighed(Wish $wish): array
    {
        $herbs = is_array($wish->asked->document['herbs'] ?? null) ? array_values($wish->asked->document['herbs']) : [];
        $out = [];
        foreach ($herbs as $i => $herb) {
            $herb = (array) $herb;
            unset($herb['amount'], $herb['picked']);
            $part = $wish->mix->parts[$i];
            if (! $wish->mix->isSingle()) {
                $herb['parts'] = self::number($part->parts);
            }
            if ($part->form->state->isWet()) {
                $herb['water'] = self::number(round($part->water * 100, 1));
            }
            $out[] = $herb;
        }

        return $out;
    }

    /** @return array<string, string> the ratio, where herb and oil together gave it */
    public static function ratioAsItIs(Wish $wish, float $herbG, float $oilMl): array
    {
        return $wish->sizing->herb !== null && $wish->sizing->oil !== null
            ? ['ratio' => '1:'.self::number($oilMl / $herbG / $wish->perGramAsItLies())]
            : [];
    }

    public static function number(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
    }
}
