<?php

use Illuminate\Support\Str;

/** Something changed in what would be taken: in a value, in what is there, or in the text of it. */
final class Changed
{
    private const ODD = [
        null,
        true,
        0,
        -1,
        1.5,
        1e308,
        PHP_INT_MAX,
        '',
        ' ',
        '0',
        '-3 g',
        '1e9 kg',
        '8 cloves',
        "4\u{00bd} cups",
        'NaN',
        "\u{202e}olive\u{202c}",
        "line\nline",
        "\u{0000}",
        "\u{1f33f}\u{fe0f}",
        "Robert'); DROP TABLE batches;--",
        '<script>alert(1)</script>',
        '{{7*7}}',
        '../../../etc/passwd',
        '2026-02-30',
        '0000-00-00',
        '9999-12-31',
        '2026-11-28T25:61',
        '24:00',
        [],
        [[]],
        [null],
        ['id' => 'olive'],
        ['a' => ['b' => ['c' => ['d' => 1]]]],
    ];

    /** @return string a body as it is sent */
    public static function body(mixed $example): string
    {
        $kind = mt_rand(0, 99);
        if ($kind < 4) {
            return self::broken((string) json_encode($example));
        }
        for ($i = $kind < 34 ? 0 : mt_rand(1, 3); $i > 0; $i--) {
            $example = self::somewhere($example, 0);
        }
        $text = json_encode($example, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);

        return $text === false ? '{}' : $text;
    }

    private static function somewhere(mixed $value, int $depth): mixed
    {
        if (! is_array($value) || $value === [] || ($depth > 0 && mt_rand(0, 3) === 0)) {
            return self::odd($value);
        }
        $key = array_rand($value);
        $how = mt_rand(0, 11);
        if ($how === 0) {
            unset($value[$key]);
        } elseif ($how === 1) {
            $value['unheard_of'] = self::odd(null);
        } elseif ($how === 2 && array_is_list($value) && count($value) < 100) {
            $value = array_merge(...array_fill(0, mt_rand(2, 60), $value));
        } else {
            $value[$key] = self::somewhere($value[$key], $depth + 1);
        }

        return $value;
    }

    private static function odd(mixed $was): mixed
    {
        return match (mt_rand(0, 9)) {
            0 => is_string($was) && strlen($was) < 1000 ? str_repeat($was.' ', mt_rand(2, 3000)) : $was,
            1 => is_string($was) ? strrev($was) : [$was],
            2 => is_string($was) ? Str::upper($was) : (string) json_encode($was),
            3 => is_numeric($was) ? $was * -1000 : $was,
            default => self::ODD[array_rand(self::ODD)],
        };
    }

    private static function broken(string $text): string
    {
        return match (mt_rand(0, 8)) {
            0 => '',
            1 => substr($text, 0, intdiv(strlen($text), 2)),
            2 => "\xff\xfe".$text,
            3 => str_repeat('[', 700).str_repeat(']', 700),
            4 => '"\ud800"',
            5 => '{"a":1e400}',
            6 => '['.$text.']',
            7 => 'null',
            default => $text.str_repeat(' ', 300_000),
        };
    }

    /** A part of an address that is no id of anything. */
    public static function id(): string
    {
        $odd = [
            '0',
            '-1',
            'x',
            strtolower((string) Str::ulid()),
            str_repeat('a', 300),
            '%00',
            '..%2f..',
            "'",
            '%F0%9F%8C%BF',
            '%ff',
            'null',
        ];

        return $odd[array_rand($odd)];
    }
}
