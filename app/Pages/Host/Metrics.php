<?php

namespace App\Pages\Host;

use App\Actions\People\SignedIn;
use App\Backup\LastBackup;
use App\Models\House;
use App\Models\StoveSession;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Redis;

/** What a host watches, in the text format of Prometheus (version 0.0.4). Counts alone: of nobody and of no house by name. */
final readonly class Metrics
{
    public function __construct(private Health $health) {}

    public function text(): string
    {
        $now = Carbon::now()->getTimestamp();
        $backup = LastBackup::read();
        $waiting = DB::table('jobs')->selectRaw('queue AS called, COUNT(*) AS many, MIN(available_at) AS oldest')->groupBy('queue')->get();
        $lines = [
            ...self::gauge('kettle_houses', 'Houses here.', [['', House::query()->count()]]),
            ...self::gauge('kettle_accounts', 'Accounts here.', [['', User::query()->count()]]),
            ...self::gauge('kettle_sessions', 'Sessions that are signed in.', [['', SignedIn::rows()->whereNotNull('user_id')->count()]]),
            ...self::gauge('kettle_batches', 'Batches by stage.', self::counted('batches', 'stage')),
            ...self::gauge('kettle_pots_warm', 'Pots that are warm.', [
                ['', StoveSession::query()->withoutGlobalScope('house')->where('state', '!=', StoveSession::ENDED)->count()],
            ]),
            ...self::gauge('kettle_transfers', 'Whole houses on their way, by state.', self::counted('transfers', 'state')),
            ...self::gauge('kettle_jobs_waiting', 'Jobs that wait, by queue.', self::each($waiting, fn (\stdClass $row) => $row->many)),
            ...self::gauge(
                'kettle_oldest_job_seconds',
                'For how long the oldest job has waited, by queue.',
                self::each($waiting, fn (\stdClass $row) => is_numeric($row->oldest) ? max(0, $now - (int) $row->oldest) : 0),
            ),
            ...self::gauge('kettle_jobs_failed', 'Jobs that were given up.', [['', DB::table('failed_jobs')->count()]]),
            ...self::gauge(
                'kettle_part_beat_age_seconds',
                'Since a part gave its last sign of life.',
                array_map(fn (string $part, int $age) => ["part=\"{$part}\"", $age], array_keys($beats = $this->health->beats()), $beats),
            ),
            ...self::shared(),
            ...self::gauge('kettle_disk_free_bytes', 'Room on the disk.', [['', (int) disk_free_space(storage_path())]]),
        ];
        if ($backup !== null) {
            $lines = [
                ...$lines,
                ...self::gauge('kettle_backup_age_seconds', 'Since the last backup.', [['', $now - $backup->at->getTimestamp()]]),
                ...self::gauge('kettle_backup_bytes', 'How large the last backup is.', [['', $backup->bytes]]),
            ];
        }

        return implode("\n", $lines)."\n";
    }

    /** @return list<string> whether the cache that several machines share answers, where there is one */
    private static function shared(): array
    {
        if (config('cache.default') !== 'shared') {
            return [];
        }
        try {
            Redis::connection('cache')->command('ping');
            $up = 1;
        } catch (\Throwable) {
            $up = 0;
        }

        return self::gauge('kettle_shared_cache_up', 'Whether the cache that several machines share answers.', [['', $up]]);
    }

    /**
     * @param  list<array{string, int|float}>  $values each with its labels
     * @return list<string>
     */
    private static function gauge(string $name, string $help, array $values): array
    {
        return [
            "# HELP {$name} {$help}",
            "# TYPE {$name} gauge",
            ...array_map(fn (array $each) => $name.($each[0] === '' ? '' : '{'.$each[0].'}').' '.$each[1], $values),
        ];
    }

    /** @return list<array{string, int}> how many rows of a table, of all houses, by one of its columns */
    private static function counted(string $table, string $by): array
    {
        $rows = DB::table($table)
            ->selectRaw("{$by} AS called, COUNT(*) AS many")
            ->groupBy($by)
            ->get();

        return self::each($rows, fn (\stdClass $row) => $row->many, $by);
    }

    /**
     * @param  iterable<\stdClass>  $rows
     * @param  \Closure(\stdClass): mixed  $value
     * @return list<array{string, int}>
     */
    private static function each(iterable $rows, \Closure $value, string $label = 'queue'): array
    {
        $values = [];
        foreach ($rows as $row) {
            $many = $value($row);
            $called = is_string($row->called) ? $row->called : '';
            $values[] = ["{$label}=\"{$called}\"", is_numeric($many) ? (int) $many : 0];
        }

        return $values;
    }
}
