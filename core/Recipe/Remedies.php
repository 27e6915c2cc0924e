<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Method;
use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Material\HerbPart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Reason\Way;
use Kettle\Reason\Wording;
use Kettle\Stores\Allocation;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Levels;

/** What can be done instead when the jar, the herb or the cupboard says no: each a change to the wish that works. */
final class Remedies
{
    /** Amounts by which a batch is given its size; taken out where another thing is to give it. */
    private const SIZES = ['oil_amount' => null, 'finished' => null, 'by_jar' => null];

    /** @return list<Way> the vessel that the method is done in */
    public static function ofVessel(Wish $wish, Kitchen $kitchen): array
    {
        $usual = $kitchen->jarsBySize($wish->method->wants->vessels[0])[0] ?? null;

        return $usual === null
            ? []
            : [new Way('its-vessel', sprintf('Make it in a %s.', $usual->called), ['jar' => null, 'jars' => null, 'by_jar' => null])];
    }

    /**
     * The next size that would do, several of this one, or as much as this one takes.
     *
     * @return list<Way>
     */
    public static function ofOverflow(Wish $wish, Kitchen $kitchen, Jar $jar, float $herbG, float $oilMl): array
    {
        $ways = [];
        $larger = self::larger($wish, $kitchen, $jar, $herbG, $oilMl);
        if ($larger !== null) {
            $ways[] = new Way('larger-jar', sprintf('Take the %s: it holds it all.', $larger->called), [
                'jar' => $larger->id,
                'jars' => null,
            ]);
        }
        for ($jars = 2; $jars <= Sizing::MOST_JARS; $jars++) {
            $each = Levels::in($jar, $wish->mix, $herbG / $jars, $oilMl / $jars);
            if ($each->headspaceMm() >= $wish->method->wants->headspaceMm - 1e-9) {
                $ways[] = new Way(
                    'several-jars',
                    sprintf(
                        'Use %s of this jar, each with %s of herb and %s of oil.',
                        Numbers::word($jars),
                        AmountWriter::plain($herbG / $jars, Kind::Mass),
                        AmountWriter::plain($oilMl / $jars, Kind::Volume),
                    ),
                    ['jars' => (string) $jars] + ($jar->id === '' ? [] : ['jar' => $jar->id]),
                );
                break;
            }
        }
        $most = Levels::mostHerb($jar, $wish->mix, $oilMl / $herbG, $wish->method->wants->headspaceMm);
        if ($most > 0) {
            $ways[] = new Way(
                'fill-this-jar',
                sprintf(
                    'Make only what this jar takes: %s of herb and %s of oil.',
                    AmountWriter::plain($most, Kind::Mass),
                    AmountWriter::plain(($most * $oilMl) / $herbG, Kind::Volume),
                ),
                [...self::SIZES, 'herbs' => self::unweighed($wish), 'jars' => null] + self::ratioAsItIs($wish, $herbG, $oilMl),
            );
        }

        return $ways;
    }

    /** @return list<Way> */
    public static function ofStandingOut(Wish $wish, ?Ratio $would): array
    {
        $ways = [];
        if ($would !== null) {
            $ways[] = new Way(
                'leaner',
                sprintf('Take %s, which covers it%s.', $would->text(), self::outgrowsItsJar($wish) ? ', in a jar that holds it' : ''),
                self::leaner($wish, $would),
            );
        }

        return $ways;
    }

    /**
     * As much herb as is usual for the oil.
     *
     * @return list<Way>
     */
    public static function ofLean(Wish $wish, float $oilMl): array
    {
        $usual = $wish->mix->usualParts($wish->perGramAsItLies());

        return [
            new Way('usual', sprintf('Take 1:%s for the same oil.', Wording::number($usual)), [
                ...self::SIZES,
                'oil_amount' => self::number(round($oilMl, 1)).' mL',
                'herbs' => self::unweighed($wish),
                'ratio' => '1:'.Wording::number($usual),
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    /**
     * Herb and oil that are far too much or too little for one another: either can lead.
     *
     * @return list<Way>
     */
    public static function ofRatioOffTheScale(Wish $wish, float $oilMl): array
    {
        $usual = '1:'.Wording::number($wish->mix->usualParts($wish->perGramAsItLies()));

        return [
            ...self::ofLean($wish, $oilMl),
            new Way('by-herb', sprintf('Take %s for the same herb.', $usual), [
                'oil_amount' => null,
                'ratio' => $usual,
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    /** @return list<Way> */
    public static function ofJarWay(Wish $wish, ByJar $way, Jar $jar): array
    {
        $ways = [];
        $room = $jar->heightMm - $wish->method->wants->headspaceMm;
        foreach (array_reverse(ByJar::FILLS, true) as $word => $share) {
            $bed = $jar->heightOf(($wish->mix->settledMlPerG * $jar->volumeTo($share * $jar->heightMm)) / $wish->mix->looseMlPerG);
            if ($share < $way->share() && $bed + $way->coverMm <= $room) {
                $ways[] = new Way('less-herb', sprintf('Fill it %s instead: with that cover it fits.', ByJar::SAID[$word]), [
                    'by_jar' => ['fill' => $word, 'cover' => round($way->coverMm).' mm'],
                ]);
                break;
            }
        }
        $bed = $jar->heightOf(($wish->mix->settledMlPerG * $jar->volumeTo($way->share() * $jar->heightMm)) / $wish->mix->looseMlPerG);
        $cover = floor($room - $bed);
        if ($cover >= 10) {
            $ways[] = new Way('thinner-cover', sprintf('Cover it by %d mm, which is all there is room for.', (int) $cover), [
                'by_jar' => ['fill' => $way->fill, 'cover' => $cover.' mm'],
            ]);
        }

        return $ways;
    }

    /**
     * Oil short in Stores: a smaller batch, another oil in a blend with what that changes, another jar.
     *
     * @return list<Way>
     */
    public static function ofShortOil(
        Wish $wish,
        Amounts $amounts,
        Kitchen $kitchen,
        Carrier $carrier,
        float $share,
        Allocation $taking,
    ): array {
        $ways = [];
        $there = $taking->need - $taking->short;
        $whole = $there / $share;
        $unweighed = self::unweighed($wish);
        if ($whole >= 20) {
            // To the millilitre below, so that there is really enough.
            $ways[] = new Way(
                'smaller-batch',
                sprintf('Make less: %s of oil in all.', AmountWriter::plain(floor($whole), Kind::Volume)),
                [...self::SIZES, 'oil_amount' => floor($whole).' mL', 'herbs' => $unweighed, 'jar' => null, 'jars' => null] +
                    self::ratioAsItIs($wish, $amounts->herbG, $amounts->oilMl),
            );
        }
        $other = self::another($wish, $kitchen, $taking->short);
        if ($other !== null) {
            $ways[] =
                $there > 0.5
                    ? self::blended($wish, $amounts, $kitchen, $carrier, $other, $taking)
                    : self::instead($wish, $amounts, $kitchen, $carrier, $other);
        }
        $smaller = self::jarForLess($wish, $amounts, $kitchen, $whole);
        if ($smaller !== null) {
            $ways[] = new Way(
                'smaller-jar',
                sprintf('Fill a %s instead.', $smaller->called),
                [...self::SIZES, 'herbs' => $unweighed, 'jar' => $smaller->id, 'jars' => null] +
                    self::ratioAsItIs($wish, $amounts->herbG, $amounts->oilMl),
            );
        }

        return $ways;
    }

    /** @return list<Way> */
    public static function ofShortHerb(Wish $wish, int $which, float $there): array
    {
        if ($there < 1) {
            return [];
        }
        $herbs = self::unweighed($wish);
        foreach ($wish->mix->parts as $i => $part) {
            $herbs[$i] = ['parts' => self::number($part->parts)] + (array) $herbs[$i];
        }
        $grams = floor($there * 10) / 10;
        $herbs[$which] = ['amount' => self::number($grams).' g'] + (array) $herbs[$which];

        return [
            new Way('smaller-batch', sprintf('Make less: with the %s there is.', AmountWriter::plain($grams, Kind::Mass)), [
                ...self::SIZES,
                'herbs' => $herbs,
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    /** @return array<string, mixed> the change that takes a leaner ratio */
    public static function leaner(Wish $wish, Ratio $would): array
    {
        $change = ['ratio' => $would->text()];

        // With herb and oil both given the oil must give way; more oil on the same herb may want another jar.
        return $change +
            ($wish->sizing->herb !== null && $wish->sizing->oil !== null ? ['oil_amount' => null] : []) +
            (self::outgrowsItsJar($wish) ? ['jar' => null, 'jars' => null] : []);
    }

    /** Whether more oil would be poured on so much herb, into a jar that is said. */
    private static function outgrowsItsJar(Wish $wish): bool
    {
        return $wish->sizing->herb !== null && $wish->sizing->jar !== null;
    }

    public static function larger(Wish $wish, Kitchen $kitchen, Jar $jar, float $herbG, float $oilMl): ?Jar
    {
        foreach ($kitchen->jarsBySize($jar->kind) as $other) {
            if (
                $other->brimMl > $jar->brimMl &&
                Levels::in($other, $wish->mix, $herbG, $oilMl)->headspaceMm() >= $wish->method->wants->headspaceMm - 1e-9
            ) {
                return $other;
            }
        }

        return null;
    }

    private static function instead(Wish $wish, Amounts $amounts, Kitchen $kitchen, Carrier $short, Carrier $other): Way
    {
        $parts = $oils = [];
        foreach ($wish->blend->shares() as $oil) {
            $carrier = $oil['carrier']->id === $short->id ? $other : $oil['carrier'];
            $parts[] = ['carrier' => $carrier, 'parts' => $oil['share']];
            $oils[] = ['id' => $carrier->id, 'parts' => self::number($amounts->oilMl * $oil['share'])];
        }

        return new Way('other-oil', sprintf('Take %s instead: %s.', $other->name, self::whatChanges($wish, Blend::of($parts), $kitchen)), [
            'oils' => count($oils) === 1 ? [['id' => $other->id]] : $oils,
        ]);
    }

    private static function blended(Wish $wish, Amounts $amounts, Kitchen $kitchen, Carrier $short, Carrier $other, Allocation $taking): Way
    {
        $parts = $oils = [];
        foreach ($wish->blend->shares() as $i => $oil) {
            $ml = $amounts->oilMl * $oil['share'] - ($oil['carrier']->id === $short->id ? $taking->short : 0.0);
            $parts[] = ['carrier' => $oil['carrier'], 'parts' => $ml];
            $oils[] = ['id' => $oil['carrier']->id, 'parts' => self::number($ml)];
        }
        $parts[] = ['carrier' => $other, 'parts' => $taking->short];
        $oils[] = ['id' => $other->id, 'parts' => self::number($taking->short)];

        return new Way(
            'blend',
            sprintf(
                'Make up the %s with %s: %s.',
                AmountWriter::plain($taking->short, Kind::Volume),
                $other->name,
                self::whatChanges($wish, Blend::of($parts), $kitchen),
            ),
            ['oils' => $oils],
        );
    }

    /** In density, keeping and allergens. */
    private static function whatChanges(Wish $wish, Blend $blend, Kitchen $kitchen): string
    {
        $months = fn (Wish $wish): float => Planner::keeping(
            $wish,
            Days::of($wish, $kitchen, among: false)->timetable,
            null,
            $kitchen->cupboard()->tables(),
        )->months;
        [$before, $after] = [$months($wish), $months($wish->inOil($blend))];
        $new = array_diff($blend->allergens(), $wish->blend->allergens());

        return implode('; ', [
            sprintf('density %.3f for %.3f g/mL', $blend->density(20)->gramsPerMl, $wish->blend->density(20)->gramsPerMl),
            abs($after - $before) < 0.05
                ? sprintf('keeps as long, %g months', round($after, 1))
                : sprintf('keeps %g months, not %g', round($after, 1), round($before, 1)),
            $new === [] ? 'no new allergen' : 'brings '.implode(' and ', $new).', an allergen',
        ]);
    }

    /** The best oil of the cupboard for the purpose that is there in that amount and is not in the blend. */
    private static function another(Wish $wish, Kitchen $kitchen, float $ml): ?Carrier
    {
        $inIt = array_map(fn (array $oil) => $oil['carrier']->id, $wish->blend->oils);
        if (count($inIt) >= Blend::MOST) {
            return null;
        }
        foreach ($kitchen->ranked($wish->purpose) as $oil) {
            $solid = ! $wish->method->heated && $oil['carrier']->setsBelowC > $kitchen->roomC;
            if ($oil['stock_ml'] >= $ml && ! $solid && ! in_array($oil['carrier']->id, $inIt, true)) {
                return $oil['carrier'];
            }
        }

        return null;
    }

    /** The largest jar that needs no more oil than there is. */
    private static function jarForLess(Wish $wish, Amounts $amounts, Kitchen $kitchen, float $oilMl): ?Jar
    {
        $perGram = $amounts->oilMl / $amounts->herbG;
        foreach (array_reverse($kitchen->jarsBySize($amounts->jar->kind)) as $jar) {
            $herb = Levels::mostHerb($jar, $wish->mix, $perGram, $wish->method->wants->headspaceMm);
            if (
                $jar->brimMl < $amounts->jar->brimMl * $amounts->jars &&
                $herb > 0 &&
                $herb * $perGram <= $oilMl &&
                Levels::in($jar, $wish->mix, $herb, $herb * $perGram)->coverMm() > 0
            ) {
                return $jar;
            }
        }

        return null;
    }

    /** @return list<mixed> the herbs of the wish, with parts where they had weights */
    private static function unweighed(Wish $wish): array
    {
        $herbs = is_array($wish->asked->document['herbs'] ?? null) ? array_values($wish->asked->document['herbs']) : [];
        $out = [];
        foreach ($herbs as $i => $herb) {
            $herb = (array) $herb;
            unset($herb['amount'], $herb['picked']);
            $part = $wish->mix->parts[$i];
            if (! $wish->mix->isSingle()) {
                $herb['parts'] = self::number($part->parts);
            }
            if ($part->form->state->isWet()) {
                $herb['water'] = self::number(round($part->water * 100, 1));
            }
            $out[] = $herb;
        }

        return $out;
    }

    /** @return array<string, string> the ratio, where herb and oil together gave it */
    private static function ratioAsItIs(Wish $wish, float $herbG, float $oilMl): array
    {
        return $wish->sizing->herb !== null && $wish->sizing->oil !== null
            ? ['ratio' => '1:'.self::number($oilMl / $herbG / $wish->perGramAsItLies())]
            : [];
    }

    private static function number(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
    }

    /**
     * Herb moistened with spirit wants warmth, an open lid and no flame.
     *
     * @return list<Way>
     */
    public static function ofSpirit(Kitchen $kitchen): array
    {
        $open = array_filter(
            $kitchen->methods()->all(),
            fn (Method $method) => $method->heated && ! $method->has(Method::OVER_FLAME) && ! $method->has(Method::LID_TIGHT),
        );

        return [
            ...array_values(
                array_map(
                    fn (Method $method) => new Way(
                        $method->id,
                        sprintf('Warm it %s, the jar open and no flame near it.', $method->inSentence),
                        ['method' => $method->id, 'school' => null],
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
                ...array_map(
                    fn (Method $method) => new Way($method->id, sprintf('Warm it %s.', $method->inSentence), [
                        'method' => $method->id,
                        'school' => null,
                    ]),
                    self::quick($wish, $kitchen),
                ),
                ...self::dried($wish),
                ...self::soured($wish),
            ],
            'soured-untested' => [...self::dried($wish), ...self::cold($wish, $kitchen), ...$skin],
            'not-food-plant', 'not-food-oil', 'not-food-lot' => $skin,
            'spirit-shut-in', 'spirit-flame' => self::ofSpirit($kitchen),
            'squeezed-wet' => [new Way('drain', 'Drain it.', ['way' => 'drained'])],
            default => [],
        };
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
                ['kept' => ColdStorage::FRIDGE, 'method' => $method->id, 'school' => null],
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
