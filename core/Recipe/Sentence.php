<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;
use Kettle\Infusion\SpiritStart;
use Kettle\Material\Heed;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Own;
use Kettle\Material\State;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Ratio;
use Kettle\Reason\Said;

/** A plan as one sentence, in pieces: a piece with a slot can be changed in place. */
final class Sentence
{
    private const SHARES = ['half' => 1 / 2, 'third' => 1 / 3, 'quarter' => 1 / 4, 'fifth' => 1 / 5];

    /** @return list<array{slot: ?string, text: Said, chosen: bool}> */
    public static function of(Wish $wish, Amounts $amounts): array
    {
        $chosen = fn (string ...$slots) => array_intersect($slots, $wish->asked->chosen) !== [];

        return [
            ...self::amount($wish, $amounts, $chosen('jar', 'jars')),
            self::piece('herb', self::herbs($wish), $chosen('herb')),
            self::plain('oil-for'),
            self::piece('purpose', Said::just(['purpose' => $wish->purpose]), $chosen('purpose')),
            ...self::heeds($wish),
            ...$wish->storage() === ColdStorage::SHELF
                ? []
                : [self::plain('space'), self::piece('kept', Said::of('sentence.kept-'.$wish->storage()), true)],
            self::plain('comma'),
            self::asItGoesIn($wish->mix, $chosen('form')),
            ...$wish->sizing->byJar === null
                ? [self::plain('comma'), self::piece('ratio', self::ratio($wish, $amounts->ratio), $chosen('ratio'))]
                : [],
            self::plain('in-oil'),
            self::piece('oils', self::oils($wish), $chosen('oils')),
            // Where dry herb may be moistened first it is on offer; elsewhere it is not spoken of.
            ...$wish->practice->spirit || (SpiritStart::leaves($wish->method) && $wish->mix->state === State::Dried)
                ? [
                    self::plain('comma'),
                    self::piece(
                        'spirit',
                        Said::of('sentence.spirit-'.($wish->practice->spirit ? 'first' : 'none')),
                        $wish->practice->spirit,
                    ),
                ]
                : [],
            self::plain('comma'),
            self::piece('method', Said::just(['on_method' => $wish->method->id]), $chosen('method')),
            self::plain('for'),
            self::piece('school', self::hours($wish), $chosen('school', 'hours', 'warmth', 'stands')),
            self::plain('then'),
            self::piece(
                'way',
                match (true) {
                    ! $wish->practice->strained => Said::of('sentence.unstrained'),
                    $wish->practice->strainedTwice => Said::of('sentence.strained-twice', ['way' => ['way' => $wish->practice->way]]),
                    default => Said::just(['way' => $wish->practice->way]),
                },
                $chosen('way', 'strained'),
            ),
            self::plain('comma'),
            self::piece('when', self::when($wish), $chosen('ready_by', 'start')),
            self::plain('stop'),
        ];
    }

    /**
     * Of an oil that is there already: how much of it, and what is known of it.
     *
     * @return list<array{slot: ?string, text: Said, chosen: bool}>
     */
    public static function ofBefore(Wish $wish, Before $before): array
    {
        $day = fn (\DateTimeImmutable $day): array => ['day' => $day->format('Y-m-d')];

        return [
            self::piece('amount', Said::of('sentence.first', ['it' => Said::just((string) $wish->sizing->finished?->said)]), true),
            self::plain('of'),
            self::piece('herb', self::herbs($wish), true),
            self::plain('oil-for'),
            self::piece('purpose', Said::just(['purpose' => $wish->purpose]), in_array('purpose', $wish->asked->chosen, true)),
            ...self::heeds($wish),
            self::plain('comma'),
            self::asItGoesIn($wish->mix, true),
            self::plain('in-oil'),
            self::piece('oils', self::oils($wish), true),
            self::plain('comma'),
            self::piece(
                'method',
                $before->wayKnown ? Said::just(['on_method' => $wish->method->id]) : Said::of('sentence.way-unknown'),
                $before->wayKnown,
            ),
            self::plain('comma'),
            self::piece(
                'before',
                $before->made === null ? Said::of('sentence.made-unknown') : Said::of('sentence.made', ['day' => $day($before->made)]),
                $before->made !== null,
            ),
            ...$before->from === ''
                ? []
                : [self::plain('comma'), self::piece('before', Said::of('sentence.got-from', ['from' => $before->from]), true)],
            self::plain('stop'),
        ];
    }

    /** @return array{slot: string, text: Said, chosen: bool} */
    private static function piece(string $slot, Said $text, bool $was): array
    {
        return ['slot' => $slot, 'text' => $text, 'chosen' => $was];
    }

    /** @return list<array{slot: ?string, text: Said, chosen: bool}> whom it is for, and what it is to be without */
    private static function heeds(Wish $wish): array
    {
        $heeds = array_map(fn (Heed $heed) => Said::of('heed:'.$heed->id), $wish->asked->heeds);

        return $heeds === [] ? [] : [self::plain('comma'), self::piece('heed', Said::just(['all' => $heeds]), true)];
    }

    /** @return array{slot: null, text: Said, chosen: bool} */
    private static function plain(string $words): array
    {
        return ['slot' => null, 'text' => Said::of('sentence.'.$words), 'chosen' => true];
    }

    /** "half full, packed, and covered by 25 mm" */
    private static function covered(Wish $wish, ByJar $way): Said
    {
        $fill = $way->says();
        if ($wish->sizing->oil !== null) {
            return Said::of('sentence.with-so-much', ['fill' => $fill, 'oil' => self::asTyped($wish->sizing->oil, 'mL')]);
        }

        return $way->brim
            ? Said::of('sentence.to-the-brim', ['fill' => $fill])
            : Said::of('sentence.covered', ['fill' => $fill, 'cover' => ['mm' => $way->coverMm]]);
    }

    /** @return list<array{slot: ?string, text: Said, chosen: bool}> */
    private static function amount(Wish $wish, Amounts $amounts, bool $jarChosen): array
    {
        $called = $amounts->jar->called;
        $article = $amounts->jars > 1 ? '' : (preg_match('/^[aeiou8]/i', $called) === 1 ? 'an' : 'a');
        $jar =
            $amounts->jars === 1
                ? Said::just($called)
                : Said::of(str_ends_with($called, 's') ? 'sentence.jars-as-called' : 'sentence.jars', [
                    'count' => ['count' => $amounts->jars],
                    'jar' => $called,
                ]);
        // What begins the sentence has a capital: the article, or the jars themselves.
        $first =
            $article === ''
                ? [self::piece('jar', Said::of('sentence.first', ['it' => $jar]), $jarChosen)]
                : [self::plain('first-'.$article), self::piece('jar', $jar, $jarChosen)];
        if ($wish->sizing->byJar !== null) {
            return [
                ...$article === '' ? [self::plain('nothing')] : [],
                ...$first,
                self::plain('comma'),
                self::piece('amount', self::covered($wish, $wish->sizing->byJar), true),
                self::plain('colon'),
            ];
        }
        if ($wish->sizing->finished !== null) {
            return [
                self::plain('enough-for'),
                self::piece('amount', Said::just($wish->sizing->finished->said), true),
                self::plain('in'.($article === '' ? '' : '-'.$article)),
                self::piece('jar', $jar, $jarChosen),
                self::plain('colon'),
            ];
        }
        if ($wish->sizing->herb === null && $wish->sizing->oil === null) {
            return [
                ...$article === '' ? [self::plain('nothing')] : [],
                ...array_map(fn (array $piece) => $piece['slot'] === null ? $piece : ['slot' => 'amount'] + $piece, $first),
                self::plain('of'),
            ];
        }
        $given = array_values(
            array_filter([
                $wish->sizing->herb === null ? null : self::given('herb', $wish->sizing->herb, 'g'),
                $wish->sizing->oil === null ? null : self::given('oil', $wish->sizing->oil, 'mL'),
            ]),
        );

        return [
            self::piece('amount', Said::of('sentence.first', ['it' => ['all' => $given]]), true),
            self::plain('in-jar'.($article === '' ? '' : '-'.$article)),
            self::piece('jar', $jar, $jarChosen),
            self::plain('colon'),
        ];
    }

    private static function given(string $what, Amount $amount, string $unit): Said
    {
        return Said::of('sentence.of-'.$what, ['typed' => self::asTyped($amount, $unit)]);
    }

    /** As it was typed; what came together of several, or of one and parts for the rest, as what it comes to. */
    private static function asTyped(Amount $amount, string $unit): string
    {
        return $amount->together ? AmountWriter::plain($amount->value, $amount->kind) : Numbers::withUnit($amount->typed, $unit);
    }

    private static function herbs(Wish $wish): Said
    {
        $parts = array_map(fn ($part) => $part->parts, $wish->mix->parts);
        $herbs = Said::just($wish->mix->said());
        // Of several weights that were given together only the sum is said before.
        $given = $wish->sizing->herb?->together === true ? explode(' and ', $wish->sizing->herb->typed) : [];
        if (count($given) === count($parts)) {
            return Said::of('sentence.mix', ['herbs' => $herbs, 'parts' => ['all' => $given]]);
        }
        // Equal parts need no saying.
        if (count(array_unique($parts)) === 1) {
            return $herbs;
        }

        return Said::of('sentence.mix', [
            'herbs' => $herbs,
            'parts' => ['ratio' => array_map(fn (float $part) => Numbers::isWord($part) ? (int) round($part) : round($part, 2), $parts)],
        ]);
    }

    /** @return array{slot: string, text: Said, chosen: bool} how one herb is cut, and how each of several is */
    private static function asItGoesIn(HerbMix $mix, bool $was): array
    {
        return $mix->isSingle() ? self::piece('form', self::form($mix->first()), $was) : self::piece('states', self::states($mix), $was);
    }

    /** Of several herbs whether they are dried, wilted or fresh: of all of them, or of each where they are not alike. */
    private static function states(HerbMix $mix): Said
    {
        $state = fn (State $state): Said => Said::of('state.'.$state->value);
        $states = array_unique(array_map(fn (HerbPart $part) => $part->form->state->value, $mix->parts));

        return count($states) === 1
            ? $state($mix->state)
            : Said::just([
                'all' => array_map(
                    fn (HerbPart $part) => Said::of('sentence.in-state', [
                        'herb' => Said::just($part->plant->said()),
                        'state' => $state($part->form->state),
                    ]),
                    $mix->parts,
                ),
            ]);
    }

    /** How it is cut, without what the plant's own name says already: "marshmallow root, dried and cut". */
    private static function form(HerbPart $part): Said
    {
        return Said::just(['form_of' => [$part->form->id, $part->form->state->value, $part->plant->said()]]);
    }

    /** How much herb to how much oil, and of which of its weights where it holds water. */
    private static function ratio(Wish $wish, Ratio $ratio): Said
    {
        $said = self::parts($ratio);
        if (! $wish->mix->state->isWet() || $ratio->by === Ratio::VOLUME_TO_VOLUME) {
            return $said;
        }
        $of = match (true) {
            $wish->sizing->basis === Sizing::AS_IT_LIES => 'as-it-lies',
            $ratio->by === Ratio::WEIGHT_TO_WEIGHT => 'reckoned-dry',
            default => 'by-dry-weight',
        };

        return Said::of('sentence.ratio-'.$of, ['ratio' => $said]);
    }

    private static function parts(Ratio $ratio): Said
    {
        if (! Numbers::isWord($ratio->parts)) {
            return Said::just($ratio->text());
        }
        $by = match ($ratio->by) {
            Ratio::WEIGHT_TO_VOLUME => '',
            Ratio::WEIGHT_TO_WEIGHT => '-by-weight',
            default => '-by-volume',
        };

        return Said::of('sentence.ratio'.$by, ['parts' => ['count' => (int) round($ratio->parts)]]);
    }

    /** How long, how warm, and how long off the heat where the cook said so. */
    private static function hours(Wish $wish): Said
    {
        $variant = $wish->variant;
        $for =
            $variant->targetC === null
                ? Said::just(['h' => $variant->usualH])
                : Said::of('sentence.at-warmth', ['for' => ['h' => $variant->usualH], 'warmth' => ['C' => $variant->targetC]]);

        if (Own::is($variant->id)) {
            $for = Said::of('sentence.by-school', ['for' => $for, 'school' => ['school' => [$wish->method->id, $variant->id]]]);
        }

        return $wish->practice->standsH === null ? $for : Said::of('sentence.stands', ['warm' => $for, 'for' => ['h' => $wish->standsH()]]);
    }

    private static function oils(Wish $wish): Said
    {
        if ($wish->asked->inOil !== null) {
            return Said::of('sentence.the-infused', ['oil' => Said::just($wish->asked->inOil->said)]);
        }
        $shares = $wish->blend->shares();
        if (count($shares) === 1) {
            return Said::just($shares[0]['carrier']->said());
        }
        usort($shares, fn (array $a, array $b) => $b['share'] <=> $a['share']);

        return Said::of('sentence.oil-with', [
            'oil' => $shares[0]['carrier']->said(),
            'rest' => [
                'all' => array_map(
                    fn (array $oil) => Said::of('sentence.share-of', [
                        'share' => self::share($oil['share']),
                        'oil' => $oil['carrier']->said(),
                    ]),
                    array_slice($shares, 1),
                ),
            ],
        ]);
    }

    private static function share(float $share): Said
    {
        foreach (self::SHARES as $word => $is) {
            if (abs($share - $is) < 0.01) {
                return Said::of('share.'.$word);
            }
        }

        return Said::just(['%' => round($share * 100)]);
    }

    private static function when(Wish $wish): Said
    {
        return match (true) {
            $wish->days->readyBy !== null => Said::of('sentence.ready-by', ['day' => ['weekday' => $wish->days->readyBy]]),
            $wish->days->start !== null => self::begun($wish->days->start),
            default => Said::of('sentence.begun-today'),
        };
    }

    public static function begun(\DateTimeImmutable $day): Said
    {
        return Said::of('sentence.begun', ['day' => ['weekday' => $day]]);
    }
}
