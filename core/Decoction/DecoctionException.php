<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Reason\RefusedException;

/** Something that cannot be boiled down, or not so. */
final class DecoctionException extends RefusedException
{
    public static function hardness(string $id): self
    {
        return new self('unknown', sprintf('“%s” is not soft, medium or very-hard.', mb_substr($id, 0, 40)), 'hardness');
    }

    /** @param  list<string>  $known */
    public static function liquid(string $id, array $known): self
    {
        return new self('unknown', sprintf('“%s” is none of %s.', mb_substr($id, 0, 40), implode(', ', $known)), 'liquid');
    }

    public static function stage(string $id): self
    {
        return new self('unknown', sprintf('“%s” is not cleanse, cook or whole.', mb_substr($id, 0, 40)), 'stage');
    }

    public static function powder(string $form): self
    {
        return new self(
            'never_so',
            sprintf('%s is not boiled: it thickens and catches. Take it cut, or as the paste.', ucfirst($form)),
            'herbs',
        );
    }

    public static function noHerb(): self
    {
        return new self('missing', 'Say which herb, or how hard it is: soft, medium or very-hard.', 'herbs');
    }

    public static function oneAmount(string $either): self
    {
        return new self('missing', sprintf('Say one amount and no more: %s.', $either), 'want');
    }

    public static function rate(): self
    {
        return new self('out_of_range', 'A pot loses between 20 mL and 20 L of water in an hour.', 'ml_per_hour');
    }

    public static function hoursADay(): self
    {
        return new self('out_of_range', 'It is kept hot between half an hour and 16 hours a day, with somebody by.', 'hours_a_day');
    }

    public static function potPart(string $field): self
    {
        return new self(
            'missing',
            $field === 'height_mm' ? 'Say how high the pot is inside, too.' : 'Say how wide the pot is inside, too.',
            "pot.{$field}",
        );
    }

    public static function pot(string $field): self
    {
        return new self('out_of_range', 'A pot is between 80 and 1000 mm wide and high inside.', "pot.{$field}");
    }

    public static function tooSmall(string $goesIn, string $holds): self
    {
        return new self(
            'no_room',
            sprintf('%s goes in, and this pot boils over from %s on. Take a wider one, or make less.', $goesIn, $holds),
            'pot',
        );
    }

    public static function smallerThanWater(string $goesIn, string $brim): self
    {
        return new self(
            'no_room',
            sprintf('%s goes in, and to the brim this pot holds %s. Take a larger one, or make less.', $goesIn, $brim),
            'pot',
        );
    }

    public static function fewMarks(): self
    {
        return new self('missing', 'Two marks of the level, with hours of flame between them, tell the rate.', 'marks');
    }

    public static function aboveRim(int $mark): self
    {
        return new self('out_of_range', sprintf('Mark %d is above the rim of the pot.', $mark + 1), "marks.{$mark}");
    }

    public static function rises(int $mark): self
    {
        return new self(
            'rises',
            sprintf('Mark %d stands higher than the one before it. If something was poured in, begin the marks anew.', $mark + 1),
            "marks.{$mark}",
        );
    }

    public static function backInTime(int $mark): self
    {
        return new self('out_of_range', sprintf('Mark %d comes before the one before it.', $mark + 1), "marks.{$mark}");
    }

    public static function still(): self
    {
        return new self('no_rate', 'The level has not gone down: no end can be foretold. Is the flame on, and the lid off?', 'marks');
    }

    public static function glycerinShare(float $least, float $most): self
    {
        return new self(
            'out_of_range',
            sprintf(
                'Glycerin is between %g and %g per cent of the weight. With less it is a decoction that keeps three days: plan it as one.',
                $least * 100,
                $most * 100,
            ),
            'glycerin_share',
        );
    }

    /** @param  list<string>  $may */
    public static function sign(string $sign, string $is, array $may): self
    {
        return new self('unknown', sprintf('“%s” is none of %s.', mb_substr($is, 0, 40), implode(', ', $may)), $sign);
    }

    /** @param  list<string>  $known */
    public static function use(string $id, array $known): self
    {
        return new self('unknown', sprintf('“%s” is none of %s.', mb_substr($id, 0, 40), implode(', ', $known)), 'use');
    }

    public static function stickWithoutPot(): self
    {
        return new self('missing', 'A mark on a stick says how much there is only with the width of the pot.');
    }

    public static function noLevel(): self
    {
        return new self('missing', 'Say how high it stands, how much there is, or what it weighs.');
    }

    public static function amount(string $field): self
    {
        return new self('out_of_range', 'That is more, or less, than a kitchen boils at once.', $field);
    }
}
