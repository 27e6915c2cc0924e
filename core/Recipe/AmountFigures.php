<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Method;
use Kettle\Infusion\SpiritStart;
use Kettle\Infusion\Uptake;
use Kettle\Material\HerbMix;
use Kettle\Material\Lying;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/** What is weighed, poured and soured, how high it stands in the jar, and what comes out. */
final readonly class AmountFigures
{
    /** So much more or less may be in a jar of which nobody remembers: common practice, no source. */
    private const GUESSED = 0.3;

    private static function guessed(): Reason
    {
        return Reason::rule('not-remembered', ['percent' => self::GUESSED * 100]);
    }

    /** @return list<Figure> */
    public static function of(Wish $wish, Amounts $amounts, Uptake $uptake): array
    {
        return [
            ...self::weights($wish, $amounts),
            ...self::levels($wish, $amounts),
            self::yield($wish, $uptake, $amounts),
            ...self::soak($wish, $amounts),
        ];
    }

    /**
     * What follows from herb that was counted and not weighed lies between what it would be for the lightest and for
     * the heaviest of such.
     *
     * @param  list<Reason>  $reasons
     */
    private static function counted(Wish $wish, string $id, float $value, string $unit, array $reasons): Figure
    {
        if ($wish->isGuessed()) {
            return Figure::between(
                $id,
                $value * (1 - self::GUESSED),
                $value,
                $value * (1 + self::GUESSED),
                $unit,
                ...[...$reasons, self::guessed()],
            );
        }
        $herb = $wish->sizing->herb;

        return $herb === null || $herb->low === $herb->high
            ? Figure::exactly($id, $value, $unit, ...$reasons)
            : Figure::between(
                $id,
                ($value * $herb->low) / $herb->value,
                $value,
                ($value * $herb->high) / $herb->value,
                $unit,
                ...[
                    ...$reasons,
                    Reason::rule('counted', [
                        'typed' => $herb->typed,
                        'g' => round($herb->value, 1),
                        'low' => round($herb->low, 1),
                        'high' => round($herb->high, 1),
                    ]),
                ],
            );
    }

    /** @return list<Figure> */
    private static function weights(Wish $wish, Amounts $amounts): array
    {
        $density = $wish->blend->density(Planner::ROOM_C);
        $figures = [
            self::counted($wish, 'herb_mass', $amounts->herbG, 'g', $amounts->herbReasons),
            // Where the oil was said it is what was said, however much the herb weighs.
            $wish->sizing->oil === null
                ? self::counted($wish, 'oil_volume', $amounts->oilMl, 'mL', $amounts->oilReasons)
                : Figure::exactly('oil_volume', $amounts->oilMl, 'mL', ...$amounts->oilReasons),
        ];
        $massReasons = [
            Reason::rule('oil-by-density', [
                'oil_ml' => round($amounts->oilMl),
                'celsius' => Planner::ROOM_C,
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
                    'celsius' => Planner::ROOM_C,
                    'g_per_ml' => round($at20, 3),
                ]),
            );
        }

        return $figures;
    }

    /** @return list<Figure> */
    private static function levels(Wish $wish, Amounts $amounts): array
    {
        $levels = $amounts->levels;
        $jar = $amounts->jar;
        // Of a jar that is no cylinder, the mean of what lies below.
        $area = fn (float $mm): float => round($mm > 0 ? ($jar->volumeTo($mm) * 1000) / $mm : $jar->areaMm2());
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
        $level = Figure::exactly(
            'level_height',
            $levels->levelMm,
            'mm',
            Reason::rule('level', [
                'oil_ml' => round($amounts->oilMl / $amounts->jars),
                'herb_ml' => $herbMl,
                'area_mm2' => $area($levels->levelMm),
            ]),
        );
        $bedLow = $levels->bedMm * 0.8;
        $bedHigh = $levels->bedMm * 1.2;

        if ($wish->method->has(Method::IN_PAN)) {
            // What is stirred in a pan has no cover and no shoulder.
            return [$level];
        }

        return [
            $around(
                'dry_fill_height',
                $levels->dryFillMm,
                0.25,
                Reason::rule('dry-fill', [
                    'herb_g' => $herb,
                    'loose' => round(1 / $wish->mix->mlPerG($wish->sizing->byJar->lying ?? Lying::Loose), 3),
                    'area_mm2' => $area($levels->dryFillMm),
                ]),
            ),
            $level,
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

    private static function yield(Wish $wish, Uptake $uptake, Amounts $amounts): Figure
    {
        $yield = $uptake->yield($amounts->oilMl, $amounts->dryG($wish));
        if ($wish->isGuessed()) {
            $yield = ['low' => $yield['low'] * (1 - self::GUESSED), 'high' => $yield['high'] * (1 + self::GUESSED)] + $yield;
        }

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
            ...$wish->isGuessed() ? [self::guessed()] : [],
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

    /** @return list<Figure> the acid and the water a wet kitchen herb is soured in, for each herb */
    private static function soak(Wish $wish, Amounts $amounts): array
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
}
