<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Stored;
use Kettle\Boiling\Line\Covered;
use Kettle\Boiling\Line\Lit;
use Kettle\Boiling\Line\Made;
use Kettle\Boiling\Line\Marked;
use Kettle\Boiling\Line\Moved;
use Kettle\Boiling\Line\SignsSeen;
use Kettle\Boiling\Line\Taken;
use Kettle\Boiling\Line\Warmed;

/** Reads lines of a pot's logbook as they were stored. */
final class Lines
{
    public const KINDS = [
        Started::KIND,
        Lit::KIND,
        Covered::KIND,
        Marked::KIND,
        Moved::KIND,
        Warmed::KIND,
        SignsSeen::KIND,
        Made::KIND,
        Taken::KIND,
        Discarded::KIND,
        Undone::KIND,
        Note::KIND,
    ];

    /** @param  array<mixed>  $data as it was stored; a kind that is not known is a note */
    public static function read(string $kind, array $data): Line
    {
        $stored = new Stored($data);

        return match ($kind) {
            Started::KIND => Started::of($stored),
            Lit::KIND => new Lit(),
            Covered::KIND => new Covered(),
            Marked::KIND => Marked::of($stored),
            Moved::KIND => Moved::of($stored),
            Warmed::KIND => Warmed::of($stored),
            SignsSeen::KIND => SignsSeen::of($stored),
            Made::KIND => Made::of($stored),
            Taken::KIND => Taken::of($stored),
            Discarded::KIND => new Discarded(),
            Undone::KIND => Undone::of($stored),
            default => new Note(),
        };
    }
}
