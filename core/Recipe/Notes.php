<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Caution;
use Kettle\Caution\Cautions;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Diary\Booking;
use Kettle\Infusion\Method;
use Kettle\Keeping\Keeping;
use Kettle\Measure\Ratio;
use Kettle\Reason\Note;
use Kettle\Reason\Way;

/**
 * What to watch for in a plan: of its jar, days and oils, and the cautions; stop before care before note, with ways
 * out where there are some.
 */
final class Notes
{
    /** What of the plan each of its own notes is about, as cautions have theirs; the rest is about its days. */
    private const ABOUT = [
        'cover' => 'jar',
        'headspace' => 'jar',
        'press-in' => 'jar',
        'lean' => 'herb',
        'sets' => 'oil',
        'old-oil' => 'oil',
        'away-use-by' => 'keeping',
    ];

    /** @return list<Note> */
    public static function of(
        Wish $wish,
        Amounts $amounts,
        Days $days,
        Kitchen $kitchen,
        Supplies $supplies,
        Cautions $cautions,
        Keeping $keeping,
        Facts $facts,
    ): array {
        $notes = [
            ...$supplies->notes($wish, $amounts, $kitchen),
            ...self::aboutTheJar($wish, $amounts, $kitchen),
            ...self::aboutTheOils($wish, $amounts, $kitchen),
        ];
        if ($keeping->soonestOil !== null) {
            $notes[] = self::note(
                'old-oil',
                'care',
                sprintf(
                    'The %s in Stores is best before %s, and what is made with it keeps no longer. Take a fresher '.
                        'lot, or make only what is soon used.',
                    $keeping->soonestOil,
                    $keeping->bestBefore->format('j F Y'),
                ),
            );
        }
        $times = $days->timetable;
        if ($days->late && $wish->days->readyBy !== null) {
            $late = (int) $wish->days->readyBy->diff($times->readyDay())->days;
            $notes[] = self::note(
                'late',
                'care',
                sprintf(
                    'Begun now it is ready on %s, %d %s late. A warm method is quicker.',
                    $times->readyDay()->format('l j F'),
                    $late,
                    $late === 1 ? 'day' : 'days',
                ),
            );
        }
        if ($days->booking !== null) {
            $notes = [...$notes, ...self::aboutTheCooker($days->booking, $days)];
        }
        $useBy = $wish->storage() === ColdStorage::FRIDGE ? ColdStorage::useBy($times->fillAt) : null;
        $missed = $useBy === null ? null : $kitchen->waking->missed($useBy, $times->strainedBy());
        if ($useBy !== null && $missed !== null) {
            $notes[] = self::note(
                'away-use-by',
                'care',
                sprintf(
                    'It must be used up by %s, and nobody is at home then: use it, freeze it or throw it away by %s.',
                    $useBy->format('l j F, H:i'),
                    $missed->format('l j F, H:i'),
                ),
            );
        }
        foreach ($cautions->holding($facts, 'bench') as $rule) {
            $notes[] = $cautions->told($rule, $facts)->withWays(Remedies::ofStop($rule->id, $wish, $kitchen));
        }
        $order = array_flip(Caution::RANKS);
        usort($notes, fn (Note $a, Note $b) => $order[$a->rank] <=> $order[$b->rank]);

        return $notes;
    }

    /** @param  list<Way>  $ways */
    private static function note(string $id, string $rank, string $says, array $ways = []): Note
    {
        return new Note($id, $rank, $says, self::ABOUT[$id] ?? 'days', $ways);
    }

    /** @return list<Note> */
    private static function aboutTheJar(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        if ($wish->method->has(Method::IN_PAN)) {
            return [];
        }
        $notes = [];
        $cover = $amounts->levels->coverMm();
        $wanted = $wish->sizing->byJar->coverMm ?? Amounts::COVER_MM;
        if ($wish->sizing->byJar === null ? ! $amounts->levels->isWellCovered() : $cover < $wanted - 0.5) {
            $would = $wish->sizing->byJar === null ? Amounts::covering($wish, $kitchen, $amounts->ratio) : null;
            $notes[] = self::note(
                'cover',
                'care',
                sprintf(
                    'Only %d mm of oil over the herb; %d mm is wanted, for herb that sticks out moulds. Press it '.
                        'under and look after an hour and a day.',
                    (int) floor($cover),
                    (int) $wanted,
                ),
                Remedies::ofStandingOut($wish, $would),
            );
        }
        if (
            $wish->sizing->byJar === null &&
            $amounts->ratio->parts > Ratio::LEAN &&
            $amounts->ratio->parts > 1.5 * $wish->mix->usualParts($wish->perGramAsItLies())
        ) {
            $notes[] = self::note(
                'lean',
                'care',
                sprintf(
                    '%s is very little herb for the oil: colour and scent will be weak. One to five to one to '.
                        'nine is usual for dried herb.',
                    $amounts->ratio->text(),
                ),
                Remedies::ofLean($wish, $amounts->oilMl),
            );
        }
        $headspace = $amounts->levels->headspaceMm();
        if ($headspace < $wish->method->wants->headspaceMm - 0.5) {
            $larger = Remedies::larger($wish, $kitchen, $amounts->jar, $amounts->herbG / $amounts->jars, $amounts->oilMl / $amounts->jars);
            $notes[] = self::note(
                'headspace',
                'care',
                sprintf(
                    'Only %d mm of headspace; %d mm is wanted, for oil swells as it warms and herb as it drinks.',
                    (int) floor($headspace),
                    (int) $wish->method->wants->headspaceMm,
                ),
                $larger === null ? [] : [new Way('larger-jar', sprintf('Take the %s.', $larger->called), ['jar' => $larger->id])],
            );
        }

        if ($amounts->levels->dryFillMm > $amounts->jar->heightMm) {
            $notes[] = self::note(
                'press-in',
                'note',
                sprintf(
                    'As it lies the herb would stand %d mm high, and the jar is %d mm: press it down as you fill.',
                    (int) round($amounts->levels->dryFillMm),
                    (int) $amounts->jar->heightMm,
                ),
            );
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function aboutTheCooker(Booking $booking, Days $days): array
    {
        $when = fn (\DateTimeImmutable $moment) => $moment->format('D j M, H:i');
        $notes = [];
        if ($booking->says !== null) {
            $notes[] = self::note('no-place', 'care', $booking->says);
        }
        if ($booking->moves !== []) {
            $notes[] = self::note(
                'moves-others',
                'care',
                'Begun, it moves what is booked: '.
                    implode(
                        '; ',
                        array_map(
                            fn (array $move) => sprintf(
                                '%s is put to warm %s instead of %s',
                                $move['called'],
                                $when($move['is']),
                                $when($move['was']),
                            ),
                            $booking->moves,
                        ),
                    ).
                    '.',
            );
        }
        if ($days->waits) {
            $notes[] = self::note(
                'cooker-taken',
                'note',
                sprintf('The %s is taken before then: it is put to warm on %s.', $booking->cooker, $when($booking->slots[0]->from)),
            );
        }
        if ($booking->with !== []) {
            $notes[] = self::note(
                'shares-cooker',
                'note',
                sprintf('It stands in the %s, together with %s.', $booking->cooker, implode(' and ', $booking->with)),
            );
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function aboutTheOils(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        if ($wish->sets()) {
            $sets = $wish->blend->setsBelow()['value'];
            $minutes = HardFat::minutesToStrain($wish, $amounts, $kitchen);

            return [
                self::note(
                    'sets',
                    'care',
                    sprintf(
                        '%s sets under about %s, and the room has %s. Melt it first, and strain it warm%s, sieve '.
                            'and jars warm too. It is not settled, for it would set on its mud. In the jar it will be '.
                            '%s.',
                        ucfirst($wish->blend->name()),
                        $kitchen->warmth($sets),
                        $kitchen->warmth($kitchen->roomC),
                        $minutes === null ? '' : sprintf(', within %d min of the heat', (int) floor($minutes / 5) * 5),
                        HardFat::looks($sets, $kitchen->roomC),
                    ),
                ),
            ];
        }
        $notes = [];
        foreach ($wish->blend->shares() as $oil) {
            if ($oil['carrier']->setsBelowC > $kitchen->roomC) {
                $notes[] = self::note(
                    'sets',
                    'care',
                    sprintf(
                        '%s sets under about %s: keep it warm all the way through straining.',
                        ucfirst($oil['carrier']->name),
                        $kitchen->warmth($oil['carrier']->setsBelowC),
                    ),
                );
            }
        }

        return $notes;
    }
}
