<?php

namespace App\Actions\Boil;

use App\Actions\Stores\StockLedger;
use App\Models\Boil;
use Kettle\Reason\RefusedException;

/** What a pot is filled from goes out of the pots and lots it stands in, and comes back with one that was never over a flame. */
final readonly class FillPot
{
    public function __construct(private BoilLogbook $logbook, private TakeFromPots $pots, private StockLedger $ledger) {}

    /**
     * In one with the line that says so.
     *
     * @param  bool  $strict whether a lot that holds less than is wanted of it refuses it
     *
     * @throws RefusedException
     */
    public function __invoke(Boil $boil, bool $strict = false): void
    {
        $filled = $this->logbook->state($boil)->isFilled();
        $this->pots->follow($boil, $filled ? $boil->plan->boils : []);
        $this->ledger->followUse($boil, $filled ? $boil->plan->lots : [], $strict);
    }

    /** Of one that was taken in: what it took is in the logbooks and moves that came with it, and is not taken again. */
    public function taken(Boil $boil): void
    {
        $this->pots->noted($boil, $this->logbook->state($boil)->isFilled() ? $boil->plan->boils : []);
    }
}
