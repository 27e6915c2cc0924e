<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Method;
use Kettle\Infusion\SpiritStart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Vessel\Jar;

/** A plan as steps to be ticked off, in the order of doing: for the kitchen card and for recipes shared. */
final readonly class Steps
{
    /** @return list<array{id: string, says: string}> */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        $wish = $plan->wish;
        $amounts = $plan->amounts;
        $jar = $amounts->jar;
        $several = $amounts->jars > 1;
        $pan = $wish->method->has(Method::IN_PAN);
        $vessel = $several ? sprintf('%s %ss', Numbers::word($amounts->jars), $jar->called) : 'the '.$jar->called;
        $steps = [
            [
                'id' => 'dry',
                'says' => sprintf(
                    'Have %s, spoon, funnel and cloth clean and bone-dry.',
                    $jar->kind === Jar::JAR ? 'jar' : $jar->kind.', jar',
                ),
            ],
        ];
        foreach ($wish->mix->shares() as $i => $share) {
            $part = $wish->mix->parts[$i];
            $steps[] = [
                'id' => "weigh-{$i}",
                'says' => sprintf(
                    'Weigh %s of %s (%s)%s.',
                    self::grams($amounts->herbG * $share, $kitchen),
                    $part->plant->name,
                    $part->form->name,
                    $part->form->traits->powder || $part->form->state->isWet() ? '' : '; cut or bruise it only now',
                ),
            ];
        }
        if ($wish->practice->spirit) {
            $steps[] = [
                'id' => 'moisten',
                'says' => sprintf(
                    'Grind it, and moisten it with %s of spirit of at least %d %% alcohol: moist, not wet. Cover '.
                        'it and let it stand 8 to 12 h, away from any flame. Then warm it in the oil uncovered, so '.
                        'that the spirit leaves.',
                    self::millilitres(SpiritStart::ml($amounts->herbG)['value'], $kitchen),
                    SpiritStart::LEAST_PERCENT,
                ),
            ];
        }
        foreach ($wish->mix->parts as $i => $part) {
            if (isset($plan->figures["soak_acid.{$i}"])) {
                $steps[] = [
                    'id' => "sour-{$i}",
                    'says' => sprintf(
                        'Chop the %s small. Dissolve %s of citric acid in %s of water, press all of it under, and '.
                            'leave it %d h or longer. Drain it well, and pat it dry.',
                        $part->plant->name,
                        AmountWriter::plain($plan->figures["soak_acid.{$i}"]->number(), Kind::Mass),
                        AmountWriter::plain($plan->figures["soak_water.{$i}"]->number(), Kind::Mass),
                        AcidSoak::HOURS,
                    ),
                ];
            }
        }
        $fill =
            $amounts->levels->dryFillMm > $jar->heightMm
                ? 'it stands higher than the jar as it lies, so press it down'
                : sprintf('loosely it fills to about %s', AmountWriter::plain($amounts->levels->dryFillMm, Kind::Length));
        $steps[] = [
            'id' => 'fill',
            'says' => sprintf('Put it in %s%s%s.', $vessel, $several ? ', alike in each' : '', $pan ? '' : ': '.$fill),
        ];
        $hard = array_values(
            array_filter($wish->blend->shares(), fn (array $oil) => isset($plan->figures['oil_melted.'.$oil['carrier']->id])),
        );
        if ($hard !== []) {
            $steps[] = [
                'id' => 'melt',
                'says' => sprintf(
                    'Melt %s first, gently, the bowl in hand-hot water, to about %s.',
                    implode(
                        ' and ',
                        array_map(
                            fn (array $oil) => self::grams($plan->figures['oil_mass.'.$oil['carrier']->id]->number(), $kitchen).
                                ' of '.
                                $oil['carrier']->name,
                            $hard,
                        ),
                    ),
                    $kitchen->warmth(max(array_map(fn (array $oil) => HardFat::meltedAt($oil['carrier']), $hard))),
                ),
            ];
        }
        $pour = array_map(
            fn (array $oil) => sprintf(
                isset($plan->figures['oil_melted.'.$oil['carrier']->id]) ? '%s of the melted %s' : '%s of %s',
                self::millilitres(
                    ($plan->figures['oil_melted.'.$oil['carrier']->id] ?? null)?->number() ?? $amounts->oilMl * $oil['share'],
                    $kitchen,
                ),
                $oil['carrier']->name,
            ),
            $wish->blend->shares(),
        );
        $steps[] = [
            'id' => 'pour',
            'says' => $wish->method->warming->pouredC === null
                    ? 'Pour over it '.implode(' and ', $pour).($several ? ', shared between them.' : '.')
                    : sprintf(
                        'Warm %s to about %s, %s in hand-hot water meanwhile and then wiped bone-dry. Pour it slowly over the herb.',
                        implode(' and ', $pour),
                        $kitchen->warmth($wish->method->warming->pouredC),
                        $several ? 'the jars' : 'the jar',
                    ),
        ];
        $steps[] = [
            'id' => 'level',
            'says' => $pan
                ? sprintf(
                    'Stir it through. Herb and oil lie %s deep in it: so shallow, it fries soon.',
                    AmountWriter::plain($amounts->levels->levelMm, Kind::Length),
                )
                : sprintf(
                    'Chase the air out with a stick. The oil stands at %s, %s over the herb and %s below the rim.',
                    AmountWriter::plain($amounts->levels->levelMm, Kind::Length),
                    AmountWriter::plain($amounts->levels->coverMm(), Kind::Length),
                    AmountWriter::plain($amounts->levels->headspaceMm(), Kind::Length),
                ),
        ];
        $steps[] = [
            'id' => 'tag',
            'says' => sprintf(
                $jar->kind === Jar::JAR
                    ? 'Put the tag on now: what, in which oil, today, strain on %s.'
                    : 'Write the tag now, for the jar it is strained into: what, in which oil, today, strain on %s.',
                $plan->timetable->strainAt->format('j F Y'),
            ),
        ];

        return [...$steps, ...self::infuse($plan, $kitchen), ...self::after($plan)];
    }

    /** @return list<array{id: string, says: string}> */
    private static function infuse(Plan $plan, Kitchen $kitchen): array
    {
        $wish = $plan->wish;
        $steps = [];
        foreach ($wish->method->handlingFor($wish->mix) as $i => $says) {
            $steps[] = ['id' => "handle-{$i}", 'says' => $says];
        }
        if ($wish->variant->targetC !== null) {
            $steps[] = [
                'id' => 'warm',
                'says' => sprintf(
                    '%s keep the oil at about %s for %s%s; never over %s.',
                    ($min = isset($plan->figures['warm_up']) ? (int) $plan->figures['warm_up']->number() : 0) > 0
                        ? sprintf('Getting warm takes it about %d min; then', $min)
                        : 'Warm:',
                    $kitchen->warmth($wish->variant->targetC),
                    AmountWriter::span($wish->variant->usualH),
                    count($plan->timetable->sessions) > 1 ? sprintf(', on %s days', Numbers::word(count($plan->timetable->sessions))) : '',
                    $kitchen->warmth($wish->variant->ceilingC ?? $wish->variant->targetC),
                ),
            ];
        } else {
            $steps[] = [
                'id' => 'wait',
                'says' => sprintf(
                    'Leave it %s, and shake it %s.',
                    AmountWriter::span($wish->variant->usualH),
                    Practice::oftenness($wish->practised()->tending->shakeEveryH),
                ),
            ];
        }
        if ($wish->standsH() > 0) {
            $steps[] = ['id' => 'stand', 'says' => sprintf('Off the heat, let it stand %s.', AmountWriter::span($wish->standsH()))];
        }

        return $steps;
    }

    /** @return list<array{id: string, says: string}> */
    private static function after(Plan $plan): array
    {
        $yield = $plan->figures['yield_volume'];
        $cold = $plan->wish->storage() === ColdStorage::FRIDGE;
        $sets = $plan->wish->sets();
        $out = match (true) {
            $sets && $plan->wish->practice->way === 'drained' => 'let it drain where it stays warm, unsqueezed',
            $cold => 'do not let it stand or drip: what still drains does so in the refrigerator, under a clean cloth',
            default => match ($plan->wish->practice->way) {
                'drained' => 'let it drain for some hours under a clean cloth, unsqueezed',
                'pressed' => 'press it',
                default => $plan->wish->mix->isPowder()
                    ? 'press the bag or the paper gently, for under force it bursts'
                    : 'squeeze it well, for the strongest oil is in the herb',
            },
        };

        return [
            [
                'id' => 'strain',
                'says' => sprintf(
                    $cold
                        ? 'Cool it fast, the pan in cold water, and strain at once, on %s, through %s; %s. Into the '.
                            'refrigerator within %d hours of the oil going on, at 4 °C or colder; later than that it '.
                            'is thrown away. Expect %s, %s to %s.'
                        : ($sets ? 'While it is warm, strain' : 'Strain').' on %1$s through %2$s and %3$s. Expect %5$s, %6$s to %7$s.',
                    $plan->timetable->strainAt->format('j F Y'),
                    $plan->wish->mix->isPowder() ? 'paper' : 'a cloth over a sieve',
                    $out,
                    ColdStorage::MOST_WARM_H,
                    AmountWriter::plain($yield->number(), Kind::Volume),
                    AmountWriter::plain((float) $yield->low, Kind::Volume),
                    AmountWriter::plain((float) $yield->high, Kind::Volume),
                ),
            ],
            [
                'id' => 'settle',
                'says' => $sets
                    ? 'It is not settled: warm, through a finer cloth or paper, and again if it looks dusty.'
                    : ($cold ? 'In the refrigerator, let' : 'Let').
                        ' it stand 24 h, pour it off its sediment, and throw the last murky spoonful away.',
            ],
            [
                'id' => 'bottle',
                'says' => sprintf(
                    '%s, in dry dark glass, nearly full. Label it: %s %s.',
                    match (true) {
                        $cold => 'Bottle it, cold, and back into the refrigerator at once',
                        $sets => 'Fill it, while it runs, into warm wide-mouthed jars, and leave the lids off until it has set',
                        default => 'Bottle it, quite cool',
                    },
                    match (true) {
                        $cold => 'keep at 4 °C or colder, use by',
                        $plan->keeping->coldOnly => 'keep in the refrigerator, best before',
                        default => 'best before',
                    },
                    (new \DateTimeImmutable($plan->figures['best_before']->text()))->format('j F Y'),
                ),
            ],
        ];
    }

    private static function grams(float $grams, Kitchen $kitchen): string
    {
        return AmountWriter::plain($grams, Kind::Mass).' ('.$kitchen->writer()->kitchen($grams, Kind::Mass)['text'].')';
    }

    private static function millilitres(float $ml, Kitchen $kitchen): string
    {
        return AmountWriter::plain($ml, Kind::Volume).' ('.$kitchen->writer()->kitchen($ml, Kind::Volume)['text'].')';
    }
}
