<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\CautionException;
use Kettle\Caution\Cautions;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Labour;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Method;
use Kettle\Infusion\MethodException;
use Kettle\Infusion\SpiritStart;
use Kettle\Infusion\Uptake;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\HerbMix;
use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Time\Dates;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\JarException;

/** Makes a wish into a plan: every figure with its reasons. */
final readonly class Planner
{
    /** Temperature of oil when it is measured out, degrees C. */
    public const ROOM_C = 20.0;

    public function __construct(private Tables $tables, private Kitchen $kitchen, private Cautions $cautions) {}

    /** @throws WishException when it cannot be made */
    public function plan(Wish $wish): Plan
    {
        self::refuseUnfit($wish, $this->kitchen, $this->cautions);
        $uptake = $this->kitchen->uptake($wish->mix, $wish->practice->way);
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
        self::refuseStopped($wish, $facts, $this->kitchen, $this->cautions);
        $figures = [];
        $all = [
            ...$this->weights($wish, $amounts),
            ...$this->levels($wish, $amounts),
            $this->yieldFigure($wish, $uptake, $amounts),
            ...$this->soak($wish, $amounts),
            ...$this->dates($wish, $days, $keeping),
            ...$this->warmUp($days),
            ...BlendFigures::of($wish->blend),
            ...HardFat::figures($wish, $amounts, $this->kitchen),
            ...$this->cost($supplies, $uptake->yield($amounts->oilMl, $amounts->dryG($wish))['value']),
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
            Sentence::of($wish, $amounts),
            Notes::of($wish, $amounts, $days, $this->kitchen, $supplies, $this->cautions, $keeping, $facts),
            $supplies,
            $days->warmUp->load,
        );
    }

    /** @throws WishException when the method, the oil or the purpose does not go with the herb */
    public static function refuseUnfit(Wish $wish, Kitchen $kitchen, Cautions $cautions): void
    {
        foreach ($wish->blend->shares() as $oil) {
            if (! $wish->method->heated && $oil['share'] > 0.5 && $oil['carrier']->setsBelowC > $kitchen->roomC) {
                throw WishException::from(
                    MethodException::solidOnTheShelf($oil['carrier']->name, $oil['carrier']->setsBelowC)->about('method'),
                );
            }
        }
        if ($wish->sizing->jar !== null && ! in_array($wish->sizing->jar->kind, $wish->method->wants->vessels, true)) {
            throw WishException::withWays(
                JarException::notFor($wish->sizing->jar, $wish->method->name, $wish->method->wants->vessels[0])->about('jar'),
                Remedies::ofVessel($wish, $kitchen),
            );
        }
        if ($wish->sizing->byJar !== null && $wish->method->has(Method::IN_PAN)) {
            throw WishException::withWays(
                (new JarException(
                    'unfit',
                    'The jar way fills a jar, and a pan has no shoulder to fill to. Weigh the herb, or say how much oil.',
                ))->about('by_jar'),
                Remedies::ofVessel($wish, $kitchen),
            );
        }
        if (! $wish->method->wants->suits($wish->mix->state)) {
            throw WishException::from(MethodException::notFor($wish->method->name, $wish->mix->state->value)->about('method'));
        }
        if ($wish->practice->spirit) {
            try {
                SpiritStart::check($wish->mix, $wish->method);
            } catch (MethodException $refused) {
                throw WishException::withWays($refused->about('spirit'), Remedies::ofSpirit($kitchen));
            }
        }
        self::refuseStopped($wish, WishFacts::of($wish, $kitchen), $kitchen, $cautions);
    }

    /** @throws WishException when a caution forbids even planning it */
    private static function refuseStopped(Wish $wish, Facts $facts, Kitchen $kitchen, Cautions $cautions): void
    {
        $stop = $cautions->stopping($facts);
        if ($stop !== null) {
            throw WishException::withWays(
                new CautionException(
                    $stop->reason,
                    $kitchen->words()->of(
                        Said::of('refused.by-caution', [
                            'says' => $stop->says($facts),
                            'why' => Said::of("caution:{$stop->id}.why"),
                            'source' => Said::of('source:'.$stop->source),
                        ]),
                    ),
                    $stop->field,
                ),
                Remedies::ofStop($stop->id, $wish, $kitchen),
            );
        }
    }

    /** @return list<Figure> */
    private function weights(Wish $wish, Amounts $amounts): array
    {
        $density = $wish->blend->density(self::ROOM_C);
        $figures = [
            Figure::exactly('herb_mass', $amounts->herbG, 'g', ...$amounts->herbReasons),
            Figure::exactly('oil_volume', $amounts->oilMl, 'mL', ...$amounts->oilReasons),
        ];
        $massReasons = [
            Reason::rule('oil-by-density', [
                'oil_ml' => round($amounts->oilMl),
                'celsius' => self::ROOM_C,
                'g_per_ml' => round($density->gramsPerMl, 3),
            ]),
        ];
        if (! $wish->blend->isSingle()) {
            $massReasons[] = Reason::rule('blend-density', ['g_per_ml' => round($density->gramsPerMl, 3)]);
        }
        $figures[] = Figure::exactly('oil_mass', $density->massOf($amounts->oilMl), 'g', ...$massReasons);
        if (! $wish->mix->isSingle()) {
            foreach ($wish->mix->shares() as $i => $share) {
                $part = $wish->mix->parts[$i];
                $figures[] = Figure::exactly(
                    "herb_mass.{$i}",
                    $amounts->herbG * $share,
                    'g',
                    Reason::rule('herb-share', [
                        'herb_g' => round($amounts->herbG, 1),
                        'percent' => round($share * 100, 1),
                        'herb' => $part->plant->said(),
                    ]),
                    ...$amounts->herbReasons,
                );
            }
        }
        if ($wish->mix->state->isWet()) {
            $figures[] = Figure::exactly(
                'dry_equivalent',
                $amounts->dryG($wish),
                'g',
                Reason::rule('dry-equivalent', [
                    'herb_g' => round($amounts->herbG, 1),
                    'water' => round((1 - $wish->mix->dryPerG * (1 - HerbMix::DRY_WATER)) * 100),
                    'dry_g' => round($amounts->dryG($wish), 1),
                ]),
            );
        }
        if ($wish->practice->spirit) {
            $spirit = SpiritStart::ml($amounts->herbG);
            $figures[] = Figure::between(
                'spirit',
                $spirit['low'],
                $spirit['value'],
                $spirit['high'],
                'mL',
                Reason::rule('spirit', [
                    'herb_g' => round($amounts->herbG, 1),
                    'percent' => SpiritStart::LEAST_PERCENT,
                    'stands_h' => SpiritStart::STANDS_H,
                ]),
            );
        }
        foreach ($wish->blend->shares() as $oil) {
            $ml = $amounts->oilMl * $oil['share'];
            $at20 = $oil['carrier']->at20->gramsPerMl;
            $figures[] = Figure::exactly('oil_volume.'.$oil['carrier']->id, $ml, 'mL', ...$amounts->oilReasons);
            $figures[] = Figure::exactly(
                'oil_mass.'.$oil['carrier']->id,
                $ml * $at20,
                'g',
                Reason::rule('oil-by-density', [
                    'oil_ml' => round($ml),
                    'celsius' => self::ROOM_C,
                    'g_per_ml' => round($at20, 3),
                ]),
            );
        }

        return $figures;
    }

    /** @return list<Figure> */
    private function levels(Wish $wish, Amounts $amounts): array
    {
        $levels = $amounts->levels;
        $area = round($amounts->jar->areaMm2());
        $each = $amounts->herbG / $amounts->jars;
        $herb = round($each, 1);
        $herbMl = round($wish->mix->ownMlPerG * $each, 1);
        $around = fn (string $id, float $mm, float $part, Reason $why) => Figure::between(
            $id,
            $mm * (1 - $part),
            $mm,
            $mm * (1 + $part),
            'mm',
            $why,
        );
        $bedLow = $levels->bedMm * 0.8;
        $bedHigh = $levels->bedMm * 1.2;

        if ($wish->method->has(Method::IN_PAN)) {
            // What is stirred in a pan has no cover and no shoulder.
            return [
                Figure::exactly(
                    'level_height',
                    $levels->levelMm,
                    'mm',
                    Reason::rule('level', ['oil_ml' => round($amounts->oilMl / $amounts->jars), 'herb_ml' => $herbMl, 'area_mm2' => $area]),
                ),
            ];
        }

        return [
            $around(
                'dry_fill_height',
                $levels->dryFillMm,
                0.25,
                Reason::rule('dry-fill', ['herb_g' => $herb, 'loose' => round(1 / $wish->mix->looseMlPerG, 3), 'area_mm2' => $area]),
            ),
            Figure::exactly(
                'level_height',
                $levels->levelMm,
                'mm',
                Reason::rule('level', ['oil_ml' => round($amounts->oilMl / $amounts->jars), 'herb_ml' => $herbMl, 'area_mm2' => $area]),
            ),
            Figure::between(
                'bed_height',
                $bedLow,
                $levels->bedMm,
                $bedHigh,
                'mm',
                Reason::rule('bed', ['herb_g' => $herb, 'settled' => round(1 / $wish->mix->settledMlPerG, 3)]),
            ),
            Figure::between(
                'cover',
                $levels->levelMm - $bedHigh,
                $levels->coverMm(),
                $levels->levelMm - $bedLow,
                'mm',
                Reason::rule('cover', [
                    'level_mm' => round($levels->levelMm),
                    'bed_mm' => round($levels->bedMm),
                    'wanted_mm' => Amounts::COVER_MM,
                ]),
            ),
            Figure::exactly(
                'headspace',
                $levels->headspaceMm(),
                'mm',
                Reason::rule('headspace', [
                    'height_mm' => $amounts->jar->heightMm,
                    'level_mm' => round($levels->levelMm),
                    'wanted_mm' => $wish->method->wants->headspaceMm,
                ]),
            ),
        ];
    }

    private function yieldFigure(Wish $wish, Uptake $uptake, Amounts $amounts): Figure
    {
        $yield = $uptake->yield($amounts->oilMl, $amounts->dryG($wish));

        return Figure::between(
            'yield_volume',
            $yield['low'],
            $yield['value'],
            $yield['high'],
            'mL',
            Reason::rule('yield', [
                'oil_ml' => round($amounts->oilMl),
                'uptake' => round($uptake->mlPerGram, 2),
                'herb_g' => round($amounts->dryG($wish), 1),
                'way' => ['way' => $uptake->way],
                'losses_ml' => $uptake->lossesMl,
            ]),
            ...$uptake->batches === 0
                ? []
                : [
                    Reason::rule('uptake-learned', [
                        'batches' => $uptake->batches,
                        'form' => $wish->mix->first()->form->said(),
                        'way' => ['way' => $uptake->way],
                        'prior' => $uptake->priorMlPerGram,
                        'uptake' => round($uptake->mlPerGram, 2),
                    ]),
                ],
        );
    }

    /** @return list<Figure> */
    private function dates(Wish $wish, Days $days, Keeping $keeping): array
    {
        [$times, $startBy] = [$days->timetable, $days->startBy];
        $hands = Labour::of($wish->method, $wish->variant->usualH, $times);
        $variant = $wish->variant;
        $usual = ['h' => $variant->usualH];
        $heated = $wish->method->heated;
        $schoolTime = Reason::rule('school-time', [
            'school' => ['school' => [$wish->method->id, $variant->id]],
            'least' => ['h' => $variant->leastH],
            'usual' => $usual,
            'most' => ['h' => $variant->mostH],
            'why' => Said::of("school:{$wish->method->id}.{$variant->id}"),
        ]);
        $startWhy =
            $wish->days->readyBy === null
                ? Reason::rule('starts-now', ['start' => ['day' => $startBy->format('Y-m-d')]])
                : Reason::rule('backwards', [
                    'ready_by' => ['day' => $wish->days->readyBy->format('Y-m-d')],
                    'settle_h' => Timetable::SETTLE_HOURS,
                    'usual' => $usual,
                ]);
        $sessions = count($times->sessions);
        $strainWhy = $heated
            ? Reason::rule('strain-after-sessions', [
                'usual' => $usual,
                'sessions' => Said::of('warm.sessions', ['count' => $sessions]),
                'from' => $this->kitchen->waking->fromText(),
                'to' => $this->kitchen->waking->toText(),
            ])
            : Reason::rule('strain-after', ['usual' => $usual, 'start' => ['day' => $times->fillAt->format('Y-m-d')]]);

        return [
            $heated
                ? Figure::between('warm_hours', $variant->leastH, $variant->usualH, $variant->mostH, 'h', $schoolTime)
                : Figure::exactly('warm_hours', 0.0, 'h', Reason::rule('not-heated')),
            Figure::exactly('start_by', $startBy->format('Y-m-d'), 'date', $startWhy),
            $this->strainBy($wish, $times, $strainWhy, $schoolTime),
            Figure::exactly(
                'hands_on',
                $hands->minutes,
                'min',
                Reason::rule('hands-on', [
                    'by' => $hands->byHours > 0 ? Said::of('hands.by-the-flame', ['hours' => ['h' => $hands->byHours]]) : '',
                ]),
            ),
            $keeping->figure(),
        ];
    }

    /** @return list<Figure> minutes before it is warm; none on the shelf */
    private function warmUp(Days $days): array
    {
        $min = $days->booking->warmUpMin ?? $days->warmUp->min;
        if ($min === 0) {
            return [];
        }
        [$by, $about] = [$days->warmUp, ['h' => $min / 60]];

        return [
            Figure::exactly(
                'warm_up',
                (float) $min,
                'min',
                $by->cooker === ''
                    ? Reason::rule('warm-up-common', ['minutes' => $about])
                    : Reason::rule($days->warmUp->wet ? 'warm-up-pot' : 'warm-up-dry', [
                        'cooker' => Said::of('cooker.the', ['cooker' => lcfirst($by->cooker)]),
                        'minutes' => $about,
                        'setting' => Cooker::on($by->setting),
                        'poured' => Said::of($by->load->pouredC === null ? 'poured.cold' : 'poured.hand-hot'),
                        'room' => ['C' => $this->kitchen->roomC],
                        'learned' => Said::of($by->learned ? 'warm-up.learned' : 'warm-up.common'),
                    ]),
            ),
        ];
    }

    private function strainBy(Wish $wish, Timetable $times, Reason $why, Reason $schoolTime): Figure
    {
        if ($wish->method->heated) {
            return Figure::exactly('strain_by', $times->strainAt->format('Y-m-d'), 'date', $why, $schoolTime);
        }
        $after = fn (float $hours) => $times->fillAt->modify('+'.(int) ceil($hours / 24).' days')->format('Y-m-d');

        return Figure::between(
            'strain_by',
            $after($wish->variant->leastH),
            $times->strainAt->format('Y-m-d'),
            $after($wish->variant->mostH),
            'date',
            $why,
            $schoolTime,
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
            $wish->variant->targetC === null ? [] : [['hours' => $wish->variant->usualH, 'celsius' => $wish->variant->targetC]],
            $supplies?->oilLots() ?? [],
            $place,
            water: $wish->mix->wettest(),
            watery: $wish->mix->isWatery(),
            kitchen: $wish->purpose === 'kitchen',
        );
        $keeping = Keeping::of($wish->blend, $wish->mix->state, $facts('cool-dark'), $tables);

        return $keeping->coldOnly ? Keeping::of($wish->blend, $wish->mix->state, $facts('fridge'), $tables) : $keeping;
    }

    /** @return list<Figure> the acid and the water a wet kitchen herb is soured in, for each herb */
    private function soak(Wish $wish, Amounts $amounts): array
    {
        if ($wish->storage() !== ColdStorage::SOURED) {
            return [];
        }
        $figures = [];
        foreach ($wish->mix->shares() as $i => $share) {
            $part = $wish->mix->parts[$i];
            if ($part->form->state->isWet()) {
                $soak = AcidSoak::for($part->plant, $amounts->herbG * $share);
                $figures[] = Figure::exactly(
                    "soak_acid.{$i}",
                    $soak->acidG,
                    'g',
                    Reason::rule('soak-acid', [
                        'parts' => $soak->parts,
                        'herb_g' => round($soak->herbG, 1),
                        'herb' => $part->plant->said(),
                    ]),
                );
                $figures[] = Figure::exactly(
                    "soak_water.{$i}",
                    $soak->waterG,
                    'g',
                    Reason::rule('soak-water', ['solution_g' => round($soak->solutionG(), 1)]),
                );
            }
        }

        return $figures;
    }

    /** @return list<Figure> what was taken from Stores costs, and what 100 mL of it comes to; none where nothing has a price */
    private function cost(Supplies $supplies, float $yieldMl): array
    {
        $cost = $supplies->cost();
        if ($cost === null) {
            return [];
        }
        $why = Reason::rule($cost['whole'] ? 'cost' : 'cost-in-part');

        return [
            Figure::exactly('cost', round($cost['cost'], 2), 'money', $why),
            ...$yieldMl > 0
                ? [
                    Figure::exactly(
                        'cost_per_100',
                        round(($cost['cost'] / $yieldMl) * 100, 2),
                        'money',
                        $why,
                        Reason::rule('cost-per-100', ['yield_ml' => round($yieldMl)]),
                    ),
                ]
                : [],
        ];
    }
}
