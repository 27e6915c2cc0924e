<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Caution;
use Kettle\Caution\Cautions;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Decoction\Solvents;
use Kettle\Diary\Booking;
use Kettle\Infusion\Method;
use Kettle\Infusion\OwnHours;
use Kettle\Keeping\Keeping;
use Kettle\Measure\Ratio;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
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
        'brim' => 'jar',
        'press-in' => 'jar',
        'lean' => 'herb',
        'counted' => 'herb',
        'sets' => 'oil',
        'old-oil' => 'oil',
        'second-charge' => 'oil',
        'oil-takes-little' => 'herb',
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
        $notes = $wish->asked->before === null ? self::ofMaking($wish, $amounts, $days, $kitchen, $supplies, $keeping) : [];
        foreach ($cautions->holding($facts, 'bench') as $rule) {
            $notes[] = $cautions->told($rule, $facts)->withWays(Remedies::ofStop($rule->id, $wish, $kitchen));
        }
        $order = array_flip(Caution::RANKS);
        usort($notes, fn (Note $a, Note $b) => $order[$a->rank] <=> $order[$b->rank]);

        return $notes;
    }

    /** @return list<Note> of its amounts, its jar, its oils and its days: nothing to watch for in what is made already */
    private static function ofMaking(
        Wish $wish,
        Amounts $amounts,
        Days $days,
        Kitchen $kitchen,
        Supplies $supplies,
        Keeping $keeping,
    ): array {
        $notes = [
            ...$supplies->notes($wish, $amounts, $kitchen),
            ...self::aboutTheJar($wish, $amounts, $kitchen),
            ...self::aboutTheOils($wish, $amounts, $kitchen),
        ];
        $notes = [...$notes, ...self::aboutTheSolvent($wish, $kitchen)];
        $herb = $wish->sizing->herb;
        if ($herb !== null && $herb->low < $herb->high) {
            $notes[] = self::note('counted', 'care', [
                'typed' => $herb->typed,
                'low' => ['g' => $herb->low],
                'high' => ['g' => $herb->high],
            ]);
        }
        if ($wish->asked->inOil !== null) {
            $notes[] = self::note('second-charge', 'note', [
                'oil' => Said::just($wish->asked->inOil->said),
                'since' => ['day' => $wish->asked->inOil->since],
                'herbs' => ['all' => array_map(fn (array $herb) => Said::just($herb['plant']->said()), $wish->asked->inOil->herbs)],
            ]);
        }
        if ($keeping->soonestOil !== null && $wish->asked->inOil === null) {
            $notes[] = self::note('old-oil', 'care', ['oil' => ['oil' => $keeping->soonestOil], 'day' => ['day' => $keeping->bestBefore]]);
        }
        $notes = [...$notes, ...self::aboutTheHours($wish)];
        $times = $days->timetable;
        if ($days->late && $wish->days->readyBy !== null) {
            $late = (int) $wish->days->readyBy->diff($times->readyDay())->days;
            $notes[] = self::note('late', 'care', ['ready' => ['weekday' => $times->readyDay()], 'late' => $late]);
        }
        if ($days->booking !== null) {
            $notes = [...$notes, ...self::aboutTheCooker($days->booking, $days)];
        }
        $useBy = $wish->storage() === ColdStorage::FRIDGE ? ColdStorage::useBy($times->fillAt) : null;
        $missed = $useBy === null ? null : $kitchen->waking->missed($useBy, $times->strainedBy());
        if ($useBy !== null && $missed !== null) {
            $notes[] = self::note('away-use-by', 'care', ['use_by' => ['long_moment' => $useBy], 'last' => ['long_moment' => $missed]]);
        }

        return $notes;
    }

    /**
     * @param  'stop'|'care'|'note'  $rank
     * @param  array<string, mixed>  $with
     * @param  list<Way>  $ways
     * @param  ?string  $words under which its words stand, where that is not its id
     */
    private static function note(string $id, string $rank, array $with, array $ways = [], ?string $words = null): Note
    {
        return new Note($id, $rank, Said::of('note.'.($words ?? $id), $with), self::ABOUT[$id] ?? 'days', $ways);
    }

    /** @return list<Note> where a plant is wanted for what does not dissolve in oil: whether it should be an oil at all */
    private static function aboutTheSolvent(Wish $wish, Kitchen $kitchen): array
    {
        $solvents = new Solvents($kitchen->cupboard()->tables());
        foreach ($wish->mix->parts as $part) {
            if ($solvents->isAnOil($part->plant->id) === false) {
                return [
                    self::note('oil-takes-little', 'note', [
                        'herb' => Said::just($part->plant->said()),
                        'worths' => [
                            'all' => array_map(fn (array $worth) => ['worth' => $worth['id']], $solvents->worthsOf($part->plant->id)),
                        ],
                        'better' => ['solvent' => $solvents->best($part->plant->id)],
                    ]),
                ];
            }
        }

        return [];
    }

    /** @return list<Note> */
    private static function aboutTheJar(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        if ($wish->method->has(Method::IN_PAN)) {
            return [];
        }
        $notes = [];
        $cover = $amounts->levels->coverMm();
        $byJar = $wish->sizing->byJar;
        $wanted = $byJar->coverMm ?? Amounts::COVER_MM;
        if ($byJar?->coverMm === null ? ! $amounts->levels->isWellCovered() : $cover < $wanted - 0.5) {
            $ratio = $amounts->ratio;
            $would = $byJar === null ? JarChoice::covering($wish, $kitchen, $ratio) : null;
            $asItLies = $byJar === null ? JarChoice::asItLies($wish, $kitchen, $ratio) : null;
            $notes[] = self::note(
                'cover',
                'care',
                ['cover' => ['mm' => floor($cover)], 'wanted' => ['mm' => $wanted]],
                $byJar === null ? JarRemedies::ofStandingOut($wish, $would, $asItLies) : self::toCover($wish, $byJar, $amounts),
            );
        }
        if (
            $wish->sizing->byJar === null &&
            $amounts->ratio->parts > Ratio::LEAN &&
            $amounts->ratio->parts > 1.5 * $wish->mix->usualParts($wish->perGramAsItLies())
        ) {
            $notes[] = self::note('lean', 'care', ['ratio' => $amounts->ratio->text()], JarRemedies::ofLean($wish, $amounts->oilMl));
        }
        $headspace = $amounts->levels->headspaceMm();
        if ($byJar?->brim === true) {
            $notes[] = self::note('brim', 'care', ['spill' => ['mL' => ceil(self::spill($wish, $amounts))]]);
        } elseif ($headspace < $wish->method->wants->headspaceMm - 0.5) {
            $larger = JarRemedies::larger(
                $wish,
                $kitchen,
                $amounts->jar,
                $amounts->herbG / $amounts->jars,
                $amounts->oilMl / $amounts->jars,
            );
            $notes[] = self::note(
                'headspace',
                'care',
                ['headspace' => ['mm' => floor($headspace)], 'wanted' => ['mm' => $wish->method->wants->headspaceMm]],
                $larger === null ? [] : [new Way('larger-jar', sprintf('Take the %s.', $larger->called), ['jar' => $larger->id])],
            );
        }

        if ($amounts->levels->dryFillMm > $amounts->jar->heightMm) {
            $notes[] = self::note('press-in', 'note', [
                'stands' => ['mm' => $amounts->levels->dryFillMm],
                'jar' => ['mm' => floor($amounts->jar->heightMm)],
            ]);
        }

        return $notes;
    }

    /** @return list<Way> */
    private static function toCover(Wish $wish, ByJar $way, Amounts $amounts): array
    {
        return $way->brim ? JarRemedies::ofJarWay($wish, $way, $amounts->jar) : JarRemedies::ofJarAndOil($wish, $way, $amounts->jar);
    }

    /** mL that run over the rim of all jars together, for the oil in them swells by so many degrees: its mass stays. */
    private static function spill(Wish $wish, Amounts $amounts): float
    {
        $at = fn (float $celsius): float => $wish->blend->density($celsius)->gramsPerMl;

        return $amounts->oilMl * ($at(Planner::ROOM_C) / $at(Planner::ROOM_C + (float) $wish->method->wants->brimSwingC) - 1);
    }

    /** @return list<Note> hours of the cook's own that are fewer or more than any school's */
    private static function aboutTheHours(Wish $wish): array
    {
        $with = ['hours' => ['h' => $wish->variant->usualH], 'method' => ['method' => $wish->method->id]];
        $least = OwnHours::shorterThan($wish->method, $wish->variant);
        if ($least !== null) {
            return [self::note('short-hours', 'note', $with + ['least' => ['h' => $least]])];
        }
        $most = OwnHours::longerThan($wish->method, $wish->variant);

        return $most === null ? [] : [self::note('long-hours', 'care', $with + ['most' => ['h' => $most]])];
    }

    /** @return list<Note> */
    private static function aboutTheCooker(Booking $booking, Days $days): array
    {
        $notes = [];
        if ($booking->says !== null) {
            $notes[] = new Note('no-place', 'care', $booking->says, 'days');
        }
        if ($booking->moves !== []) {
            $notes[] = self::note('moves-others', 'care', [
                'moves' => [
                    'each' => array_map(
                        fn (array $move) => Said::of('note.move', [
                            'called' => $move['called'],
                            'is' => ['moment' => $move['is']],
                            'was' => ['moment' => $move['was']],
                        ]),
                        $booking->moves,
                    ),
                ],
            ]);
        }
        if ($days->waits) {
            $notes[] = self::note('cooker-taken', 'note', ['cooker' => $booking->cooker, 'from' => ['moment' => $booking->slots[0]->from]]);
        }
        if ($booking->with !== []) {
            $notes[] = self::note('shares-cooker', 'note', ['cooker' => $booking->cooker, 'with' => ['all' => $booking->with]]);
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
                self::note('sets', 'care', [
                    'oil' => $wish->blend->said(),
                    'sets' => ['C' => $sets],
                    'room' => ['C' => $kitchen->roomC],
                    'within' => $minutes === null ? '' : Said::of('note.sets-within', ['minutes' => (int) floor($minutes / 5) * 5]),
                    'looks' => Said::of('fat.'.HardFat::looks($sets, $kitchen->roomC)),
                ]),
            ];
        }
        $notes = [];
        foreach ($wish->blend->shares() as $oil) {
            if ($oil['carrier']->setsBelowC > $kitchen->roomC) {
                $notes[] = self::note(
                    'sets',
                    'care',
                    ['oil' => $oil['carrier']->said(), 'sets' => ['C' => $oil['carrier']->setsBelowC]],
                    [],
                    'sets-in-part',
                );
            }
        }

        return $notes;
    }
}
