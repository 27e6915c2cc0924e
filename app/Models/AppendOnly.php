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

    /**
     * @param  iterable<static>  $entries
     * @return array<string, true> uids of those that another of them corrects or strikes out
     */
    public static function corrected(iterable $entries): array
    {
        $corrected = [];
        foreach ($entries as $entry) {
            $corrected[(string) $entry->corrects] = true;
        }

        return $corrected;
    }

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['uid'];
    }
}
