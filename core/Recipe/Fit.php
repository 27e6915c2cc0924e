<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\CautionException;
use Kettle\Caution\Cautions;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Diary\DiaryException;
use Kettle\Infusion\Method;
use Kettle\Infusion\MethodException;
use Kettle\Infusion\SpiritStart;
use Kettle\Reason\Said;
use Kettle\Reason\Way;
use Kettle\Vessel\JarException;

/** Whether herb, oil, vessel, method and purpose go together, and no caution forbids it. */
final readonly class Fit
{
    /** @throws WishException when the method, the oil or the purpose does not go with the herb */
    public static function check(Wish $wish, Kitchen $kitchen, Cautions $cautions): void
    {
        if ($wish->asked->before !== null) {
            if ($wish->storage() === ColdStorage::FRIDGE) {
                throw WishException::from(DiaryException::coldAndOver()->about('kept'));
            }
            self::againstStops($wish, WishFacts::of($wish, $kitchen), $kitchen, $cautions);

            return;
        }
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
                JarRemedies::ofVessel($wish, $kitchen),
            );
        }
        if ($wish->sizing->byJar !== null && $wish->method->has(Method::IN_PAN)) {
            throw WishException::withWays(
                (new JarException(
                    'unfit',
                    'The jar way fills a jar, and a pan has no shoulder to fill to. Weigh the herb, or say how much oil.',
                ))->about('by_jar'),
                JarRemedies::ofVessel($wish, $kitchen),
            );
        }
        $byJar = $wish->sizing->byJar;
        if ($byJar?->brim === true && $wish->method->wants->brimSwingC === null) {
            throw WishException::withWays(JarException::notToTheBrim($wish->method->name)->about('by_jar.cover'), [
                new Way('headspace', 'Leave headspace, and cover it by an inch.', ['by_jar' => $byJar->covered()->document()]),
            ]);
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
        self::offTheHeat($wish);
        self::againstStops($wish, WishFacts::of($wish, $kitchen), $kitchen, $cautions);
    }

    /** @throws WishException when it is to stand or to cool, and there is no heat, or no time for it */
    private static function offTheHeat(Wish $wish): void
    {
        foreach (['stands' => $wish->practice->standsH !== null, 'cooled' => $wish->practice->cooledOpen] as $field => $asked) {
            if ($asked && ! $wish->method->heated) {
                throw WishException::withWays(MethodException::notOffTheHeat($wish->method->name, $field), [
                    new Way('as-usual', 'Leave it out.', [$field => null]),
                ]);
            }
        }
        if ($wish->practice->standsH !== null && ($wish->coldWithinH() !== null || $wish->sets())) {
            $why = $wish->sets() ? 'its fat would set on the herb' : 'what is kept cold is strained at once';
            throw WishException::withWays(MethodException::strainedAtOnce($why), [
                new Way('at-once', 'Strain it at once.', ['stands' => null]),
            ]);
        }
    }

    /** @throws WishException when a caution forbids even planning it */
    public static function againstStops(Wish $wish, Facts $facts, Kitchen $kitchen, Cautions $cautions): void
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
}
