<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Time\TimeOfDay;

/** When somebody is at home on a day, as it is typed: "07:00-08:30, 17:00-22:30", "9am to 5pm", "from 18:00", "all day", "out". */
final class HomeHours
{
    /** What stands for not at all. */
    public const NEVER = '-';

    private const ALL_DAY = '/^(?:all|all day|always|the whole day|yes|home|at home)$/iu';

    private const NEVER_AT_HOME = '/^(?:[-–—]|no|none|never|out|away|not|not at all|not at home|nil)$/iu';

    /**
     * In the words it is kept in: '' for all day, '-' for not at all, or whiles from a time to a time.
     *
     * @throws DiaryException
     */
    public static function read(string $typed): string
    {
        $text = trim($typed);
        if ($text === '' || preg_match(self::ALL_DAY, $text) === 1) {
            return '';
        }
        if (preg_match(self::NEVER_AT_HOME, $text) === 1) {
            return self::NEVER;
        }
        $whiles = [];
        foreach (preg_split('/\s*(?:[,;]|\band\b)\s*/u', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            [$from, $to] = self::ends($part);
            if ($to <= $from) {
                throw DiaryException::endsFirst($part);
            }
            $whiles[] = TimeOfDay::text($from).'-'.TimeOfDay::text($to);
        }

        return implode(', ', $whiles);
    }

    /**
     * @return array{int, int} minutes of the day
     *
     * @throws DiaryException
     */
    private static function ends(string $part): array
    {
        $minute = fn (string $time): int => TimeOfDay::minute($time) ?? throw DiaryException::hours($part);
        if (preg_match('/^(?:from|after)\s+(\S.*)$/iu', $part, $m) === 1 && preg_match('/-|–|\bto\b|\btill\b|\buntil\b/u', $m[1]) !== 1) {
            return [$minute($m[1]), 1439];
        }
        if (preg_match('/^(?:to|till|until|before|by)\s+(\S.*)$/iu', $part, $m) === 1) {
            return [0, $minute($m[1])];
        }
        $ends = preg_split('/\s*(?:-|–|—|\bto\b|\btill\b|\buntil\b)\s*/u', preg_replace('/^from\s+/iu', '', $part) ?? $part) ?: [];

        return count($ends) === 2 ? [$minute($ends[0]), $minute($ends[1])] : throw DiaryException::hours($part);
    }
}
