<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryRefused;
use Kettle\Diary\Timetable;
use Kettle\Infusion\MethodRefused;
use Kettle\Infusion\Uptake;
use Kettle\Keeping\ShelfLife;
use Kettle\Material\Tables;
use Kettle\Measure\AmountWriter;
use Kettle\Reason\Reason;
use Kettle\Reason\Reckoned;

/** Makes a wish into a plan: every figure with its reasons. */
final readonly class Planner
{
    /** Temperature of oil when it is measured out, degrees C. */
    public const ROOM_C = 20.0;

    /** A cool room, below which a fat that sets is solid on the shelf, degrees C. */
    private const COOL_ROOM_C = 18.0;

    public function __construct(private Tables $tables, private Kitchen $kitchen)
    {
    }

    /** @throws WishRefused when it cannot be made */
    public function plan(Wish $wish): Plan
    {
        $this->refuseUnfit($wish);
        $amounts = Amounts::solve($wish, $this->kitchen);
        [$timetable, $startBy, $late] = $this->days($wish);
        $shelfLife = ShelfLife::ofDried($wish->blend);
        $uptake = Uptake::by($wish->way, $this->tables);
        $figures = [];
        $all = [
            ...$this->weights($wish, $amounts),
            ...$this->levels($wish, $amounts),
            $this->yieldFigure($uptake, $amounts),
            ...$this->dates($wish, $timetable, $startBy, $shelfLife),
        ];
        foreach ($all as $figure) {
            $figures[$figure->id] = $figure;
        }

        return new Plan(
            $wish, $amounts, $figures, $timetable, $shelfLife,
            Sentence::of($wish, $amounts, $this->kitchen),
            Notes::of($wish, $amounts, $timetable, $late, $this->kitchen),
        );
    }

    /** @throws WishRefused */
    private function refuseUnfit(Wish $wish): void
    {
        foreach ($wish->blend->shares() as $oil) {
            if (! $wish->method->heated && $oil['share'] > 0.5 && $oil['carrier']->setsBelowC > self::COOL_ROOM_C) {
                throw WishRefused::from(MethodRefused::solidOnTheShelf($oil['carrier']->name, $oil['carrier']->setsBelowC)->about('method'));
            }
        }
        if ($wish->purpose === 'kitchen' && ! $wish->plant->kitchen) {
            throw WishRefused::one('purpose', 'not_for_the_kitchen', sprintf('%s is not known here as a kitchen herb. Plan it for the skin, or choose another herb.', ucfirst($wish->plant->name)));
        }
    }

    /** @return array{Timetable, \DateTimeImmutable, bool} the timetable, the latest start, and whether it comes late */
    private function days(Wish $wish): array
    {
        $waking = $this->kitchen->waking;
        $today = $this->kitchen->today();
        $hours = $wish->school->usualH;
        $start = $wish->start;
        $latest = $wish->readyBy === null ? null : Timetable::latestStart($wish->method, $hours, $wish->readyBy, $waking);
        $start ??= $latest !== null && $latest > $today ? $latest : $today;
        $moment = $start == $today ? $this->kitchen->now : $waking->midMorning($start);
        $timetable = Timetable::lay($wish->method, $hours, $moment, $waking);
        $late = $wish->readyBy !== null && $timetable->readyDay() > $wish->readyBy;
        if ($late && $wish->start !== null && $latest !== null && $latest >= $today) {
            throw WishRefused::from(DiaryRefused::startAfterReady($start->format('j F'), $wish->readyBy->format('j F'))->about('start'));
        }

        return [$timetable, $latest ?? $start, $late];
    }

    /** @return list<Reckoned> */
    private function weights(Wish $wish, Amounts $amounts): array
    {
        $density = $wish->blend->density(self::ROOM_C);
        $figures = [
            Reckoned::exactly('herb_mass', $amounts->herbG, 'g', ...$amounts->herbReasons),
            Reckoned::exactly('oil_volume', $amounts->oilMl, 'mL', ...$amounts->oilReasons),
        ];
        $massReasons = [Reason::rule('oil-by-density', [
            'oil_ml' => round($amounts->oilMl), 'celsius' => self::ROOM_C, 'g_per_ml' => round($density->gramsPerMl, 3),
        ])];
        if (! $wish->blend->isSingle()) {
            $massReasons[] = Reason::rule('blend-density', ['g_per_ml' => round($density->gramsPerMl, 3)]);
        }
        $figures[] = Reckoned::exactly('oil_mass', $density->massOf($amounts->oilMl), 'g', ...$massReasons);
        foreach ($wish->blend->shares() as $oil) {
            $ml = $amounts->oilMl * $oil['share'];
            $at20 = $oil['carrier']->at20->gramsPerMl;
            $figures[] = Reckoned::exactly('oil_volume.'.$oil['carrier']->id, $ml, 'mL', ...$amounts->oilReasons);
            $figures[] = Reckoned::exactly('oil_mass.'.$oil['carrier']->id, $ml * $at20, 'g', Reason::rule('oil-by-density', [
                'oil_ml' => round($ml), 'celsius' => self::ROOM_C, 'g_per_ml' => round($at20, 3),
            ]));
        }

        return $figures;
    }

    /** @return list<Reckoned> */
    private function levels(Wish $wish, Amounts $amounts): array
    {
        $levels = $amounts->levels;
        $area = round($amounts->jar->areaMm2());
        $herb = round($amounts->herbG, 1);
        $herbMl = round($wish->form->particle->volumeOf($amounts->herbG), 1);
        $around = fn (string $id, float $mm, float $part, Reason $why) => Reckoned::between($id, $mm * (1 - $part), $mm, $mm * (1 + $part), 'mm', $why);
        $bedLow = $levels->bedMm * 0.8;
        $bedHigh = $levels->bedMm * 1.2;

        return [
            $around('dry_fill_height', $levels->dryFillMm, 0.25, Reason::rule('dry-fill', ['herb_g' => $herb, 'loose' => $wish->form->loose->gramsPerMl, 'area_mm2' => $area])),
            Reckoned::exactly('level_height', $levels->levelMm, 'mm', Reason::rule('level', ['oil_ml' => round($amounts->oilMl), 'herb_ml' => $herbMl, 'area_mm2' => $area])),
            Reckoned::between('bed_height', $bedLow, $levels->bedMm, $bedHigh, 'mm', Reason::rule('bed', ['herb_g' => $herb, 'settled' => $wish->form->settled->gramsPerMl])),
            Reckoned::between('cover', $levels->levelMm - $bedHigh, $levels->coverMm(), $levels->levelMm - $bedLow, 'mm', Reason::rule('cover', [
                'level_mm' => round($levels->levelMm), 'bed_mm' => round($levels->bedMm), 'wanted_mm' => Amounts::COVER_MM,
            ])),
            Reckoned::exactly('headspace', $levels->headspaceMm(), 'mm', Reason::rule('headspace', [
                'height_mm' => $amounts->jar->heightMm, 'level_mm' => round($levels->levelMm), 'wanted_mm' => $wish->method->headspaceMm,
            ])),
        ];
    }

    private function yieldFigure(Uptake $uptake, Amounts $amounts): Reckoned
    {
        $yield = $uptake->yield($amounts->oilMl, $amounts->herbG);

        return Reckoned::between('yield_volume', $yield['low'], $yield['value'], $yield['high'], 'mL', Reason::rule('yield', [
            'oil_ml' => round($amounts->oilMl), 'uptake' => $uptake->mlPerGram, 'herb_g' => round($amounts->herbG, 1),
            'way' => $uptake->way, 'losses_ml' => $uptake->lossesMl,
        ]));
    }

    /** @return list<Reckoned> */
    private function dates(Wish $wish, Timetable $times, \DateTimeImmutable $startBy, ShelfLife $life): array
    {
        $school = $wish->school;
        $usual = AmountWriter::span($school->usualH);
        $heated = $wish->method->heated;
        $schoolTime = Reason::rule('school-time', [
            'school' => ucfirst($school->name), 'least' => AmountWriter::span($school->leastH), 'usual' => $usual,
            'most' => AmountWriter::span($school->mostH), 'why' => $school->why,
        ]);
        $startWhy = $wish->readyBy === null
            ? Reason::rule('starts-now', ['start' => $startBy->format('j F Y')])
            : Reason::rule('backwards', ['ready_by' => $wish->readyBy->format('j F Y'), 'settle_h' => Timetable::SETTLE_HOURS, 'usual' => $usual]);
        $sessions = count($times->sessions);
        $strainWhy = $heated
            ? Reason::rule('strain-after-sessions', [
                'usual' => $usual, 'sessions' => $sessions === 1 ? 'one session' : $sessions.' sessions',
                'from' => $this->kitchen->waking->fromText(), 'to' => $this->kitchen->waking->toText(),
            ])
            : Reason::rule('strain-after', ['usual' => $usual, 'start' => $times->fillAt->format('j F Y')]);

        return [
            $heated
                ? Reckoned::between('warm_hours', $school->leastH, $school->usualH, $school->mostH, 'h', $schoolTime)
                : Reckoned::exactly('warm_hours', 0.0, 'h', Reason::rule('not-heated')),
            Reckoned::exactly('start_by', $startBy->format('Y-m-d'), 'date', $startWhy),
            $this->strainBy($wish, $times, $strainWhy, $schoolTime),
            Reckoned::between(
                'best_before',
                ShelfLife::after($times->strainAt, $life->lowMonths)->format('Y-m-d'),
                ShelfLife::after($times->strainAt, $life->months)->format('Y-m-d'),
                ShelfLife::after($times->strainAt, $life->highMonths)->format('Y-m-d'),
                'date',
                ...self::keepingReasons($wish, $life),
            ),
        ];
    }

    private function strainBy(Wish $wish, Timetable $times, Reason $why, Reason $schoolTime): Reckoned
    {
        if ($wish->method->heated) {
            return Reckoned::exactly('strain_by', $times->strainAt->format('Y-m-d'), 'date', $why, $schoolTime);
        }
        $after = fn (float $hours) => $times->fillAt->modify('+'.(int) ceil($hours / 24).' days')->format('Y-m-d');

        return Reckoned::between('strain_by', $after($wish->school->leastH), $times->strainAt->format('Y-m-d'), $after($wish->school->mostH), 'date', $why, $schoolTime);
    }

    /** @return list<Reason> */
    public static function keepingReasons(Wish $wish, ShelfLife $life): array
    {
        $inputs = [
            'oil' => ucfirst($life->weakest->name),
            'months' => $life->weakest->monthsOpened,
            'cap' => $life->capped ? 'Dried herb allows two years at the most.' : '',
        ];

        return $wish->blend->isSingle()
            ? [Reason::rule('keeps-single', $inputs)]
            : [Reason::rule('keeps-weakest', $inputs), Reason::rule('keeps-blend', ['months' => round($life->byRates, 1)])];
    }
}
