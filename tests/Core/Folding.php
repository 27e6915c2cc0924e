<?php

namespace Tests\Core;

use DateTimeImmutable;
use Kettle\Batch\BatchState;
use Kettle\Batch\Entry;
use Kettle\Batch\FrozenPlan;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Logbook;
use Kettle\Batch\Record;
use Kettle\Diary\Availability;
use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;

/** A plan, what was written of it, and how it stands by that. */
final class Folding
{
    /** @param  array<string, mixed>  $wish */
    public static function plan(array $wish = []): FrozenPlan
    {
        return FrozenPlan::of(
            Support::planning()->document(
                Support::plan($wish + ['herb' => ['id' => 'self-heal'], 'oils' => ['sunflower'], 'jar' => '473']),
                Support::kitchen(),
            ),
        );
    }

    /**
     * @param  list<array{string, Line, 2?: ?string}>  $lines day and hour, what was written, and what it strikes out
     */
    public static function logbook(array $lines): Logbook
    {
        return new Logbook(
            array_map(
                fn (int $i, array $line) => new Entry(
                    "e{$i}",
                    new DateTimeImmutable($line[0], new \DateTimeZone('UTC')),
                    'K. Keeper',
                    $line[1],
                    $line[2] ?? null,
                ),
                array_keys($lines),
                $lines,
            ),
        );
    }

    /** @param  list<array{string, Line, 2?: ?string}>  $lines */
    public static function state(FrozenPlan $plan, array $lines, array $lots = []): BatchState
    {
        $cupboard = new Cupboard(Tables::shipped());

        return BatchState::of(
            new Record($plan, self::logbook($lines), new DateTimeImmutable('2026-10-01T10:00:00Z'), Methods::of(Tables::shipped())),
            Availability::between('07:00', '22:30'),
            $cupboard,
            $lots,
        );
    }
}
