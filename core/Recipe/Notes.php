<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Timetable;
use Kettle\Reason\Wording;
use Kettle\Vessel\Levels;

/** What to watch for in a plan, ranked care before note. What must stop a plan is refused before. */
final class Notes
{
    /** @return list<array{id: string, rank: string, says: string}> */
    public static function of(Wish $wish, Amounts $amounts, Timetable $times, bool $late, Kitchen $kitchen): array
    {
        $notes = [
            ...self::aboutTheJar($wish, $amounts),
            ...self::aboutTheOils($wish, $kitchen),
        ];
        if ($late && $wish->readyBy !== null) {
            $days = (int) $wish->readyBy->diff($times->readyDay())->days;
            $notes[] = self::note('late', 'care', sprintf(
                'Begun now it is ready on %s, %d %s late. A warm method is quicker.', $times->readyDay()->format('l j F'), $days, $days === 1 ? 'day' : 'days',
            ));
        }
        if ($wish->school->ceilingC !== null) {
            $notes[] = self::note('ceiling', 'care', sprintf(
                'Keep the oil under %s, and never leave a flame alone. Too much heat fries the herb and ages the oil; hot oil burns.', $kitchen->warmth($wish->school->ceilingC),
            ));
        }
        $notes[] = self::note('dry', 'note', 'Dried herb only: it should snap or crumble. Jar, spoon and cloth bone-dry, for water spoils oil.');
        if ($wish->purpose !== 'kitchen') {
            $notes[] = self::note('skin-only', 'note', 'For the skin only, not to be eaten.');
        }
        usort($notes, fn (array $a, array $b) => ($a['rank'] === 'care' ? 0 : 1) <=> ($b['rank'] === 'care' ? 0 : 1));

        return $notes;
    }

    /** @return list<array{id: string, rank: string, says: string}> */
    private static function aboutTheJar(Wish $wish, Amounts $amounts): array
    {
        $notes = [];
        $cover = $amounts->levels->coverMm();
        if ($cover < Amounts::COVER_MM - 0.5) {
            $would = Levels::ratioThatCovers($amounts->jar, $wish->form, Amounts::COVER_MM, $wish->method->headspaceMm);
            $notes[] = self::note('cover', 'care', sprintf(
                'Only %d mm of oil over the herb; %d mm is wanted, for herb that sticks out moulds. %sPress it under and look after an hour and a day.',
                (int) floor($cover), (int) Amounts::COVER_MM, $would === null ? '' : '1:'.Wording::number($would).' would give it. ',
            ));
        }
        $headspace = $amounts->levels->headspaceMm();
        if ($headspace < $wish->method->headspaceMm - 0.5) {
            $notes[] = self::note('headspace', 'care', sprintf(
                'Only %d mm of headspace; %d mm is wanted, for oil swells as it warms and herb as it drinks.', (int) floor($headspace), (int) $wish->method->headspaceMm,
            ));
        }

        return $notes;
    }

    /** @return list<array{id: string, rank: string, says: string}> */
    private static function aboutTheOils(Wish $wish, Kitchen $kitchen): array
    {
        $notes = [];
        $allergens = [];
        foreach ($wish->blend->shares() as $oil) {
            $allergens = [...$allergens, ...$oil['carrier']->allergens];
            if ($oil['carrier']->setsBelowC > 18.0) {
                $notes[] = self::note('sets', 'care', sprintf(
                    '%s sets under about %s: keep it warm all the way through straining.', ucfirst($oil['carrier']->name), $kitchen->warmth($oil['carrier']->setsBelowC),
                ));
            }
        }
        if ($allergens !== []) {
            $notes[] = self::note('allergens', 'care', 'Contains '.implode(' and ', array_unique($allergens)).'. Say so on the label and to whoever is given it.');
        }

        return $notes;
    }

    /** @return array{id: string, rank: string, says: string} */
    private static function note(string $id, string $rank, string $says): array
    {
        return ['id' => $id, 'rank' => $rank, 'says' => $says];
    }
}
