<?php

declare(strict_types=1);

namespace Kettle\Infusion;

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
}
