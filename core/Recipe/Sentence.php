<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;
use Kettle\Material\HerbPart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;

/** A plan as one sentence, in pieces: a piece with a slot can be changed in place. */
final class Sentence
{
    private const SHARES = ['1/2' => 'half', '1/3' => 'a third', '1/4' => 'a quarter', '1/5' => 'a fifth'];

    /** @return list<array{slot: ?string, text: string, chosen: bool}> */
    public static function of(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        $chosen = fn (string ...$slots) => array_intersect($slots, $wish->asked->chosen) !== [];
        $piece = fn (string $slot, string $text, bool $was) => ['slot' => $slot, 'text' => $text, 'chosen' => $was];
        $plain = fn (string $text) => ['slot' => null, 'text' => $text, 'chosen' => true];
        $length = AmountWriter::span($wish->variant->usualH);
        $variant = $wish->variant->targetC === null ? $length : $length.' at '.$kitchen->warmth($wish->variant->targetC);

        return [
            ...self::amount($wish, $amounts, $piece, $plain, $chosen),
            $piece('herb', self::herbs($wish), $chosen('herb')),
            $plain(' oil for '),
            $piece('purpose', $kitchen->cupboard()->purpose($wish->purpose)->name, $chosen('purpose')),
            ...$wish->storage() === ColdStorage::SHELF
                ? []
                : [
                    $plain(' '),
                    $piece('kept', $wish->storage() === ColdStorage::FRIDGE ? 'to keep cold for four days' : 'soured first', true),
                ],
            ...$wish->mix->isSingle() ? [$plain(', '), $piece('form', self::form($wish->mix->first()), $chosen('form'))] : [],
            ...$wish->sizing->byJar === null ? [$plain(', '), $piece('ratio', self::ratio($amounts->ratio), $chosen('ratio'))] : [],
            $plain(', in '),
            $piece('oils', self::oils($wish), $chosen('oils')),
            ...$wish->practice->spirit ? [$plain(', moistened with spirit first')] : [],
            $plain(', '),
            $piece('method', $wish->method->inSentence, $chosen('method')),
            $plain(' for '),
            $piece('school', $variant, $chosen('school')),
            $plain(', then '),
            $piece('way', $wish->practice->way, $chosen('way')),
            $plain(', '),
            $piece('when', self::when($wish), $chosen('ready_by', 'start')),
            $plain('.'),
        ];
    }

    /**
     * @param  \Closure(string, string, bool): array{slot: ?string, text: string, chosen: bool}  $piece
     * @param  \Closure(string): array{slot: ?string, text: string, chosen: bool}  $plain
     * @param  \Closure(string...): bool  $chosen
     * @return list<array{slot: ?string, text: string, chosen: bool}>
     */
    private static function amount(Wish $wish, Amounts $amounts, \Closure $piece, \Closure $plain, \Closure $chosen): array
    {
        [$article, $jar] = self::jars($amounts);
        $jarPiece = $piece('jar', $jar, $chosen('jar', 'jars'));
        if ($wish->sizing->byJar !== null) {
            return [
                $plain(ucfirst($article)),
                $piece('jar', $article === '' ? ucfirst($jar) : $jar, $chosen('jar', 'jars')),
                $plain(', '),
                $piece(
                    'amount',
                    $wish->sizing->byJar->said().' and covered by '.AmountWriter::plain($wish->sizing->byJar->coverMm, Kind::Length),
                    true,
                ),
                $plain(': '),
            ];
        }
        if ($wish->sizing->finished !== null) {
            return [
                $plain('Enough for '),
                $piece('amount', $wish->sizing->finished->said, true),
                $plain(', in '.$article),
                $jarPiece,
                $plain(': '),
            ];
        }
        if ($wish->sizing->herb === null && $wish->sizing->oil === null) {
            return [
                $plain(ucfirst($article)),
                $piece('amount', $article === '' ? ucfirst($jar) : $jar, $chosen('jar', 'jars')),
                $plain(' of '),
            ];
        }
        $words = array_filter([
            $wish->sizing->herb === null ? null : Numbers::withUnit($wish->sizing->herb->typed, 'g').' of herb',
            $wish->sizing->oil === null ? null : Numbers::withUnit($wish->sizing->oil->typed, 'mL').' of oil',
        ]);

        return [$piece('amount', ucfirst(implode(' and ', $words)), true), $plain(' in '.$article), $jarPiece, $plain(': ')];
    }

    /** @return array{string, string} "a ", "pint jar"; or "", "two pint jars" */
    private static function jars(Amounts $amounts): array
    {
        $called = $amounts->jar->called;
        if ($amounts->jars === 1) {
            return [preg_match('/^[aeiou8]/i', $called) === 1 ? 'an ' : 'a ', $called];
        }

        return ['', Numbers::word($amounts->jars).' '.(str_ends_with($called, 's') ? $called : $called.'s')];
    }

    private static function herbs(Wish $wish): string
    {
        $parts = array_map(fn ($part) => $part->parts, $wish->mix->parts);
        // Weights as given are said by weight already; equal parts need no saying.
        if (count(array_unique($parts)) === 1 || in_array('herb_amount', $wish->asked->chosen, true)) {
            return $wish->mix->name();
        }

        $word = fn (float $part) => Numbers::isWord($part) ? Numbers::word((int) round($part)) : (string) round($part, 2);

        return sprintf('%s (%s)', $wish->mix->name(), implode(' to ', array_map($word, $parts)));
    }

    /** How it is cut, without what the plant's own name says already: "marshmallow root, dried and cut". */
    private static function form(HerbPart $part): string
    {
        $name = $part->form->name;
        $bare = preg_replace('/^'.preg_quote($part->form->plain, '/').',\s*/u', '', $name) ?? $name;

        return $bare !== $name && preg_match('/\b'.preg_quote($part->form->plain, '/').'\b/iu', $part->plant->name) === 1
            ? $bare
            : $name;
    }

    private static function ratio(Ratio $ratio): string
    {
        $by = $ratio->by === Ratio::WEIGHT_TO_VOLUME ? '' : ($ratio->by === Ratio::WEIGHT_TO_WEIGHT ? ' by weight' : ' by volume');

        return Numbers::isWord($ratio->parts) ? 'one to '.Numbers::word((int) round($ratio->parts)).$by : $ratio->text();
    }

    private static function oils(Wish $wish): string
    {
        $shares = $wish->blend->shares();
        if (count($shares) === 1) {
            return $shares[0]['carrier']->name;
        }
        usort($shares, fn (array $a, array $b) => $b['share'] <=> $a['share']);
        $rest = array_map(fn (array $oil) => self::share($oil['share']).' '.$oil['carrier']->name, array_slice($shares, 1));
        $last = array_pop($rest);

        return $shares[0]['carrier']->name.' with '.($rest === [] ? '' : implode(', ', $rest).' and ').$last;
    }

    private static function share(float $share): string
    {
        foreach (self::SHARES as $fraction => $word) {
            [$over, $under] = explode('/', $fraction);
            if (abs($share - (int) $over / (int) $under) < 0.01) {
                return $word;
            }
        }

        return round($share * 100).' %';
    }

    private static function when(Wish $wish): string
    {
        return match (true) {
            $wish->days->readyBy !== null => 'ready by '.$wish->days->readyBy->format('l j F'),
            $wish->days->start !== null => 'begun '.$wish->days->start->format('l j F'),
            default => 'begun today',
        };
    }
}
