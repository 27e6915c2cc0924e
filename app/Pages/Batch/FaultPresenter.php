<?php

namespace App\Pages\Batch;

use App\Actions\Batches\GatherEvidence;
use App\Actions\Batches\Records;
use App\Models\Batch;
use App\Responses\Batch\FaultCause;
use App\Responses\Batch\FaultsFound;
use App\Responses\Batch\FaultSign;
use App\Responses\Batch\FaultSigns;
use Kettle\Fault\FaultFinder;

/** What the records of a batch say for and against each fault. */
final readonly class FaultPresenter
{
    public function __construct(private FaultFinder $finder, private GatherEvidence $evidence) {}

    public function signs(): FaultSigns
    {
        return new FaultSigns(
            array_map(fn (array $sign) => new FaultSign($sign['id'], $sign['says'], $sign['discard']), $this->finder->signs()),
        );
    }

    /** @param  list<string>  $signs */
    public function found(array $signs, ?Batch $batch): FaultsFound
    {
        $found = $this->finder->find($signs, $batch === null ? [] : $this->evidence->of($batch));

        return new FaultsFound(
            $found['keep'],
            $found['says'],
            array_map(
                fn (array $cause) => new FaultCause(
                    $cause['id'],
                    $cause['name'],
                    $cause['likely'],
                    $cause['for'],
                    $cause['against'],
                    $cause['test'],
                    $cause['do'],
                    $cause['keep'],
                ),
                $found['causes'],
            ),
        );
    }
}
