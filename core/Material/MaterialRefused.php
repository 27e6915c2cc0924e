<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Reason\Refused;

/** A herb, form or oil that is unknown, or a blend that does not add up. */
final class MaterialRefused extends Refused
{
    public static function unknown(string $what, string $id): self
    {
        return new self('unknown', sprintf('No %s is called “%s” here. Choose one from the list.', $what, mb_substr($id, 0, 40)));
    }

    public static function noOil(): self
    {
        return new self('missing', 'Name at least one oil.');
    }

    public static function badParts(string $oil): self
    {
        return new self('out_of_range', sprintf('The parts of %s must be more than nothing and at most 1000, such as 1 or 2.', $oil));
    }

    public static function oilTwice(string $oil): self
    {
        return new self('twice', sprintf('%s is named twice. Name each oil once, with its parts.', ucfirst($oil)));
    }
}
