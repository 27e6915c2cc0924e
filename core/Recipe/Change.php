<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Measure\Ratio;

/** Pieces of a change to a wish, as the ways out put them together. */
final class Change
{
    /** Amounts by which a batch is given its size; taken out where another thing is to give it. */
    private const SIZES = ['oil_amount' => null, 'finished' => null, 'by_jar' => null];

    /** @return array<string, mixed> no size any more, neither of the batch nor of the oils in it */
    public static function unsized(Wish $wish): array
    {
        return [...self::SIZES, ...self::oils($wish)];
    }

    /** @return array<string, mixed> without what says how much oil there is: its blend stays as it is */
    public static function unpoured(Wish $wish): array
    {
        return ['oil_amount' => null, ...self::oils($wish)];
    }

    /** @return array{}|array{oils: list<mixed>} where the oils had amounts, the same with parts */
    private static function oils(Wish $wish): array
    {
        $oils = OilsReader::list($wish->asked->document);
        $amounts = array_filter($oils, fn (mixed $oil) => is_array($oil) && Fields::text($oil, 'amount') !== null);
        if ($amounts === []) {
            return [];
        }
        $out = [];
        foreach ($oils as $i => $oil) {
            $oil = array_diff_key(is_array($oil) ? $oil : ['id' => $oil], ['amount' => 1]);
            $out[] = ['parts' => self::number($wish->blend->oils[$i]['parts'])] + $oil;
        }

        return ['oils' => $out];
    }

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
