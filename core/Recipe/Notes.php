<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Vessel\Levels;

/** What to watch for in a plan, ranked care before note, with ways out where there are some. What must stop a plan is refused before. */
final class Notes
{
    /** Parts of oil from which a dried herb is told as very little: common practice goes to 1:9. */
    private const LEAN = 14.0;

    /** @return list<array{id: string, rank: string, says: string, ways: list<array{id: string, says: string, change: array<string, mixed>}>}> */
    public static function of(Wish $wish, Amounts $amounts, Days $days, Kitchen $kitchen, Supplies $supplies): array
    {
        $notes = [
            ...$supplies->notes($wish, $amounts, $kitchen),
            ...self::aboutTheJar($wish, $amounts, $kitchen),
            ...self::aboutTheOils($wish, $kitchen, $supplies),
            ...self::aboutTheHerb($wish),
        ];
        $times = $days->timetable;
        if ($days->late && $wish->readyBy !== null) {
            $late = (int) $wish->readyBy->diff($times->readyDay())->days;
            $notes[] = self::note('late', 'care', sprintf(
                'Begun now it is ready on %s, %d %s late. A warm method is quicker.', $times->readyDay()->format('l j F'), $late, $late === 1 ? 'day' : 'days',
            ));
        }
        if ($wish->school->ceilingC !== null) {
            $notes[] = self::note('ceiling', 'care', sprintf(
                'Keep the oil under %s, and never leave a flame alone. Too much heat fries the herb and ages the oil; hot oil burns.', $kitchen->warmth($wish->school->ceilingC),
            ));
        }
        if ($wish->spirit) {
            $notes[] = self::note('spirit', 'care', 'Strong spirit burns, and so does its vapour: no flame and no sparks near it, a window open while it leaves the oil, the jar uncovered. Not for a gas stove.');
        }
        if ($wish->purpose !== 'kitchen') {
            $notes[] = self::note('skin-only', 'note', 'For the skin only, not to be eaten.');
        }
        usort($notes, fn (array $a, array $b) => ($a['rank'] === 'care' ? 0 : 1) <=> ($b['rank'] === 'care' ? 0 : 1));

        return $notes;
    }

    /**
     * @param  list<Way>  $ways
     * @return array{id: string, rank: string, says: string, ways: list<array{id: string, says: string, change: array<string, mixed>}>}
     */
    public static function note(string $id, string $rank, string $says, array $ways = []): array
    {
        return ['id' => $id, 'rank' => $rank, 'says' => $says, 'ways' => array_map(fn (Way $way) => $way->toArray(), $ways)];
    }

    /** @return list<array{id: string, rank: string, says: string, ways: list<array{id: string, says: string, change: array<string, mixed>}>}> */
    private static function aboutTheJar(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        $notes = [];
        $cover = $amounts->levels->coverMm();
        $wanted = $wish->byJar->coverMm ?? Amounts::COVER_MM;
        if ($cover < $wanted - 0.5) {
            $would = Levels::ratioThatCovers($amounts->jar, $wish->mix, Amounts::COVER_MM, $wish->method->headspaceMm, $wish->perGramAsItLies());
            $notes[] = self::note('cover', 'care', sprintf(
                'Only %d mm of oil over the herb; %d mm is wanted, for herb that sticks out moulds. Press it under and look after an hour and a day.', (int) floor($cover), (int) $wanted,
            ), WaysOut::ofStandingOut($wish, $would));
        }
        if ($wish->byJar === null && $amounts->ratio->parts > self::LEAN && $amounts->ratio->parts > 1.5 * $wish->mix->usualParts($wish->perGramAsItLies())) {
            $notes[] = self::note('lean', 'care', sprintf(
                '%s is very little herb for the oil: colour and scent will be weak. One to five to one to nine is usual for dried herb.', $amounts->ratio->text(),
            ), WaysOut::ofLean($wish, $amounts->oilMl));
        }
        $headspace = $amounts->levels->headspaceMm();
        if ($headspace < $wish->method->headspaceMm - 0.5) {
            $larger = WaysOut::larger($wish, $kitchen, $amounts->jar, $amounts->herbG / $amounts->jars, $amounts->oilMl / $amounts->jars);
            $notes[] = self::note('headspace', 'care', sprintf(
                'Only %d mm of headspace; %d mm is wanted, for oil swells as it warms and herb as it drinks.', (int) floor($headspace), (int) $wish->method->headspaceMm,
            ), $larger === null ? [] : [new Way('larger-jar', sprintf('Take the %s.', $larger->called), ['jar' => $larger->id])]);
        }

        if ($amounts->levels->dryFillMm > $amounts->jar->heightMm) {
            $notes[] = self::note('press-in', 'note', sprintf(
                'As it lies the herb would stand %d mm high, and the jar is %d mm: press it down as you fill.', (int) round($amounts->levels->dryFillMm), (int) $amounts->jar->heightMm,
            ));
        }

        return $notes;
    }

    /** @return list<array{id: string, rank: string, says: string, ways: list<array{id: string, says: string, change: array<string, mixed>}>}> */
    private static function aboutTheHerb(Wish $wish): array
    {
        $mix = $wish->mix;
        $notes = [];
        if ($mix->isMixedState()) {
            $notes[] = self::note('mixed-state', 'care', 'Wet and dry herb in one jar: the wet one’s water does not average out. Dry it, or make two jars.');
        }
        $notes[] = match (true) {
            ! $mix->state->isWet() => self::note('dry', 'note', 'Dried herb: it should snap or crumble. Jar, spoon and cloth bone-dry, for water spoils oil.'),
            $wish->method->heated => self::note('wet', 'care', sprintf('%s herb: leave the jar open while it is warm, so that its water leaves. Drain it, do not squeeze it.', ucfirst($mix->state->value))),
            default => self::note('wet', 'care', sprintf('%s herb: cover the jar with a cloth, wipe the drops off daily, and keep every leaf under the oil. Drain it, do not squeeze it.', ucfirst($mix->state->value))),
        };
        if ($mix->state->isWet() && $wish->way !== 'drained') {
            $notes[] = self::note('squeezed-wet', 'care', 'Squeezing wet herb drives its water into the oil. Let it drain under a clean cloth instead.', [new Way('drain', 'Drain it.', ['way' => 'drained'])]);
        }
        foreach ($mix->parts as $part) {
            if ($part->plant->care !== '') {
                $notes[] = self::note('herb.'.$part->plant->id, 'care', sprintf('%s. %s', ucfirst($part->plant->name), $part->plant->care));
            }
        }

        return $notes;
    }

    /** @return list<array{id: string, rank: string, says: string, ways: list<array{id: string, says: string, change: array<string, mixed>}>}> */
    private static function aboutTheOils(Wish $wish, Kitchen $kitchen, Supplies $supplies): array
    {
        $notes = [];
        foreach ($wish->blend->shares() as $oil) {
            if ($oil['carrier']->setsBelowC > $kitchen->roomC) {
                $notes[] = self::note('sets', 'care', sprintf(
                    '%s sets under about %s: keep it warm all the way through straining.', ucfirst($oil['carrier']->name), $kitchen->warmth($oil['carrier']->setsBelowC),
                ));
            }
        }
        $allergens = [...$wish->blend->allergens(), ...$supplies->allergens()];
        if ($allergens !== []) {
            $notes[] = self::note('allergens', 'care', 'Contains '.implode(' and ', array_unique($allergens)).'. Say so on the label and to whoever is given it.');
        }
        if (($wish->blend->iodineValue() ?? 0) > 130) {
            $notes[] = self::note('rags', 'care', 'This oil dries in air: rags wet with it can heat by themselves. Wash them, dry them flat out of doors, or keep them under water in a closed tin.');
        }

        return $notes;
    }
}
