<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\AmountReader;

/** What a house goes by: the measures it writes amounts in, and the schools it keeps. */
final class OwnHabits
{
    /**
     * The one that goes by a name, whatever its capitals.
     *
     * @template T of OwnMeasure|OwnSchool
     *
     * @param  array<string, T>  $things
     * @return ?T
     */
    public static function named(array $things, string $name): OwnMeasure|OwnSchool|null
    {
        foreach ($things as $thing) {
            $names = [$thing->name, ...$thing instanceof OwnMeasure ? $thing->also : []];
            if (in_array(mb_strtolower($name), array_map(mb_strtolower(...), $names), true)) {
                return $thing;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $also
     * @return array{?OwnMeasure, array<string, mixed>, list<string>}
     */
    public static function measure(OwnFields $from, string $id, string $name, array $also): array
    {
        foreach (['name' => [$name], 'also' => $also] as $field => $words) {
            foreach ($words as $word) {
                // It stands behind a number in a line of amounts, so it is read back only when nothing in it parts the line.
                if ($word !== '' && preg_match('/[\d+,&]|\b(?:and|plus|less|minus|of|to)\b/iu', $word) === 1) {
                    $from->refuse($field, MaterialException::measureWords());
                } elseif ($word !== '' && AmountReader::knows($word)) {
                    $from->refuse($field, MaterialException::measureKnown($word));
                }
            }
        }
        $fields = [
            'holds_ml' => $from->number('holds_ml', 0.05, 5_000, Figure::Ml),
            'weighs_g' => $from->number('weighs_g', 0.05, 5_000, Figure::Grams),
        ];
        if ($from->faults() === [] && ($fields['holds_ml'] === null) === ($fields['weighs_g'] === null)) {
            $from->refuse($fields['holds_ml'] === null ? 'holds_ml' : 'weighs_g', MaterialException::measureOneOf());
        }

        return $from->faults() === []
            ? [new OwnMeasure($id, $name, $also, $fields['holds_ml'] ?? 0.0, $fields['weighs_g'] ?? 0.0), $fields, []]
            : [null, [], []];
    }

    /** @return array{?OwnSchool, array<string, mixed>, list<string>} */
    public static function school(OwnFields $from, string $id, string $name): array
    {
        $fields = [
            'method' => $from->text('method', 40),
            'hours' => $from->text('hours', 40),
            'warmth' => $from->text('warmth', 40),
        ];
        $fields['method'] === '' && $from->refuse('method', MaterialException::ownChoose());
        $fields['hours'] === '' && $from->refuse('hours', MaterialException::schoolHours());

        return $from->faults() === [] ? [new OwnSchool($id, $name, ...array_values($fields)), $fields, []] : [null, [], []];
    }
}
