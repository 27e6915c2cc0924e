<?php

namespace Tests\Core;

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

/** The Melt asked on a fixed morning. */
final class Melted
{
    private static ?Questions $questions = null;

    private const HOUSE = ['now' => '2026-11-24T10:00:00+00:00', 'time_zone' => 'Europe/London', 'measures' => 'us'];

    /**
     * @param  array<string, mixed>  $asked
     * @return array<string, mixed>
     */
    public static function ask(array $asked, string $mode = 'melt'): array
    {
        self::$questions ??= new Questions(Tables::shipped());

        return self::$questions->ask(
            $mode,
            ['house' => ($asked['house'] ?? []) + self::HOUSE] + $asked,
            new \DateTimeImmutable('2026-11-24T10:00:00Z'),
        );
    }

    /** @param  array<string, mixed>  $asked */
    public static function figure(array $asked, string $id): float
    {
        return self::ask($asked)['figures'][$id]['value'];
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return list<string> "field: reason" of each fault, none when it can be made
     */
    public static function faults(array $asked, string $mode = 'melt'): array
    {
        try {
            self::ask($asked, $mode);

            return [];
        } catch (WishException $refused) {
            foreach ($refused->faults as $fault) {
                expect($fault['sentence'])->toMatch('/[.?]$/');
            }

            return array_map(fn (array $fault) => "{$fault['field']}: {$fault['reason']}", $refused->faults);
        }
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return list<string> "rank id" of each caution
     */
    public static function cautions(array $asked): array
    {
        return array_map(fn (array $each) => "{$each['rank']} {$each['id']}", self::ask($asked)['cautions']);
    }
}
