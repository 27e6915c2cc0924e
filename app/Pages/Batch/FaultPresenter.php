<?php

namespace App\Pages\Batch;

use App\Actions\Batches\GatherEvidence;
use App\Actions\Batches\Records;
use App\Actions\Melt\ProductEvidence;
use App\Models\Batch;
use App\Models\Making;
use App\Responses\Batch\FaultCause;
use App\Responses\Batch\FaultsFound;
use App\Responses\Batch\FaultSign;
use App\Responses\Batch\FaultSigns;
use Kettle\Fault\FaultFinder;

/** What the records of a batch or a product say for and against each fault. */
final readonly class FaultPresenter
{
    public function __construct(private FaultFinder $finder, private GatherEvidence $evidence, private ProductEvidence $products) {}

    public function signs(): FaultSigns
    {
        return new FaultSigns(
            array_map(fn (array $sign) => new FaultSign($sign['id'], $sign['says'], $sign['discard'], $sign['of']), $this->finder->signs()),
        );
    }

    /** @param  list<string>  $signs */
    public function found(array $signs, Batch|Making|null $thing): FaultsFound
    {
        $found = $this->finder->find(
            $signs,
            match (true) {
                $thing instanceof Batch => $this->evidence->of($thing),
                $thing instanceof Making => $this->products->of($thing),
                default => [],
            },
        );

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
