<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;

/** A line of a logbook: never changed and never taken out; a correction points at what it corrects. */
trait AppendOnly
{
    use HasUlids;

    public static function bootAppendOnly(): void
    {
        $never = fn () => throw new \LogicException('The logbook is append-only: correct an entry with another.');
        static::updating($never);
        static::deleting($never);
    }

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['uid'];
    }
}
