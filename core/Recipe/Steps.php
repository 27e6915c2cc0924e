<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Method;
use Kettle\Infusion\SpiritStart;
use Kettle\Reason\Said;
use Kettle\Vessel\Jar;

/** A plan as steps to be ticked off, in the order of doing: for the kitchen card and for recipes shared. */
final readonly class Steps
{
    /** @return list<array{id: string, says: Said}> */
    public static function of(Plan $plan): array
    {
        $wish = $plan->wish;
        $amounts = $plan->amounts;
        $jar = $amounts->jar;
        $several = $amounts->jars > 1;
        $jars = ['count' => ['count' => $amounts->jars], 'jar' => $jar->called];
        $steps = [self::step('dry', $jar->kind === Jar::JAR ? 'dry-jar' : 'dry-'.$jar->kind)];
        foreach ($wish->mix->shares() as $i => $share) {
            $part = $wish->mix->parts[$i];
            $steps[] = self::step("weigh-{$i}", $part->form->traits->powder || $part->form->state->isWet() ? 'weigh' : 'weigh-and-cut', [
                'amount' => ['g_also' => $amounts->herbG * $share],
                'herb' => $part->plant->said(),
                'form' => $part->form->said(),
            ]);
        }
        if ($wish->practice->spirit) {
            $steps[] = self::step('moisten', 'moisten', [
                'spirit' => ['mL_also' => SpiritStart::ml($amounts->herbG)['value']],
                'percent' => SpiritStart::LEAST_PERCENT,
            ]);
        }
        foreach ($wish->mix->parts as $i => $part) {
            if (isset($plan->figures["soak_acid.{$i}"])) {
                $steps[] = self::step("sour-{$i}", 'sour', [
                    'herb' => $part->plant->said(),
                    'acid' => ['g' => $plan->figures["soak_acid.{$i}"]->number()],
                    'water' => ['g' => $plan->figures["soak_water.{$i}"]->number()],
                    'hours' => AcidSoak::HOURS,
                ]);
            }
        }
        $steps[] = self::step('fill', ($several ? 'fill-jars' : 'fill').($wish->method->has(Method::IN_PAN) ? '' : '-to'), [
            ...$jars,
            'fills' => $amounts->levels->dryFillMm > $jar->heightMm
                    ? Said::of('step.fills-over')
                    : Said::of('step.fills-about', ['fill' => ['mm' => $amounts->levels->dryFillMm]]),
        ]);
        $hard = array_values(
            array_filter($wish->blend->shares(), fn (array $oil) => isset($plan->figures['oil_melted.'.$oil['carrier']->id])),
        );
        if ($hard !== []) {
            $steps[] = self::step('melt', 'melt', [
                'oils' => [
                    'all' => array_map(
                        fn (array $oil) => Said::of('step.of', [
                            'amount' => ['g_also' => $plan->figures['oil_mass.'.$oil['carrier']->id]->number()],
                            'oil' => $oil['carrier']->said(),
                        ]),
                        $hard,
                    ),
                ],
                'warmth' => ['C' => max(array_map(fn (array $oil) => HardFat::meltedAt($oil['carrier']), $hard))],
            ]);
        }
        $warmed = $wish->method->warming->pouredC;
        $steps[] = self::step('pour', ($warmed === null ? 'pour' : 'pour-warm').($several ? '-jars' : ''), [
            'oils' => [
                'all' => array_map(function (array $oil) use ($plan, $amounts): Said {
                    $melted = $plan->figures['oil_melted.'.$oil['carrier']->id] ?? null;

                    return Said::of($melted === null ? 'step.of' : 'step.of-melted', [
                        'amount' => ['mL_also' => $melted?->number() ?? $amounts->oilMl * $oil['share']],
                        'oil' => $oil['carrier']->said(),
                    ]);
                }, $wish->blend->shares()),
            ],
            'warmth' => $warmed === null ? '' : ['C' => $warmed],
        ]);
        $steps[] = self::step('level', $wish->method->has(Method::IN_PAN) ? 'level-pan' : 'level', [
            'level' => ['mm' => $amounts->levels->levelMm],
            'cover' => ['mm' => $amounts->levels->coverMm()],
            'headspace' => ['mm' => $amounts->levels->headspaceMm()],
        ]);
        $steps[] = self::step('tag', $jar->kind === Jar::JAR ? 'tag' : 'tag-later', ['strain' => ['day' => $plan->timetable->strainAt]]);

        return [...$steps, ...self::infuse($plan), ...self::after($plan)];
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array{id: string, says: Said}
     */
    private static function step(string $id, string $words, array $with = []): array
    {
        return ['id' => $id, 'says' => Said::of('step.'.$words, $with)];
    }

    /** @return list<array{id: string, says: Said}> */
    private static function infuse(Plan $plan): array
    {
        $wish = $plan->wish;
        $steps = [];
        foreach ($wish->method->handlingFor($wish->mix) as $i => $says) {
            // The first is of the lid, which is shut over no air here.
            $shut = $i === 0 && $wish->sizing->byJar?->brim === true;
            $steps[] = ['id' => "handle-{$i}", 'says' => $shut ? Said::of('step.lid-brim') : $says];
        }
        if ($wish->variant->targetC !== null) {
            $min = isset($plan->figures['warm_up']) ? (int) $plan->figures['warm_up']->number() : 0;
            $sessions = count($plan->timetable->sessions);
            $steps[] = self::step('warm', $min > 0 ? 'warm-up' : 'warm', [
                'minutes' => $min,
                'target' => ['C' => $wish->variant->targetC],
                'for' => ['h' => $wish->variant->usualH],
                'days' => $sessions > 1 ? Said::of('step.on-days', ['days' => ['count' => $sessions]]) : '',
                'ceiling' => ['C' => $wish->variant->ceilingC ?? $wish->variant->targetC],
            ]);
        } else {
            $steps[] = self::step('wait', 'wait', [
                'for' => ['h' => $wish->variant->usualH],
                'often' => ['often' => $wish->practised()->tending->shakeEveryH],
            ]);
        }
        if ($wish->practice->cooledOpen) {
            $steps[] = self::step('cool-open', 'cool-open');
        }
        if ($wish->standsH() > 0) {
            $steps[] = self::step('stand', 'stand', ['for' => ['h' => $wish->standsH()]]);
        }

        return $steps;
    }

    /** @return list<array{id: string, says: Said}> */
    private static function after(Plan $plan): array
    {
        if (! $plan->wish->practice->strained) {
            return [
                self::step('ready', 'ready', ['day' => ['day' => $plan->timetable->strainAt]]),
                self::step('use', 'use-from-the-top', ['day' => ['day' => $plan->figures['best_before']->text()]]),
            ];
        }
        $yield = $plan->figures['yield_volume'];
        $cold = $plan->wish->storage() === ColdStorage::FRIDGE;
        $sets = $plan->wish->sets();
        $way = $plan->wish->practice->way;
        $powder = $plan->wish->mix->isPowder();
        $out = match (true) {
            $sets && $way === 'drained' => 'drained-warm',
            $cold => 'drained-cold',
            $way === 'squeezed' && $powder => 'squeezed-powder',
            default => $way,
        };

        return [
            self::step('strain', $cold ? 'strain-cold' : ($sets ? 'strain-warm' : 'strain'), [
                'strain' => ['day' => $plan->timetable->strainAt],
                'cloth' => Said::of($powder ? 'step.through-paper' : 'step.through-cloth'),
                'out' => Said::of('step.out-'.$out),
                'hours' => ColdStorage::MOST_WARM_H,
                'cold' => ['C' => ColdStorage::CELSIUS],
                'yield' => ['mL' => $yield->number()],
                'low' => ['mL' => (float) $yield->low],
                'high' => ['mL' => (float) $yield->high],
            ]),
            ...$plan->wish->practice->strainedTwice ? [self::step('strain-again', $sets ? 'strain-again-warm' : 'strain-again')] : [],
            self::step('settle', $sets ? 'settle-not' : ($cold ? 'settle-cold' : 'settle')),
            self::step('bottle', $cold ? 'bottle-cold' : ($sets ? 'bottle-warm' : 'bottle'), [
                'label' => Said::of($cold ? 'step.label-use-by' : ($plan->keeping->coldOnly ? 'step.label-refrigerate' : 'step.label'), [
                    'day' => ['day' => $plan->figures['best_before']->text()],
                    'cold' => ['C' => ColdStorage::CELSIUS],
                ]),
            ]),
        ];
    }
}
