<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Stored;
use Kettle\Making\Line\Mended;
use Kettle\Making\Line\Poured;
use Kettle\Making\Line\Spooned;
use Kettle\Making\Line\StepDone;
use Kettle\Making\Line\Stirred;
use Kettle\Making\Line\TinGone;
use Kettle\Making\Line\Weighed;

/** Reads lines of a product's logbook as they were stored. */
final class Lines
{
    public const KINDS = [
        Started::KIND,
        Weighed::KIND,
        StepDone::KIND,
        Stirred::KIND,
        Spooned::KIND,
        Mended::KIND,
        Poured::KIND,
        TinGone::KIND,
        Discarded::KIND,
        FaultNoted::KIND,
        Undone::KIND,
        Note::KIND,
    ];

    /** @param  array<mixed>  $data as it was stored; a kind that is not known is a note */
    public static function read(string $kind, array $data): Line
    {
        $stored = new Stored($data);

        return match ($kind) {
            Started::KIND => Started::of($stored),
            Weighed::KIND => Weighed::of($stored),
            StepDone::KIND => StepDone::of($stored),
            Stirred::KIND => Stirred::of($stored),
            Spooned::KIND => Spooned::of($stored),
            Mended::KIND => Mended::of($stored),
            Poured::KIND => Poured::of($stored),
            TinGone::KIND => TinGone::of($stored),
            Discarded::KIND => new Discarded(),
            FaultNoted::KIND => FaultNoted::of($stored),
            Undone::KIND => Undone::of($stored),
            default => new Note(),
        };
    }
}
