<?php

namespace App\Actions\Batches;

use App\Actions\Melt\WantProduct;
use App\Actions\NextCode;
use App\Actions\Stores\StockLedger;
use App\House\KitchenFactory;
use App\Models\Batch;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\FilledSize;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Reason\Said;
use Kettle\Recipe\Before;
use Kettle\Recipe\Begun;
use Kettle\Recipe\Finished;
use Kettle\Recipe\InfusedOil;
use Kettle\Recipe\Plan;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Recipe\WishReader;

/** Turns a wish into a batch with a code, a plan that stays as it is, and a logbook; takes what it needs from Stores. */
final readonly class StartBatch
{
    public function __construct(
        private Planning $planning,
        private KitchenFactory $kitchens,
        private NextCode $codes,
        private Logbook $logbook,
        private StockLedger $ledger,
        private WantProduct $wanted,
        private SecondCharge $charge,
    ) {}

    /**
     * @param  array<mixed>  $wish
     * @param  list<string>  $acknowledged ids of the cautions somebody has read
     * @param  ?array{string, int}  $for id of a product that is wanted by a day, and which of its oils this is
     *
     * @throws WishException
     * @throws \Kettle\Stores\LotException when a lot was emptied meanwhile
     */
    public function __invoke(array $wish, string $origin = '', ?string $repeats = null, array $acknowledged = [], ?array $for = null): Batch
    {
        $kitchen = $this->charge->kitchen($wish);
        $plan = $this->planning->plan($wish, $kitchen);
        // What is warmed is begun today at the earliest, and when it is filled is still to be said.
        $begun = $plan->wish->method->heated ? null : Begun::day($wish, $kitchen);
        $read = MustBeRead::of($plan->notes, $acknowledged, $this->kitchens->words(), 'purpose');
        // Frozen as JSON would read back, so that what is used now and later is the same.
        $document = json_decode(json_encode(Said::kept($this->planning->record($plan, $kitchen)), JSON_THROW_ON_ERROR), true);
        assert(is_array($document));

        return DB::transaction(function () use ($wish, $origin, $repeats, $plan, $document, $read, $for, $begun): Batch {
            $batch = Batch::query()->create([
                'code' => $this->codes->of('begun'),
                'herbs' => $plan->wish->mix->said(),
                'oils' => $plan->wish->blend->said(),
                'origin' => $origin,
                'wish' => WishReader::tidy($wish),
                'plan' => $document,
                'stage' => Stage::Planned,
                'shelf' => [],
                'start_at' => Carbon::instance($plan->timetable->fillAt)->utc(),
                'strain_at' => Carbon::instance($plan->timetable->strainAt)->utc(),
                'best_before' => $plan->figures['best_before']->text(),
                'repeats' => $repeats,
                'version' => 0,
            ]);
            $this->ledger->take($batch, $this->takes($plan));
            $before = $plan->wish->asked->before;
            $lines = [
                [new Started($plan->sentenceText(), $read, $before !== null), $before === null ? $begun : $plan->timetable->fillAt],
                ...match (true) {
                    $before !== null => $this->made($plan, $before),
                    // It is full since then: its days are reckoned from there.
                    $begun !== null => [[self::filled(), $begun]],
                    default => [],
                },
            ];
            foreach ($lines as [$line, $at]) {
                $this->logbook->write($batch, fn () => new NewLine($line, at: $at));
            }
            $for === null || $this->wanted->oilBegun($for[0], $for[1], $batch);

            return $batch;
        });
    }

    /**
     * It is there already: filled and strained by then, and in its bottles. What is not known of it is not said.
     *
     * @return list<array{Line, \DateTimeImmutable}> each with when it happened
     */
    private function made(Plan $plan, Before $before): array
    {
        $there = $plan->wish->sizing->finished;
        assert($there !== null);
        $strained = $before->strainedOn($this->kitchens->plain())->setTime(12, 0);
        $ml = round($there->ml, 3);
        $warmth = $plan->wish->method->heated ? Strained::WARMTH_HAD : '';

        return [
            [self::filled(), min($plan->timetable->fillAt, $strained)],
            [new Strained($there->said, $ml, '', null, null, null, false, $warmth), $strained],
            [new Bottled([new FilledSize('', $this->called($there), $there->eachMl(), $there->count)], $ml, 0.0), $strained],
        ];
    }

    private static function filled(): TaskLine
    {
        return new TaskLine(Step::Fill->value, Outcome::Done, '', [], null, null);
    }

    /** "100 mL bottle", as the house would measure it. */
    private function called(Finished $there): string
    {
        return $this->kitchens->words()->of(Said::of('before.bottle', ['holds' => ['mL' => $there->eachMl()]]));
    }

    /** @return list<array{lot: string, amount: float}> out of Stores; an infused oil goes out of its own bottles */
    private function takes(Plan $plan): array
    {
        $takes = [];
        foreach ($plan->supplies->needs as $need) {
            foreach ($need['taking']->takes as $take) {
                if (InfusedOil::batchOf($take['lot']->id) === null) {
                    $takes[] = ['lot' => $take['lot']->id, 'amount' => round($take['amount'], 3)];
                }
            }
        }

        return $takes;
    }
}
