<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Ratio;

/** A plan as one sentence, in pieces: a piece with a slot can be changed in place. */
final class Sentence
{
    private const NUMBERS = [1 => 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    private const PURPOSES = [
        'salve' => 'a salve', 'skin' => 'the skin', 'face' => 'the face', 'hair' => 'the hair',
        'massage' => 'massage', 'kitchen' => 'the kitchen', 'perfume' => 'perfume',
    ];

    /** @return list<array{slot: ?string, text: string, chosen: bool}> */
    public static function of(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        $chosen = fn (string ...$slots) => array_intersect($slots, $wish->chosen) !== [];
        $piece = fn (string $slot, string $text, bool $was) => ['slot' => $slot, 'text' => $text, 'chosen' => $was];
        $plain = fn (string $text) => ['slot' => null, 'text' => $text, 'chosen' => true];
        $length = AmountWriter::span($wish->school->usualH);
        $school = $wish->school->targetC === null ? $length : $length.' at '.$kitchen->warmth($wish->school->targetC);

        return [
            ...self::amount($wish, $amounts, $piece, $plain, $chosen),
            $piece('herb', $wish->plant->name, $chosen('herb')),
            $plain(' oil for '), $piece('purpose', self::PURPOSES[$wish->purpose], $chosen('purpose')),
            $plain(', '), $piece('form', $wish->form->name, $chosen('form')),
            $plain(', '), $piece('ratio', self::ratio($amounts->ratio), $chosen('ratio')),
            $plain(', in '), $piece('oils', self::oils($wish), $chosen('oils')),
            $plain(', '), $piece('method', $wish->method->inSentence, $chosen('method')),
            $plain(' for '), $piece('school', $school, $chosen('school')),
            $plain(', '), $piece('when', self::when($wish), $chosen('ready_by', 'start')),
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
        $given = array_filter([$wish->herb?->typed, $wish->oil?->typed]);
        if ($given === []) {
            return [$plain(self::article($amounts->jar->called)), $piece('amount', $amounts->jar->called, $chosen('jar')), $plain(' of ')];
        }
        $words = array_filter([
            $wish->herb === null ? null : self::withUnit($wish->herb->typed, 'g').' of herb',
            $wish->oil === null ? null : self::withUnit($wish->oil->typed, 'mL').' of oil',
        ]);

        return [
            $piece('amount', ucfirst(implode(' and ', $words)), true), $plain(' in '.lcfirst(self::article($amounts->jar->called))),
            $piece('jar', $amounts->jar->called, $chosen('jar')), $plain(': '),
        ];
    }

    private static function withUnit(string $typed, string $unit): string
    {
        return preg_match('/[a-z]/i', $typed) === 1 ? $typed : $typed.' '.$unit;
    }

    private static function article(string $noun): string
    {
        return preg_match('/^[aeiou8]/i', $noun) === 1 ? 'An ' : 'A ';
    }

    private static function ratio(Ratio $ratio): string
    {
        $whole = (int) round($ratio->parts);
        $by = $ratio->by === Ratio::WEIGHT_TO_VOLUME ? '' : ($ratio->by === Ratio::WEIGHT_TO_WEIGHT ? ' by weight' : ' by volume');

        return abs($ratio->parts - $whole) < 0.005 && isset(self::NUMBERS[$whole])
            ? 'one to '.self::NUMBERS[$whole].$by
            : $ratio->text();
    }

    private static function oils(Wish $wish): string
    {
        $shares = $wish->blend->shares();
        if (count($shares) === 1) {
            return $shares[0]['carrier']->name;
        }
        usort($shares, fn (array $a, array $b) => $b['share'] <=> $a['share']);
        $lesser = $shares[1]['share'];
        $part = match (true) {
            abs($lesser - 1 / 2) < 0.01 => 'half',
            abs($lesser - 1 / 3) < 0.01 => 'a third',
            abs($lesser - 1 / 4) < 0.01 => 'a quarter',
            abs($lesser - 1 / 5) < 0.01 => 'a fifth',
            default => round($lesser * 100).' %',
        };

        return $shares[0]['carrier']->name.' with '.$part.' '.$shares[1]['carrier']->name;
    }

    private static function when(Wish $wish): string
    {
        return match (true) {
            $wish->readyBy !== null => 'ready by '.$wish->readyBy->format('l j F'),
            $wish->start !== null => 'begun '.$wish->start->format('l j F'),
            default => 'begun today',
        };
    }
}
