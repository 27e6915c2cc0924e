<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Fault\FaultFinder;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;

/** What was seen to be wrong with a batch, and what it most likely is, in its logbook. */
final readonly class NoteFault
{
    public function __construct(private Logbook $logbook, private GatherEvidence $evidence, private Tables $tables) {}

    /**
     * @param  list<string>  $signs
     *
     * @throws RefusedException when nothing was seen, or something unknown
     */
    public function __invoke(Batch $batch, array $signs, ?string $note): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($signs, $note): NewLine {
            return new NewLine(self::line($this->tables, $signs, $this->evidence->of($batch)), $note);
        });
    }

    /**
     * @param  list<string>  $signs
     * @param  array<string, array<string, string>>  $facts what the records say, with the words it is said with
     *
     * @throws RefusedException when nothing was seen, or something unknown
     */
    public static function line(Tables $tables, array $signs, array $facts): FaultNoted
    {
        $found = (new FaultFinder($tables))->find($signs, $facts);

        return new FaultNoted(
            $signs,
            Said::just(['each' => array_map(fn (string $sign) => ['sign' => $sign], $signs)]),
            $found['causes'][0]['id'] ?? '',
            isset($found['causes'][0]) ? Said::just(['fault' => $found['causes'][0]['id']]) : null,
            $found['keep'],
        );
    }
}
