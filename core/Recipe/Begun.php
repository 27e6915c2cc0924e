<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryException;
use Kettle\Infusion\Methods;
use Kettle\Material\State;
use Kettle\Reason\RefusedException;
use Kettle\Time\Dates;
use Kettle\Time\Day;

/**
 * A jar that stands already: it is reckoned as on the day it was begun, in the kitchen as it was then, which took
 * nothing from what Stores has now. The hour is not known, so the earliest of the day counts and no deadline moves later.
 */
final readonly class Begun
{
    /** Older than this nothing stands under oil that is worth a plan. */
    private const YEARS = 5;

    /**
     * @param  array<mixed>  $wish
     * @return array{array<mixed>, Kitchen} the wish and the kitchen to reckon it in: as they are, where it stands nowhere yet
     *
     * @throws WishException
     */
    public static function of(array $wish, Kitchen $kitchen, Methods $methods): array
    {
        try {
            $day = self::day($wish, $kitchen);
            if ($day === null) {
                return [$wish, $kitchen];
            }
            foreach (['start', 'ready_by'] as $other) {
                if (Fields::text($wish, $other) !== null) {
                    throw DiaryException::begunAndToBegin();
                }
            }
            $method = Fields::text($wish, 'method');
            if ($method !== null && isset($methods->all()[$method]) && $methods->method($method)->heated) {
                // What is begun today is still to be done, in the hours that are left for it; since when it is warm is written
                // at the stove. Of wet herb for the kitchen every hour under oil counts, and nobody has said which it was.
                if ($day == $kitchen->today() && ! self::isWetFood($wish, $kitchen)) {
                    return [['begun' => null, 'start' => $day->format('Y-m-d')] + $wish, $kitchen];
                }
                throw DiaryException::begunWarm($methods->method($method)->name);
            }
        } catch (RefusedException $refused) {
            throw WishException::from($refused->about('begun'));
        }

        return [['begun' => null, 'start' => $day->format('Y-m-d')] + $wish, $kitchen->asOf($day)];
    }

    /** @param  array<mixed>  $wish */
    private static function isWetFood(array $wish, Kitchen $kitchen): bool
    {
        $purpose = $kitchen->cupboard()->purposes()[Fields::text($wish, 'purpose') ?? ''] ?? null;
        $herbs = [...is_array($wish['herbs'] ?? null) ? $wish['herbs'] : [], $wish['herb'] ?? []];
        $isWet = fn (mixed $herb): bool => is_array($herb) && ! in_array($herb['state'] ?? null, [null, State::Dried->value], true);

        return $purpose?->foodOnly === true && array_filter($herbs, $isWet) !== [];
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws DiaryException
     */
    public static function day(array $wish, Kitchen $kitchen): ?\DateTimeImmutable
    {
        $typed = Fields::text($wish, 'begun');
        if ($typed === null) {
            return null;
        }
        $today = $kitchen->today();
        $day = Day::read($typed, $today->getTimezone()) ?? throw DiaryException::day($typed);

        return match (true) {
            $day > $today => throw DiaryException::begunToCome(Dates::say($day, 'day')),
            $day < $today->modify('-'.self::YEARS.' years') => throw DiaryException::begunLongAgo(Dates::say($day, 'day'), self::YEARS),
            default => $day,
        };
    }
}
