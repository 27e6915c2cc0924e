<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Cautions;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Timetable;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Said;
use Kettle\Time\Dates;

/** Makes a wish into a plan: every figure with its reasons. */
final readonly class Planner
{
    /** Temperature of oil when it is measured out, degrees C. */
    public const ROOM_C = 20.0;

    public function __construct(private Tables $tables, private Kitchen $kitchen, private Cautions $cautions) {}

    /** @throws WishException when it cannot be made */
    public function plan(Wish $wish): Plan
    {
        Fit::check($wish, $this->kitchen, $this->cautions);
        $uptake = $this->kitchen->uptakeFor($wish);
        $amounts = Amounts::solve($wish, $this->kitchen, $uptake);
        $days = Days::of($wish, $this->kitchen, $amounts);
        if (
            $days->late &&
            $wish->days->start !== null &&
            $wish->days->readyBy !== null &&
            $days->latest !== null &&
            $days->latest >= $this->kitchen->today()
        ) {
            throw WishException::from(
                DiaryException::startAfterReady(
                    Dates::say($wish->days->start, 'day_of_year'),
                    Dates::say($wish->days->readyBy, 'day_of_year'),
                )->about('start'),
            );
        }
        $supplies = Supplies::of($wish, $amounts, $this->kitchen);
        $keeping = self::keeping($wish, $days->timetable, $supplies, $this->tables);
        $facts = WishFacts::of($wish, $this->kitchen, $supplies, $keeping, $days->timetable);
        Fit::againstStops($wish, $facts, $this->kitchen, $this->cautions);
        $figures = [];
        $all = [
            ...AmountFigures::of($wish, $amounts, $uptake),
            ...DayFigures::of($wish, $days, $keeping, $this->kitchen),
            ...BlendFigures::of($wish->blend),
            ...HardFat::figures($wish, $amounts, $this->kitchen),
            ...$supplies->costFigures($uptake->yield($amounts->oilMl, $amounts->dryG($wish))['value']),
        ];
        foreach ($all as $figure) {
            $figures[$figure->id] = $figure;
        }

        return new Plan(
            $wish,
            $amounts,
            $figures,
            $days->timetable,
            $keeping,
            $wish->asked->before === null ? Sentence::of($wish, $amounts) : Sentence::ofBefore($wish, $wish->asked->before),
            Notes::of($wish, $amounts, $days, $this->kitchen, $supplies, $this->cautions, $keeping, $facts),
            $supplies,
            $days->warmUp->load,
        );
    }

    /**
     * Until when it will keep if nothing else is said: cool and dark, or cold where it must be, in dark glass, of the
     * lots it is taken from.
     */
    public static function keeping(Wish $wish, Timetable $times, ?Supplies $supplies, Tables $tables): Keeping
    {
        $facts = fn (string $place) => new StorageFacts(
            $times->fillAt,
            $times->strainAt,
            $wish->storage(),
            [
                ...$wish->asked->inOil->heat ?? [],
                ...$wish->variant->targetC === null ? [] : [['hours' => $wish->variant->usualH, 'celsius' => $wish->variant->targetC]],
            ],
            $supplies?->oilLots() ?? [],
            $place,
            water: $wish->mix->wettest(),
            watery: $wish->mix->isWatery(),
            kitchen: $wish->purpose === 'kitchen',
            printed: $wish->asked->before?->bestBefore,
            onHerb: ! $wish->practice->strained,
        );
        $keeping = Keeping::of($wish->blend, $wish->mix->state, $facts('cool-dark'), $tables);

        return $keeping->coldOnly ? Keeping::of($wish->blend, $wish->mix->state, $facts('fridge'), $tables) : $keeping;
    }
}
