<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Reads lines of a logbook as they were stored. */
final class Lines
{
    /** @param  array<mixed>  $data as it was stored; a kind that is not known is a note */
    public static function read(string $kind, array $data): Line
    {
        $stored = new Stored($data);

        return match ($kind) {
            Started::KIND => Started::of($stored),
            TaskLine::KIND => TaskLine::of($stored),
            Strained::KIND => Strained::of($stored),
            Ready::KIND => Ready::of($stored),
            Topped::KIND => Topped::of($stored),
            Decanted::KIND => Decanted::of($stored),
            Bottled::KIND => Bottled::of($stored),
            Used::KIND => Used::of($stored),
            Checked::KIND => Checked::of($stored),
            PutAway::KIND => PutAway::of($stored),
            PurposeChanged::KIND => PurposeChanged::of($stored),
            FaultNoted::KIND => FaultNoted::of($stored),
            Acknowledged::KIND => Acknowledged::of($stored),
            Look::KIND => $stored->text('what') === ScentLook::WHAT ? ScentLook::of($stored) : ColourLook::of($stored),
            Discarded::KIND => new Discarded(),
            Undone::KIND => Undone::of($stored),
            default => Note::of($stored),
        };
    }
}
