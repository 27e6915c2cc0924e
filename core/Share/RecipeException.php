<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Reason\RefusedException;

/** A recipe that cannot be read. */
final class RecipeException extends RefusedException
{
    public static function empty(): self
    {
        return new self('missing', 'There is nothing to read. Paste a recipe, a line for each thing, such as “1 cup olive oil”.', 'text');
    }

    public static function tooLong(): self
    {
        return new self('too_long', 'That is too long for a recipe. Paste only its ingredients and steps, at most 20 000 letters.', 'text');
    }

    public static function notText(): self
    {
        return new self('unreadable', 'That is not text in UTF-8. Save it as UTF-8 and paste it again.', 'text');
    }

    public static function nothingFound(): self
    {
        return new self(
            'unreadable',
            'Neither a herb nor an oil was found in it. Write a line for each, such as “3 tbsp dried calendula”.',
            'text',
        );
    }

    public static function nothingWished(): self
    {
        return new self(
            'unreadable',
            'Neither a herb nor an oil was found in it. Which herb is good for what is not said here: name one, such as “calendula in '.
                'olive oil, by 20 December”.',
            'text',
        );
    }

    public static function nothingForProduct(): self
    {
        return new self(
            'unreadable',
            'Nothing that goes into a product was found in it. Write a line for each, such as “20 g beeswax” and “100 mL olive oil”.',
            'text',
        );
    }

    public static function broken(): self
    {
        return new self('unreadable', 'It begins like JSON and cannot be read as it: a bracket, a quote or a comma is amiss.', 'text');
    }

    public static function otherFormat(string $found): self
    {
        return new self(
            'unknown',
            sprintf(
                'It is JSON, but neither a recipe of ours nor a schema.org Recipe%s.',
                $found === '' ? '' : ' (it says “'.mb_substr($found, 0, 40).'”)',
            ),
            'text',
        );
    }

    public static function newer(int $version): self
    {
        return new self(
            'unknown',
            sprintf('That recipe is of version %d, which this kettle does not know yet. Update it first.', $version),
            'text',
        );
    }

    public static function nameless(): self
    {
        return new self('missing', 'Give the recipe a name.', 'name');
    }
}
