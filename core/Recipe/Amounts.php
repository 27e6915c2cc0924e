<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Uptake;
use Kettle\Material\Lying;
use Kettle\Measure\Amount;
use Kettle\Measure\Density;
use Kettle\Measure\Ratio;
use Kettle\Measure\RatioException;
use Kettle\Reason\Reason;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarException;
use Kettle\Vessel\Levels;

/**
 * Herb (g as it lies), oil (mL), ratio and jars, solved from whichever the wish gives: any two of herb,
 * oil and ratio; what is to come out, and a ratio; a jar and a ratio; or how full the jar is and how far
 * covered. A ratio or jar not given is chosen.
 */
final readonly class Amounts
{
    /** Cover wanted above the herb bed, mm: common practice (1 to 3 in). */
    public const COVER_MM = 25.0;

    /**
     * @param  float  $herbG of all jars together, as it lies
     * @param  float  $oilMl of all jars together
     * @param  Levels  $levels in each jar
     * @param  list<Reason>  $herbReasons
     * @param  list<Reason>  $oilReasons
     */
    private function __construct(
        public float $herbG,
        public float $oilMl,
        public Ratio $ratio,
        public Jar $jar,
        public int $jars,
        public Levels $levels,
        public array $herbReasons,
        public array $oilReasons,
    ) {}

    /** g of shelf-dry herb that the herb as it lies stands for */
    public function dryG(Wish $wish): float
    {
        return $this->herbG * $wish->mix->dryPerG;
    }

    /** @throws WishException when what is given disagrees, or no jar holds it with the herb covered */
    public static function solve(Wish $wish, Kitchen $kitchen, Uptake $uptake): self
    {
        if ($wish->sizing->byJar !== null) {
            return self::fromJarWay($wish, $wish->sizing->byJar, $kitchen);
        }
        if ($wish->sizing->herb !== null && $wish->sizing->oil !== null) {
            return self::fromBoth($wish, $kitchen, $wish->sizing->herb->value, $wish->sizing->oil->value);
        }
        [$ratio, $why] = self::ratio($wish);
        $perGram = self::perGram($ratio, $wish);
        $inputs = ['ratio' => $ratio->text(), 'ml_per_g' => round($perGram, 3)];
        $basis = self::basis($wish, $ratio);
        if ($wish->sizing->herb !== null) {
            $herb = $wish->sizing->herb->value;
            $oil = $herb * $perGram;
            $herbWhy = [self::given($wish->sizing->herb->typed), ...$basis];
            $oilWhy = [Reason::rule('ratio-gives-oil', ['herb_g' => round($herb, 1)] + $inputs), $why, ...$basis];
        } elseif ($wish->sizing->oil !== null || $wish->sizing->finished !== null) {
            [$oil, $from] =
                $wish->sizing->oil !== null
                    ? [$wish->sizing->oil->value, self::given($wish->sizing->oil->typed)]
                    : self::forFinished($wish, $perGram, $uptake);
            $herb = $oil / $perGram;
            $oilWhy = [$from];
            $herbWhy = [Reason::rule('ratio-gives-herb', ['oil_ml' => round($oil)] + $inputs), $why, ...$basis];
        } elseif ($wish->method->wants->usualOilMl !== null) {
            $oil = $wish->method->wants->usualOilMl * ($wish->sizing->jars ?? 1);
            $herb = $oil / $perGram;
            $oilWhy = [Reason::rule('oil-usual', ['oil_ml' => $oil, 'method' => ['method' => $wish->method->id]])];
            $herbWhy = [Reason::rule('ratio-gives-herb', ['oil_ml' => round($oil)] + $inputs), $why, ...$basis];
        } else {
            return self::fromJar($wish, $kitchen, $ratio, $perGram, [$why, ...$basis]);
        }
        if ($herb > 20_000 || $oil > 60_000) {
            throw WishException::one('herb', 'too_much', 'That comes to more than a kitchen handles at once. Plan less.');
        }

        return self::inJars($wish, $kitchen, $herb, $oil, $ratio, $herbWhy, $oilWhy);
    }

    /** mL of oil for each g of herb as it lies. */
    public static function perGram(Ratio $ratio, Wish $wish): float
    {
        $loose = Density::gramsPerMl(1 / $wish->mix->looseMlPerG);

        return $ratio->mlPerGram($wish->blend->density(Planner::ROOM_C), $loose) * $wish->perGramAsItLies($ratio->by);
    }

    /**
     * @return array{float, Reason} mL of oil, and why
     *
     * @throws WishException when the herb would keep it
     */
    private static function forFinished(Wish $wish, float $perGram, Uptake $uptake): array
    {
        assert($wish->sizing->finished !== null);
        $dryPerMl = $wish->mix->dryPerG / $perGram;
        try {
            $oil = $uptake->oilFor($wish->sizing->finished->ml, $dryPerMl, $wish->sizing->finished->surely);
        } catch (RefusedException $refused) {
            throw WishException::from($refused);
        }

        return [
            $oil,
            Reason::rule('finished-gives-oil', [
                'wanted_ml' => round($wish->sizing->finished->ml),
                'oil_ml' => round($oil),
                'uptake' => $uptake->mlPerGram,
                'sd' => $uptake->sd,
                'dry_g' => round($oil * $dryPerMl, 1),
                'way' => ['way' => $uptake->way],
                'losses_ml' => $uptake->lossesMl,
                'how_sure' => Said::of($wish->sizing->finished->surely ? 'finished.surely' : 'finished.as-often-as-not'),
            ]),
        ];
    }

    /**
     * @param  list<Reason>  $why
     *
     * @throws WishException
     */
    private static function fromJar(Wish $wish, Kitchen $kitchen, Ratio $ratio, float $perGram, array $why): self
    {
        $jar = $wish->sizing->jar ?? JarChoice::usual($wish, $kitchen);
        $jars = $wish->sizing->jars ?? 1;
        $each = Levels::mostHerb($jar, $wish->mix, $perGram, $wish->method->wants->headspaceMm);
        if ($each <= 0) {
            throw WishException::one(
                'jar',
                'does_not_fit',
                sprintf(
                    'The %s is too low to leave %d mm of headspace. Choose a taller jar.',
                    $jar->called,
                    (int) $wish->method->wants->headspaceMm,
                ),
            );
        }
        $herb = $each * $jars;
        $oil = $herb * $perGram;
        $herbWhy = [
            Reason::rule('most-the-jar-takes', [
                'jar' => $jar->called,
                'room_ml' => round($jar->volumeTo($jar->heightMm - $wish->method->wants->headspaceMm)),
                'headspace_mm' => $wish->method->wants->headspaceMm,
                'ml_per_g' => round($perGram, 3),
                'herb_ml' => round($wish->mix->ownMlPerG, 3),
                'herb_g' => round($each, 1),
            ]),
            ...$why,
        ];
        $oilWhy = [
            Reason::rule('ratio-gives-oil', ['herb_g' => round($herb, 1), 'ratio' => $ratio->text(), 'ml_per_g' => round($perGram, 3)]),
            ...$why,
        ];
        $levels = JarChoice::check($wish, $kitchen, $jar, $jars, $herb, $oil, $ratio);

        return new self($herb, $oil, $ratio, $jar, $jars, $levels, $herbWhy, $oilWhy);
    }

    /** @throws WishException when there is no room for that cover, or the oil that is there does not go with so much herb */
    private static function fromJarWay(Wish $wish, ByJar $way, Kitchen $kitchen): self
    {
        $jar = $wish->sizing->jar ?? JarChoice::usual($wish, $kitchen);
        $herbEach = $way->herbIn($jar, $wish->mix);
        $herbWhy = [
            Reason::rule('jar-way-herb', [
                'jar' => $jar->called,
                'fill' => $way->says(),
                'fill_mm' => round($way->share() * $jar->heightMm),
                'g_per_ml' => round(1 / $wish->mix->mlPerG($way->lying), 3),
                'herb_g' => round($herbEach, 1),
            ]),
        ];
        [$oilEach, $oilWhy] =
            $wish->sizing->oil === null
                ? self::oilToCover($wish, $way, $jar, $herbEach)
                : self::oilThereIs($wish, $way, $jar, $herbEach, $wish->sizing->oil);
        $jars = $wish->sizing->jars ?? 1;

        return new self(
            $herbEach * $jars,
            $oilEach * $jars,
            Ratio::found($oilEach / $herbEach / $wish->perGramAsItLies()),
            $jar,
            $jars,
            Levels::in($jar, $wish->mix, $herbEach, $oilEach, $way->lying),
            $herbWhy,
            self::coarse($wish, $oilWhy),
        );
    }

    /**
     * @return array{float, list<Reason>} mL in each jar, so far over the herb or to the brim, and why
     *
     * @throws WishException when there is no room for it
     */
    private static function oilToCover(Wish $wish, ByJar $way, Jar $jar, float $herbEach): array
    {
        $bed = $jar->heightOf($wish->mix->settledMlPerG * $herbEach);
        $level = $way->brim ? $jar->heightMm : $bed + $way->coverMm;
        $room = $way->roomMm($jar, $wish->method);
        if (($way->brim ? $bed : $level) > $room + 1e-9) {
            $refused = $way->brim
                ? JarException::standsOutAtBrim($jar->called, $bed)
                : JarException::noRoomToCover($jar->called, $way->said(), $bed, (float) $way->coverMm, $room);
            throw WishException::withWays($refused->about('by_jar'), JarRemedies::ofJarWay($wish, $way, $jar));
        }
        $herbMl = $wish->mix->ownMlPerG * $herbEach;
        $oil = $jar->volumeTo($level) - $herbMl;

        return [
            $oil,
            [
                Reason::rule($way->brim ? 'jar-way-brim' : 'jar-way-oil', [
                    'bed_mm' => round($bed),
                    'cover_mm' => round($level - $bed),
                    'level_mm' => round($level),
                    'herb_ml' => round($herbMl),
                    'oil_ml' => round($oil),
                ]),
            ],
        ];
    }

    /**
     * @return array{float, list<Reason>} mL in each jar, of what there is, and why
     *
     * @throws WishException when it runs over, or the herb stands out of it, or it is no ratio that is made
     */
    private static function oilThereIs(Wish $wish, ByJar $way, Jar $jar, float $herbEach, Amount $oil): array
    {
        $jars = $wish->sizing->jars ?? 1;
        $oilEach = $oil->value / $jars;
        $levels = Levels::in($jar, $wish->mix, $herbEach, $oilEach);
        $most = $jar->volumeTo($way->roomMm($jar, $wish->method)) - $wish->mix->ownMlPerG * $herbEach;
        $refused = match (true) {
            $levels->headspaceMm() < -1e-9 => JarException::oilRunsOver($jar->called, $way->said(), $oilEach, $most),
            $levels->coverMm() <= 0 => JarException::oilDoesNotCover($jar->called, $way->said(), $levels->levelMm, $levels->bedMm),
            $oilEach / $herbEach / $wish->perGramAsItLies() > Ratio::LEANEST => new RatioException(
                'out_of_range',
                'That is more oil than any herb is made with: 1:60 is the most.',
            ),
            default => null,
        };
        if ($refused !== null) {
            throw WishException::withWays($refused->about('oil_amount'), JarRemedies::ofJarAndOil($wish, $way, $jar));
        }

        return [
            $oilEach,
            [
                self::given($oil->typed),
                Reason::rule('two-give-ratio', [
                    'oil_ml' => round($oil->value),
                    'herb_g' => round($herbEach * $jars, 1),
                    'ml_per_g' => round($oilEach / $herbEach, 2),
                ]),
            ],
        ];
    }

    /** @throws WishException */
    private static function fromBoth(Wish $wish, Kitchen $kitchen, float $herb, float $oil): self
    {
        assert($wish->sizing->herb !== null && $wish->sizing->oil !== null);
        if ($wish->sizing->ratio !== null) {
            $perGram = $oil / $herb;
            $asked = self::perGram($wish->sizing->ratio, $wish);
            if (abs($asked / $perGram - 1) > 0.02) {
                throw WishException::one(
                    'ratio',
                    'disagree',
                    sprintf(
                        'Herb and oil as given make 1:%s, and %s is asked for. Leave one of the three out and it '.
                            'is reckoned from the other two.',
                        round($perGram / $wish->perGramAsItLies(), 1),
                        $wish->sizing->ratio->text(),
                    ),
                );
            }
        }
        $parts = $oil / $herb / $wish->perGramAsItLies();
        if ($parts < 1 || $parts > Ratio::LEANEST) {
            throw WishException::withWays(
                new RatioException(
                    'out_of_range',
                    sprintf(
                        'So much oil for so much herb is 1:%s, which is outside what is made. Between 1:1 and '.
                            '1:60 is planned here; 1:5 is the usual.',
                        $parts < 1 ? round($parts, 2) : round($parts),
                    ),
                    'oil_amount',
                ),
                JarRemedies::ofRatioOffTheScale($wish, $oil),
            );
        }
        $why = Reason::rule('two-give-ratio', ['oil_ml' => round($oil), 'herb_g' => round($herb, 1), 'ml_per_g' => round($oil / $herb, 2)]);

        return self::inJars(
            $wish,
            $kitchen,
            $herb,
            $oil,
            Ratio::perGram($parts),
            [self::given($wish->sizing->herb->typed), $why],
            [self::given($wish->sizing->oil->typed), $why],
        );
    }

    /**
     * @param  list<Reason>  $herbWhy
     * @param  list<Reason>  $oilWhy
     *
     * @throws WishException
     */
    private static function inJars(Wish $wish, Kitchen $kitchen, float $herb, float $oil, Ratio $ratio, array $herbWhy, array $oilWhy): self
    {
        [$jar, $jars] =
            $wish->sizing->jar !== null ? [$wish->sizing->jar, $wish->sizing->jars ?? 1] : JarChoice::holding($wish, $kitchen, $herb, $oil);
        $levels = JarChoice::check($wish, $kitchen, $jar, $jars, $herb, $oil, $ratio);
        if ($wish->sizing->jar === null) {
            $oilWhy[] = Reason::rule('jar-chosen-for-you', [
                'jar' => Said::of('amount.jars-chosen', ['count' => $jars, 'jar' => $jar->called]),
            ]);
        }

        return new self($herb, $oil, $ratio, $jar, $jars, $levels, self::coarse($wish, $herbWhy), self::coarse($wish, $oilWhy));
    }

    private static function given(string $typed): Reason
    {
        return Reason::rule('given', ['typed' => $typed]);
    }

    /** @return list<Reason> which grams the ratio is of, where it matters */
    private static function basis(Wish $wish, Ratio $ratio): array
    {
        if (! $wish->mix->state->isWet() || $ratio->by === Ratio::VOLUME_TO_VOLUME) {
            return [];
        }

        return [
            Reason::rule($wish->sizing->basis === Sizing::DRY ? 'basis-dry' : 'basis-as-it-lies', [
                'dry_per_g' => round($wish->mix->dryPerG, 3),
            ]),
        ];
    }

    /**
     * An amount written as the other of weight and volume carries the density it came through.
     *
     * @param  list<Reason>  $reasons
     * @return list<Reason>
     */
    private static function coarse(Wish $wish, array $reasons): array
    {
        foreach ($reasons as $reason) {
            $typed = $reason->inputs['typed'] ?? null;
            if ($typed === null) {
                continue;
            }
            if ($wish->sizing->herb?->throughDensity === true && $wish->sizing->herb->typed === $typed) {
                $reasons[] = Reason::rule('read-by-loose-density', [
                    'typed' => $typed,
                    'material' => $wish->mix->first()->form->said(),
                    'g_per_ml' => round(1 / $wish->mix->mlPerG(Lying::in((string) $typed)[1] ?? Lying::Loose), 3),
                ]);
            } elseif ($wish->sizing->oil?->throughDensity === true && $wish->sizing->oil->typed === $typed) {
                $density = $wish->blend->density(Planner::ROOM_C)->gramsPerMl;
                $reasons[] = Reason::rule('read-by-density', [
                    'typed' => $typed,
                    'material' => $wish->blend->said(),
                    'g_per_ml' => round($density, 3),
                    'value' => round($wish->sizing->oil->value),
                    'unit' => 'mL',
                ]);
            }
        }

        return $reasons;
    }

    /** @return array{Ratio, Reason} */
    private static function ratio(Wish $wish): array
    {
        if ($wish->sizing->ratio !== null) {
            return [$wish->sizing->ratio, Reason::rule('ratio-chosen', ['ratio' => $wish->sizing->ratio->text()])];
        }
        $parts = $wish->mix->usualParts($wish->perGramAsItLies());
        $why = match (true) {
            $parts > 9.0 && ! $wish->mix->state->isWet() => 'covers',
            $parts === 5.0 => 'standard',
            $parts === 7.0 => 'bed',
            $wish->mix->state->isWet() => 'wet',
            default => 'fluffy',
        };

        return [Ratio::perGram($parts), Reason::rule('ratio-default', ['ml_per_g' => $parts, 'why' => Said::of('ratio.'.$why)])];
    }
}
