<?php

namespace App\Actions\Houses;

use App\Models\BoilEntry;
use App\Models\LogEntry;
use App\Models\MakingEntry;
use Illuminate\Support\Carbon;
use Kettle\Recipe\Words;

/** What stands in an exported house wherever it comes from: moments, and lines of a logbook. */
final class Exported
{
    /** So many rows are in memory at once, however large the house. */
    public const AT_ONCE = 50;

    /** The file of a picture in a house's zip. */
    public static function picture(string $id): string
    {
        return "photos/{$id}.jpg";
    }

    public static function moment(Carbon $moment): string
    {
        return $moment->copy()->utc()->format('Y-m-d\TH:i:s\Z');
    }

    /** @return array<string, mixed> */
    public static function line(LogEntry|MakingEntry|BoilEntry $entry, Words $words): array
    {
        return [
            'id' => $entry->uid,
            'kind' => $entry->kind,
            'by' => $entry->by,
            'happened_at' => self::moment($entry->happened_at),
            'recorded_at' => self::moment($entry->recorded_at),
            ...$words->toldAndKept($entry->data),
            'note' => $entry->note,
            'corrects' => $entry->corrects,
        ];
    }
}
