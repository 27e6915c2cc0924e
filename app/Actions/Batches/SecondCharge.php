<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Lot;
use Kettle\Batch\BatchState;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\FilledSize;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Line\Used;
use Kettle\Batch\PlannedHerb;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Material\Cupboard;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;
use Kettle\Recipe\Again;
use Kettle\Recipe\InfusedOil;
use Kettle\Recipe\Kitchen;
use Kettle\Stores\LotException;
use Kettle\Time\Day;

/** An oil of the house's own that goes on fresh herb once more: what of it there is, and its way out of its bottles and back. */
final readonly class SecondCharge
{
    /** Stages in which there is an oil that herb can be put in. */
    private const THERE = [Stage::Settling, Stage::Poured, Stage::Bottled];

    public function __construct(private Records $records, private KitchenFactory $kitchens, private Cupboard $cupboard) {}

    /**
     * The house as a wish is reckoned in it.
     *
     * @param  array<mixed>  $wish
     */
    public function kitchen(array $wish): Kitchen
    {
        $kitchen = $this->kitchens->forWish($wish);
        $said = InfusedOil::wished($wish);
        $batch = $said === null ? null : Batch::query()->where('uid', $said)->first();
        $oil = $batch === null ? null : $this->oil($batch);

        return $oil === null ? $kitchen : $kitchen->with($oil);
    }

    /**
     * What a second charge is wished for with.
     *
     * The same herb once more, unless another is chosen.
     *
     * @return array<string, mixed>
     *
     * @throws DiaryException where there is no oil yet, or none any more
     */
    public function wish(Batch $batch): array
    {
        $oil = $this->oil($batch) ?? throw DiaryException::notOpen('put herb in the oil of');

        return [
            ...Again::wish($batch->wish, $batch->plan->document),
            'oils' => $oil->oils(),
            'in_oil' => ['batch' => $batch->uid],
            'purpose' => $batch->purpose,
        ];
    }

    /** Whether herb can be put in its oil. */
    public static function isThere(Batch $batch): bool
    {
        return in_array($batch->stage, self::THERE, true) &&
            $batch->plan->isStrained() &&
            $batch->use_by === null &&
            self::left($batch) > 0;
    }

    /**
     * What a batch takes of the oil it is made in stands in that one's logbook too: taken when it is begun, back when it is
     * thrown away before it was filled. Called where a line of its own is written, in one with it.
     *
     * @throws LotException when there is less of it by now
     */
    public function follow(Logbook $logbook, Batch $batch): void
    {
        $base = $batch->plan->base;
        if ($base === null) {
            return;
        }
        $from = Batch::query()->where('uid', $base->batch)->lockForUpdate()->first();
        if ($from === null) {
            return;
        }
        $taken = array_filter(
            $this->records->log($from)->standing,
            fn ($entry) => $entry->line instanceof Used && $entry->line->batch === $batch->uid,
        );
        $back = $batch->stage === Stage::Discarded && $batch->filled_at === null;
        if ($back) {
            foreach ($taken as $entry) {
                $logbook->write($from, fn () => new NewLine(new Undone(Used::KIND), null, $entry->id));
            }
        } elseif ($taken === []) {
            $this->pour($logbook, $from, $batch);
        }
    }

    /** @throws LotException */
    private function pour(Logbook $logbook, Batch $from, Batch $into): void
    {
        $ml = $into->plan->figure('oil_volume');
        $there = self::left($from);
        if (! self::isThere($from) || $ml > $there * DrawFromBottles::READ) {
            throw LotException::emptier(
                "{$from->code}, {$from->herb_name} oil",
                AmountWriter::plain($there, Kind::Volume),
                AmountWriter::plain($ml, Kind::Volume),
            );
        }
        $this->records->refuseOver($from);
        if ($from->stage !== Stage::Bottled) {
            // It stands in one vessel yet, and what is not taken stays there.
            $holds = round($there, 3);
            $called = $this->kitchens->words()->of(Said::of('charge.vessel', ['holds' => ['mL' => $holds]]));
            $logbook->write($from, fn () => new NewLine(new Bottled([new FilledSize('', $called, $holds, 1)], $holds, 0.0)));
        }
        foreach (DrawFromBottles::of($from, min($ml, $there)) as $number => $of) {
            $used = new Used($number, 'used', $of, '', $into->code, batch: $into->uid);
            $logbook->write($from, fn () => new NewLine($used));
        }
    }

    /** As the core takes it; null where there is none of it yet, or it is thrown away. */
    private function oil(Batch $batch): ?InfusedOil
    {
        if (! in_array($batch->stage, self::THERE, true) || ! $batch->plan->isStrained()) {
            return null;
        }
        $state = $this->records->state($batch);
        $lots = LotsUsed::of($batch);
        $zone = $this->kitchens->now()->getTimezone();
        $day = fn (\DateTimeInterface $day) => new \DateTimeImmutable($day->format('Y-m-d'), $zone);
        $said = ['infused' => [$batch->herbs, ['day_of_year' => $day($batch->strained_at ?? $batch->strain_at)->format('Y-m-d')]]];
        $opened = array_filter(array_map(fn (Lot $lot) => $lot->opened_on, $lots));
        $since = $this->kitchens->local($batch->filled_at ?? $batch->start_at);
        $base = $batch->plan->base;
        $cost = $batch->plan->figureOrNull('cost_per_100');

        return new InfusedOil(
            $batch->uid,
            $batch->code,
            $this->kitchens->words()->thing($said),
            $said,
            $batch->plan->blend($this->cupboard),
            self::left($batch),
            $since,
            Day::earliest($base?->opened, ...array_map($day, array_values($opened))),
            $day($batch->best_before),
            array_map(
                fn (PlannedHerb $herb, array $kept) => [
                    'plant' => $herb->plant($this->cupboard),
                    'state' => $herb->state,
                    'kept' => $kept,
                ],
                $batch->plan->herbsInIt(),
                $batch->plan->herbsKept(),
            ),
            self::heat($batch, $state),
            LotsUsed::allergens($batch),
            LotsUsed::areFood($batch),
            $state->keeping->coldOnly || $batch->use_by !== null,
            $cost === null ? null : $cost / 100,
        );
    }

    /** @return list<array{hours: float, celsius: float}> as it was planned, or as much more as it had */
    private static function heat(Batch $batch, BatchState $state): array
    {
        $method = $batch->plan->method;
        $hours = $method->heated ? max($method->hours, $state->progress->warmed->hours()) : 0.0;

        return [
            ...$batch->plan->base->heat ?? [],
            ...$method->targetC !== null && $hours > 0 ? [['hours' => $hours, 'celsius' => $method->targetC]] : [],
        ];
    }

    private static function left(Batch $batch): float
    {
        return $batch->stage === Stage::Bottled ? DrawFromBottles::left($batch) : $batch->toBottleMl();
    }
}
