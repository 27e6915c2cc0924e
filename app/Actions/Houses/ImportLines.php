<?php

namespace App\Actions\Houses;

use App\Models\BoilEntry;
use App\Models\LogEntry;
use App\Models\MakingEntry;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;

/**
 * The lines of an exported logbook, of a batch, a product or a pot: those not here yet are added.
 *
 * @phpstan-import-type LineRow from ImportHouse
 */
final readonly class ImportLines
{
    public function __construct(private CurrentHouse $current) {}

    /**
     * @param  class-string<LogEntry>|class-string<MakingEntry>|class-string<BoilEntry>  $entries
     * @param  string  $key the column that names whose they are
     * @param  list<LineRow>  $log
     * @return int added
     */
    public function add(string $entries, string $key, int $id, array $log): int
    {
        $there = $entries::query()->where($key, $id)->pluck($key, 'uid')->all();
        $rows = [];
        foreach ($log as $line) {
            if (! isset($there[$line['id']])) {
                $there[$line['id']] = $id;
                $rows[] = self::stored($line) + ['house_id' => $this->current->house()->id, $key => $id];
            }
        }
        $entries::query()->insert($rows);

        return count($rows);
    }

    /**
     * @param  LineRow  $line
     * @return array<string, mixed> a line of a logbook as it is stored
     */
    private static function stored(array $line): array
    {
        return [
            'uid' => $line['id'],
            'user_id' => null,
            'by' => $line['by'],
            'kind' => $line['kind'],
            'data' => json_encode($line['kept'] ?? $line['data'], JSON_THROW_ON_ERROR),
            'note' => $line['note'],
            'corrects' => $line['corrects'],
            'happened_at' => Carbon::parse($line['happened_at']),
            'recorded_at' => Carbon::parse($line['recorded_at']),
        ];
    }
}
