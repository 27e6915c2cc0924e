<?php

declare(strict_types=1);

namespace Kettle\Recipe;

/** Small numbers as words, and amounts with the unit a bare number stands for. */
final class Numbers
{
    private const WORDS = [1 => 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    public static function word(int $number): string
    {
        return self::WORDS[$number] ?? (string) $number;
    }

    public static function isWord(float $number): bool
    {
        return abs($number - round($number)) < 0.005 && isset(self::WORDS[(int) round($number)]);
    }

    public static function withUnit(string $typed, string $unit): string
    {
        return preg_match('/[a-z]/i', $typed) === 1 ? $typed : $typed.' '.$unit;
    }
}
