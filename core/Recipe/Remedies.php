<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Method;
use Kettle\Infusion\OwnHours;
use Kettle\Infusion\SpiritStart;
use Kettle\Material\Carrier;
use Kettle\Material\Heed;
use Kettle\Material\HerbPart;
use Kettle\Reason\Way;

/** What can be done instead when a caution says no: each a change to the wish that works. */
final class Remedies
{
    /**
     * Herb moistened with spirit wants warmth, an open lid and no flame.
     *
     * @return list<Way>
     */
    public static function ofSpirit(Kitchen $kitchen): array
    {
        $open = array_filter($kitchen->methods()->all(), SpiritStart::leaves(...));

        return [
            ...array_values(
                array_map(
                    fn (Method $method) => new Way(
                        $method->id,
                        sprintf('Warm it %s, the jar open and no flame near it.', $method->inSentence),
                        self::by($method),
                    ),
                    $open,
                ),
            ),
            new Way('no-spirit', 'Leave the spirit out.', ['spirit' => null]),
        ];
    }

    /**
     * What would do instead of what a caution is about.
     *
     * @return list<Way>
     */
    public static function ofStop(string $caution, Wish $wish, Kitchen $kitchen): array
    {
        $skin = [new Way(Way::FOR_THE_SKIN, 'Make it for the skin.', ['purpose' => 'skin'])];

        return match ($caution) {
            'botulism' => [...self::dried($wish), ...self::cold($wish, $kitchen), ...self::soured($wish), ...$skin],
            'cold-too-long' => [
                ...self::usualHours($wish),
                ...array_map(
                    fn (Method $method) => new Way($method->id, sprintf('Warm it %s.', $method->inSentence), self::by($method)),
                    self::quick($wish, $kitchen),
                ),
                ...self::dried($wish),
                ...self::soured($wish),
            ],
            'soured-untested' => [...self::dried($wish), ...self::cold($wish, $kitchen), ...$skin],
            'not-food-plant', 'not-food-oil', 'not-food-lot' => $skin,
            'spirit-shut-in', 'spirit-flame' => self::ofSpirit($kitchen),
            'squeezed-wet' => [new Way('drain', 'Drain it.', ['way' => 'drained'])],
            default => str_starts_with($caution, 'barred-') ? self::notBarred($wish, $kitchen) : [],
        };
    }

    /** @return list<Way> other oils in place of those that are barred, or the words taken out */
    private static function notBarred(Wish $wish, Kitchen $kitchen): array
    {
        $barred = fn (Carrier $oil): bool => array_filter($wish->asked->heeds, fn (Heed $heed) => $heed->barsOil($oil)) !== [];
        $bad = array_filter($wish->blend->shares(), fn (array $oil) => $barred($oil['carrier']));
        $ways = [];
        if ($bad !== []) {
            $here = array_map(fn (array $oil) => $oil['carrier']->id, $wish->blend->shares());
            foreach ($kitchen->ranked($wish->purpose) as $ranked) {
                $oil = $ranked['carrier'];
                if (! $barred($oil) && ! in_array($oil->id, $here, true) && $oil->setsBelowC <= $kitchen->roomC) {
                    $ways[] = new Way('other-oil', sprintf('Take %s for it.', $oil->name), [
                        'oils' => array_map(
                            fn (array $each) => [
                                'id' => $barred($each['carrier']) ? $oil->id : $each['carrier']->id,
                                'parts' => (string) round($each['share'] * 100, 2),
                            ],
                            count($bad) === count($here) ? array_slice($wish->blend->shares(), 0, 1) : $wish->blend->shares(),
                        ),
                    ]);
                    break;
                }
            }
        }

        return [...$ways, new Way('no-heed', 'Take those words out.', ['heed' => null])];
    }

    /** @return list<Way> */
    private static function usualHours(Wish $wish): array
    {
        return OwnHours::is($wish->variant)
            ? [new Way('usual-hours', 'Give it the usual hours.', ['hours' => null, 'warmth' => null])]
            : [];
    }

    /** @return array<string, ?string> by another method: its own hours, warmth and standing in place of what was set for this one */
    private static function by(Method $method): array
    {
        return ['method' => $method->id, 'school' => null, 'hours' => null, 'warmth' => null, 'stands' => null, 'cooled' => null];
    }

    /** @return list<Way> */
    private static function dried(Wish $wish): array
    {
        return [
            new Way('dry-it', 'Use it dried.', [
                'herbs' => array_map(
                    fn (mixed $herb) => ['state' => 'dried'] + array_diff_key((array) $herb, ['water' => 1, 'picked' => 1, 'lot' => 1]),
                    HerbsReader::list($wish->asked->document),
                ),
            ]),
        ];
    }

    /** @return list<Way> kept cold, by the way that is wished for where it is quick enough, else by the shortest that is */
    private static function cold(Wish $wish, Kitchen $kitchen): array
    {
        if ($wish->method->has(Method::CHILLED_AT_ONCE)) {
            return [new Way('keep-cold', 'Keep it cold, and use it within four days.', ['kept' => ColdStorage::FRIDGE])];
        }

        return array_map(
            fn (Method $method) => new Way(
                'keep-cold',
                sprintf('Keep it cold, warmed %s, and use it within four days.', $method->inSentence),
                ['kept' => ColdStorage::FRIDGE] + self::by($method),
            ),
            array_slice(self::quick($wish, $kitchen), 0, 1),
        );
    }

    /** @return list<Way> */
    private static function soured(Wish $wish): array
    {
        $untested = array_filter(
            $wish->mix->parts,
            fn (HerbPart $part) => $part->form->state->isWet() && AcidSoak::partsFor($part->plant) === null,
        );

        return $untested === [] ? [new Way('sour-it', 'Sour it first, by the tested way.', ['kept' => ColdStorage::SOURED])] : [];
    }

    /** @return list<Method> ways after which wet kitchen herb is cold in time, but for the one wished for; the shortest first */
    private static function quick(Wish $wish, Kitchen $kitchen): array
    {
        $quick = array_filter(
            $kitchen->methods()->all(),
            fn (Method $method) => $method->has(Method::CHILLED_AT_ONCE) && $method->id !== $wish->method->id,
        );
        usort($quick, fn (Method $a, Method $b) => $a->variantFor($wish->mix)->usualH <=> $b->variantFor($wish->mix)->usualH);

        return $quick;
    }
}
