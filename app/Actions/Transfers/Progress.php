<?php

namespace App\Actions\Transfers;

use App\Models\Transfer;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * How far a transfer is and what it came to, for whoever looks: kept aside of the records, for what is at work is in one
 * transaction, of which nobody sees anything until it is done.
 *
 * @phpstan-type Told array{share: float, says: string, people: list<array{name: string, role: string}>}
 */
final class Progress
{
    /** Written no oftener, seconds. */
    private const EVERY_S = 0.5;

    /** As long as there is anything to tell it of, seconds. */
    private const KEPT_S = 25 * 3600;

    private int $done = 0;

    private float $next = 0.0;

    /** @param  ?string  $job the queue's number of what is at work, which is told that it lives */
    public function __construct(private readonly Transfer $transfer, private readonly int $all, private readonly ?string $job) {}

    public function step(): void
    {
        $this->done++;
        $now = microtime(true);
        if ($now < $this->next) {
            return;
        }
        $this->next = $now + self::EVERY_S;
        self::tell($this->transfer, min(0.99, $this->done / max(1, $this->all)), '', []);
        // On a connection of its own: the queue would give the job to another worker that it has heard nothing of.
        $this->job === null ||
            DB::connection('aside')
                ->table('jobs')
                ->where('id', $this->job)
                ->update(['reserved_at' => Carbon::now()->getTimestamp()]);
    }

    /** @param  list<array{name: string, role: string}>  $people */
    public static function tell(Transfer $transfer, float $share, string $says, array $people): void
    {
        Cache::put(self::key($transfer), ['share' => $share, 'says' => $says, 'people' => $people], self::KEPT_S);
    }

    /** @return Told */
    public static function of(Transfer $transfer): array
    {
        /** @var Told|null $told */
        $told = Cache::get(self::key($transfer));

        return $told ?? ['share' => 0.0, 'says' => '', 'people' => []];
    }

    public static function forget(Transfer $transfer): void
    {
        Cache::forget(self::key($transfer));
    }

    private static function key(Transfer $transfer): string
    {
        return 'transfer.'.$transfer->uid;
    }
}
