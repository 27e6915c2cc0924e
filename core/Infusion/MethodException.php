<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** A method or school that is unknown, or does not suit what is planned. */
final class MethodException extends RefusedException
{
    public static function unknown(string $id): self
    {
        return new self('unknown', sprintf('No method is called “%s” here. Choose one from the list.', mb_substr($id, 0, 40)));
    }

    public static function spiritDryOnly(): self
    {
        return new self('unfit', 'Spirit is for dried, ground herb: wet herb has water enough of its own.');
    }

    public static function spiritHeatedOnly(string $method): self
    {
        return new self('unfit', sprintf('The spirit must leave again by warmth, and %s has none. Choose a warm method.', $method));
    }

    public static function unknownVariant(string $method, string $id): self
    {
        return new self('unknown', sprintf('The %s has no school called “%s”. Choose one from its list.', $method, mb_substr($id, 0, 40)));
    }

    public static function solidOnTheShelf(string $oil, float $setsBelowC): self
    {
        return new self(
            'solid_oil',
            sprintf(
                '%s is solid under about %d °C, and a solid fat does not infuse on a cold shelf. Warm it in the '.
                    'double boiler or slow cooker, or make it the lesser part of a liquid oil.',
                ucfirst($oil),
                (int) round($setsBelowC),
            ),
        );
    }

    public static function notFor(string $method, string $state): self
    {
        return new self('not_for_this', sprintf('%s is not a way for %s herb. Choose another way.', ucfirst($method), $state));
    }

    public static function noWarmth(string $method): self
    {
        return new self('unfit', sprintf('Nothing holds a warmth %s: leave it out, or choose a warm method.', $method), 'warmth');
    }

    public static function hoursBare(string $typed): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” of what? Say hours, days or weeks, such as 3 weeks.', mb_substr($typed, 0, 40)),
            'hours',
        );
    }

    public static function warmthBare(string $typed): self
    {
        return new self('unreadable', sprintf('“%s” of what? Say °C or °F, such as 38 °C.', mb_substr($typed, 0, 40)), 'warmth');
    }

    public static function schoolOfAnother(string $school, string $method): self
    {
        return new self('unfit', sprintf('“%s” is a school of another way than the %s. Choose one of this.', $school, $method), 'school');
    }

    public static function tooShort(string $method, float $leastH): self
    {
        return new self(
            'out_of_range',
            sprintf('So short nothing goes over into the oil: %s takes %s at the least.', $method, AmountWriter::span($leastH)),
            'hours',
        );
    }

    /** @param  string  $about hours, or warmth where that is what makes them too many */
    public static function tooLong(string $method, float $mostH, string $about): self
    {
        return new self(
            'out_of_range',
            sprintf(
                'No school of the %s leaves it so long so warm, for it ages the oil: %s at the most.',
                $method,
                AmountWriter::span($mostH),
            ),
            $about,
        );
    }

    public static function tooCool(float $leastC): self
    {
        return new self(
            'out_of_range',
            sprintf('Under %s nothing is warmed. Choose a way on the shelf.', AmountWriter::plain($leastC, Kind::Temperature)),
            'warmth',
        );
    }

    public static function tooHot(string $method, float $mostC): self
    {
        return new self(
            'too_hot',
            sprintf(
                'No school of the %s goes so hot: hold it at %s at the most, or the herb fries and the oil spoils.',
                $method,
                AmountWriter::plain($mostC, Kind::Temperature),
            ),
            'warmth',
        );
    }

    /** @param  string  $about stands or cooled */
    public static function notOffTheHeat(string $method, string $about): self
    {
        return new self('unfit', sprintf('There is no heat to take it off: %s has none. Leave that out.', $method), $about);
    }

    public static function strainedAtOnce(string $why): self
    {
        return new self('unfit', sprintf('It cannot be left standing off the heat: %s. Leave that out.', $why), 'stands');
    }
}
