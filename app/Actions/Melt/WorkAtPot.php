<?php

namespace App\Actions\Melt;

use App\Actions\Batches\NewLine;
use App\Actions\Batches\NoteFault;
use App\Actions\Batches\Records;
use App\Actions\Boil\TakeFromPots;
use App\House\KitchenFactory;
use App\Models\Making;
use App\Models\MakingEntry;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Undone;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage as BatchStage;
use Kettle\Keeping\ShelfLife;
use Kettle\Making\FrozenProduct;
use Kettle\Making\Hand;
use Kettle\Making\Line\TinGone;
use Kettle\Making\MakingException;
use Kettle\Making\MakingState;
use Kettle\Making\PotPart;
use Kettle\Making\Stage;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialException;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Melt\FromStores;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Part;
use Kettle\Melt\Weighed;
use Kettle\Reason\RefusedException;
use Kettle\Trace\Person;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What is done at the pot, from the first weighing to the last tin; each a line of the product's logbook. */
final readonly class WorkAtPot
{
    public function __construct(
        private MakingLogbook $logbook,
        private MakingRecords $records,
        private ProductHouse $houses,
        private KitchenFactory $kitchens,
        private Cupboard $cupboard,
        private Records $batches,
        private ProductEvidence $evidence,
        private TakeFromPots $pots,
    ) {}

    /**
     * @param  ?string  $typed how much; null for as it was planned
     *
     * @throws RefusedException
     */
    public function weigh(Making $making, string $part, ?string $typed): MakingEntry
    {
        return $this->line($making, function (Hand $hand, MakingState $state, Making $locked) use ($part, $typed): Line {
            $there = $state->pot->part($part) ?? throw MakingException::part($part);
            $there->batch === null || $this->refuseTurned($locked, $there->batch);
            $this->pots->refuseOver($there);

            return $hand->weigh($part, $typed === null ? null : $this->grams($typed, $there), $typed ?? '');
        });
    }

    /** @throws RefusedException */
    public function step(Making $making, string $step, ?string $warmth, ?string $mass = null): MakingEntry
    {
        $celsius = $warmth === null ? null : $this->celsius($warmth, 'warmth');
        $massG = $mass === null ? null : $this->mass($mass, 'mass');

        return $this->line($making, fn (Hand $hand) => $hand->step($step, $celsius, $massG));
    }

    /** @throws RefusedException when there is no leaf in it */
    public function stir(Making $making, ?string $warmth): MakingEntry
    {
        $celsius = $warmth === null ? null : $this->celsius($warmth, 'warmth');

        return $this->line($making, fn (Hand $hand) => $hand->stir($celsius));
    }

    /** @throws RefusedException */
    public function spoon(Making $making, string $is, string $by, ?string $room, ?string $stuck): MakingEntry
    {
        $roomC = $room === null ? null : $this->celsius($room, 'room');
        $stuckG = $stuck === null ? 0.0 : $this->mass($stuck, 'stuck');

        return $this->line($making, fn (Hand $hand) => $hand->spoon($is, $by, $roomC, $stuckG));
    }

    /**
     * @param  ?string  $part a part of the pot, or a wax, a butter or an oil of the tables
     *
     * @throws RefusedException
     */
    public function mend(Making $making, ?string $part, ?string $typed, ?string $out): MakingEntry
    {
        return $this->line($making, function (Hand $hand, MakingState $state, Making $locked) use ($part, $typed, $out): Line {
            $outG = $out === null ? 0.0 : $this->mass($out, 'out');
            if ($part === null || $typed === null) {
                return $hand->mend(null, $outG, true);
            }
            $material = $this->material($part, $state, $locked);
            $grams = RefusedException::at(
                'amount',
                fn () => $this->kitchens->plain()->measured()->read($typed, Kind::Mass, 'g', Density::gramsPerMl($material->gramsPerMl))
                    ->value,
            );
            $weighed = new Weighed($material, $grams);
            $house = $this->houses->cupboard([$material->id]);
            $today = $house->kitchen->today();
            $until = min(
                $locked->plan->bestBefore,
                ($material->infused->bestBefore ?? ShelfLife::after($today, $material->months))->format('Y-m-d'),
            );

            return $hand->mend(
                PotPart::of($weighed, $house->kitchen->dropsPerMl, FrozenProduct::lots($weighed, $house), null, $until),
                $outG,
                $material->infused->food ?? $material->food,
                $typed,
            );
        });
    }

    /**
     * @param  list<array{ml: float, count: int}>  $tins sizes to the brim
     *
     * @throws RefusedException
     */
    public function pour(Making $making, array $tins, ?string $left, string $where): MakingEntry
    {
        return $this->line($making, function (Hand $hand, MakingState $state, Making $locked) use ($tins, $left, $where): Line {
            $this->refuseTurned($locked);
            // What was weighed went in while it was good.
            $this->pots->refuseOver(...array_values(array_diff_key(array_column($state->pot->parts, null, 'id'), $state->weighed)));
            $fill = $state->plan->fill();

            return $hand->pour(
                array_map(fn (array $tin) => $tin + ['holds_ml' => $tin['ml'] * $fill], $tins),
                $left === null
                    ? null
                    : RefusedException::at(
                        'left',
                        fn () => $this->kitchens
                            ->plain()
                            ->reader()
                            ->read($left, Kind::Volume, 'mL', Density::gramsPerMl($state->pot->massG / $state->pot->ml))->value,
                    ),
                $where,
                $this->emptyTins($state->plan->product, $tins),
            );
        });
    }

    /**
     * @param  value-of<TinGone::HOW>  $how
     *
     * @throws RefusedException
     */
    public function gone(Making $making, int $number, string $how, string $to, ?float $price): MakingEntry
    {
        return $this->line($making, function (Hand $hand, MakingState $state, Making $locked) use ($number, $how, $to, $price): Line {
            // What its oil has become since counts for what is left of it.
            $how === 'thrown' || $this->refuseTurned($locked);

            return $hand->gone($number, $how, Person::written($to), $price);
        });
    }

    /** @throws DiaryException when what is corrected is not a note */
    public function note(Making $making, string $note, ?string $corrects): MakingEntry
    {
        return $this->logbook->write($making, function (MakingState $state, Making $locked) use ($note, $corrects): NewLine {
            if ($corrects !== null) {
                $old = $locked->entries()->where('uid', $corrects)->first() ?? throw new NotFoundHttpException();
                $old->line() instanceof Note || throw DiaryException::onlyNotes();
            }

            return new NewLine(new Note(), $note, $corrects);
        });
    }

    /**
     * @param  list<string>  $signs what was seen to be wrong
     *
     * @throws RefusedException when nothing was seen, or something unknown
     */
    public function fault(Making $making, array $signs): MakingEntry
    {
        return $this->logbook->write(
            $making,
            fn (MakingState $state, Making $locked) => new NewLine(
                NoteFault::line($this->cupboard->tables(), $signs, $this->evidence->of($locked)),
            ),
        );
    }

    /** @throws MakingException when it was thrown away before */
    public function discard(Making $making, string $reason): MakingEntry
    {
        return $this->logbook->write(
            $making,
            fn (MakingState $state) => $state->stage === Stage::Discarded
                ? throw MakingException::notOpen(Stage::Discarded)
                : new NewLine(new Discarded(), $reason),
        );
    }

    /** @throws RefusedException when the line was struck out before, or later ones rest on it */
    public function undo(Making $making, string $entry): MakingEntry
    {
        return $this->logbook->write($making, function (MakingState $state, Making $locked) use ($entry): NewLine {
            $locked->entries()->where('uid', $entry)->first() ?? throw new NotFoundHttpException();
            $struck = $this->records->log($locked)->toStrike($entry);

            return new NewLine(new Undone($struck->line->kind()), null, $entry);
        });
    }

    /**
     * Nothing is made of an oil that was thrown away since it was begun, or whose hours are over.
     *
     * @param  ?string  $only of one batch, by its uid
     *
     * @throws RefusedException
     */
    private function refuseTurned(Making $making, ?string $only = null): void
    {
        foreach ($making->batches as $batch) {
            if ($only === null || $batch->uid === $only) {
                if ($batch->stage === BatchStage::Discarded) {
                    throw MakingException::oilThrown($batch->code);
                }
                $this->batches->refuseOver($batch);
            }
        }
    }

    /** @param  \Closure(Hand, MakingState, Making): Line  $make */
    private function line(Making $making, \Closure $make): MakingEntry
    {
        return $this->logbook->write(
            $making,
            fn (MakingState $state, Making $locked) => new NewLine($make(new Hand($state, $this->kitchens->words()), $state, $locked)),
        );
    }

    /**
     * As many empty ones as Stores has of each size; what it has not counted was there all the same.
     *
     * @param  string  $product its id
     * @param  list<array{ml: float, count: int}>  $tins
     * @return list<array{lot: string, count: int}>
     */
    private function emptyTins(string $product, array $tins): array
    {
        $product = MeltTable::of($this->cupboard->tables())->product($product);
        $house = $this->houses->cupboard();
        $taken = [];
        foreach ($tins as $tin) {
            foreach (FromStores::tins($product, $tin['ml'], $tin['count'], $house)->takes as $take) {
                $taken[] = ['lot' => $take['lot']->id, 'count' => (int) round($take['amount'])];
            }
        }

        return $taken;
    }

    /** g of a part: by weight, by measure through its density, or in drops of it. A bare number is what it is counted in. */
    private function grams(string $typed, PotPart $part): float
    {
        $typed = $part->dropG !== null && is_numeric(trim($typed)) ? trim($typed).' drops' : $typed;

        return RefusedException::at(
            'amount',
            fn () => $this->kitchens->plain()->measured()->read($typed, Kind::Mass, 'g', Density::gramsPerMl($part->gramsPerMl))->value,
        );
    }

    /** As somebody reads a thermometer: "66 C", "150 F"; a bare number in the degrees that this cook reads. */
    private function celsius(string $typed, string $field): float
    {
        return RefusedException::at($field, fn () => $this->kitchens->plain()->celsius($typed));
    }

    private function mass(string $typed, string $field): float
    {
        return RefusedException::at($field, fn () => $this->kitchens->plain()->measured()->read($typed, Kind::Mass, 'g')->value);
    }

    /** @throws MakingException when nothing is called so */
    private function material(string $id, MakingState $state, Making $making): Part
    {
        $batch = $state->pot->part($id)?->batch;
        if ($batch !== null) {
            $house = $this->houses->of(['oils' => [['batch' => $batch]]]);

            return Part::ofInfused($house->infused[$batch] ?? throw MakingException::part($id), $this->cupboard);
        }
        $wax = $this->cupboard->waxOrNull($id);
        if ($wax !== null) {
            return Part::ofWax($wax);
        }
        try {
            return Part::ofOil($this->cupboard->carrier($id), $this->cupboard);
        } catch (MaterialException) {
            throw MakingException::part($id);
        }
    }
}
