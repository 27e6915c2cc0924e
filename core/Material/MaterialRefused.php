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

    public static function noHerb(): self
    {
        return new self('missing', 'Name the herb: choose one from the list, or write its name and how it is cut.');
    }

    public static function tooManyHerbs(int $most): self
    {
        return new self('out_of_range', sprintf('Up to %d herbs are planned together in one jar. Leave out the others.', $most));
    }

    public static function tooManyOils(int $most): self
    {
        return new self('out_of_range', sprintf('Up to %d oils are blended here. Leave out the others.', $most));
    }

    public static function herbTwice(string $herb): self
    {
        return new self('twice', sprintf('%s is named twice in the same cut and state. Name it once, with its parts.', ucfirst($herb)));
    }

    public static function neverIn(string $form, State $state): self
    {
        return new self('never_so', sprintf('%s is never %s: choose dried, or another cut.', ucfirst($form), $state->value), 'state');
    }

    public static function heavierThanFresh(string $now, string $fresh): self
    {
        return new self('out_of_range', sprintf('It weighs %s now and %s when picked: wilting only takes water away. Check the two weights, and the bowl.', $now, $fresh), 'now');
    }

    public static function lighterThanDry(string $now, string $fresh, int $water): self
    {
        return new self('out_of_range', sprintf('%s is lighter than the dry matter in %s of plant that is %d %% water. Check the weights, or say how watery it was when picked.', $now, $fresh, $water), 'now');
    }

    public static function someWeighed(): self
    {
        return new self('disagree', 'Give the weight of every herb, or of one herb and parts for the rest.');
    }
}
