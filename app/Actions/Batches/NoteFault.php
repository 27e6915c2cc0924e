<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Fault\FaultFinder;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;

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
            $found = (new FaultFinder($this->tables))->find($signs, $this->evidence->of($batch));
            $says = array_column((new FaultFinder($this->tables))->signs(), 'says', 'id');

            return new NewLine(
                new FaultNoted(
                    $signs,
                    implode('; ', array_map(fn (string $sign) => $says[$sign] ?? $sign, $signs)),
                    $found['causes'][0]['id'] ?? '',
                    $found['causes'][0]['name'] ?? '',
                    $found['keep'],
                ),
                $note,
            );
        });
    }
}
