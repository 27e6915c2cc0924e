<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\RefusedException;
use Kettle\Recipe\WishException;

/** A product that cannot be made so; says what was wrong with what. */
final class MeltException extends RefusedException
{
    public static function product(string $id): self
    {
        return new self('unknown', sprintf('Nothing called “%s” is made here. Choose a product from the list.', mb_substr($id, 0, 40)));
    }

    /** @param  list<string>  $known */
    public static function word(string $word, array $known): self
    {
        return new self(
            'unknown',
            sprintf(
                '“%s” is no word for how firm it is. Say one of %s, or a number from 0 to 1.',
                mb_substr($word, 0, 40),
                implode(', ', $known),
            ),
            'firmness',
        );
    }

    public static function noFirmness(string $product): self
    {
        return new self(
            'not_wax',
            sprintf('A %s is not made firm with wax. Leave out how firm, or choose a salve or a balm.', $product),
            'firmness',
        );
    }

    public static function both(string $one, string $other, string $field): self
    {
        return new self('said_twice', sprintf('Both %s and %s say how much it is to be. Say one of them.', $one, $other), $field);
    }

    public static function leafWeight(): self
    {
        return new self('missing', 'Say how much leaf, such as 40 g.', 'amount');
    }

    public static function leafDry(string $herb): self
    {
        return new self(
            'dry_leaf',
            sprintf('Dried %s gives little to an ointment: it is infused in the oil first. Stir in fresh or wilted leaf.', $herb),
            'state',
        );
    }

    public static function noLeaf(string $product): self
    {
        return new self(
            'no_leaf',
            sprintf('No leaf is stirred into a %s. Make a salve or an ointment, or leave it out.', $product),
            'leaf',
        );
    }

    public static function leafTakesAll(): self
    {
        return new self('too_much', 'So much leaf would soak up all of it. Take less leaf, or make more.', 'leaf.amount');
    }

    /** What the Bench has against an oil that is not begun yet. */
    public static function oilSaysNo(WishException $refused, string $place): self
    {
        $fault = $refused->faults[0];

        return new self($fault['reason'], $fault['sentence'], rtrim("{$place}.{$fault['field']}", '.'));
    }

    public static function nothingToMelt(): self
    {
        return new self(
            'no_leaf',
            'There is nothing in it that is melted. Leaf is stirred into what is warm and liquid; into an oil it is infused.',
            'leaf',
        );
    }

    public static function notBottled(string $oil): self
    {
        return new self(
            'not_bottled',
            sprintf('The %s is not in its bottles yet. Keep this for its day, and begin it when the oil is there.', $oil),
            'oils',
        );
    }

    public static function mixedSides(string $what, string $field): self
    {
        return new self(
            'unreadable',
            sprintf('Give an amount for each of the %s, or parts for each of them, but not some of both.', $what),
            $field,
        );
    }

    public static function moreThanWhole(string $what, string $field): self
    {
        return new self(
            'more_than_whole',
            sprintf('So much %s leaves no room for the rest. Take less of it, or make more.', $what),
            $field,
        );
    }

    public static function tooFirm(string $lowest): self
    {
        return new self(
            'firmer_already',
            sprintf('Without any wax it stands at %s already. Choose it firmer, or take less butter.', $lowest),
            'firmness',
        );
    }

    public static function notSoFirm(string $highest): self
    {
        return new self(
            'not_so_firm',
            sprintf('It cannot be made so firm: with no oil left it would stand at %s. Choose it softer, or a harder wax.', $highest),
            'firmness',
        );
    }

    public static function batch(string $id): self
    {
        return new self(
            'unknown',
            sprintf('No oil of this house goes by “%s”. Without it nobody knows what is in it, so it is not taken.', mb_substr($id, 0, 40)),
        );
    }

    public static function boil(string $id): self
    {
        return new self(
            'unknown',
            sprintf('No pot of this house goes by “%s”. Without it nobody knows what is in it, so it is not taken.', mb_substr($id, 0, 40)),
        );
    }

    public static function notThere(string $called, bool $yet): self
    {
        return new self(
            $yet ? 'not_strained' : 'discarded',
            $yet ? sprintf('%s is not strained yet.', ucfirst($called)) : sprintf('Nothing is left of %s. Choose another.', $called),
        );
    }

    public static function discarded(string $called): self
    {
        return new self('discarded', sprintf('%s was thrown away. Choose another oil.', ucfirst($called)));
    }

    public static function past(string $called, string $day): self
    {
        return new self(
            'past',
            sprintf('%s was good until %s. A product is as good as its oldest oil: choose another.', ucfirst($called), $day),
        );
    }

    public static function overBy(string $called, string $until, string $made): self
    {
        return new self(
            'over_by',
            sprintf('%s is good until %s, and this would be made on %s. Make it sooner, or of another.', ucfirst($called), $until, $made),
            'ready_by',
        );
    }

    public static function notSoMuch(string $called, string $there, string $asked): self
    {
        return new self('not_so_much', sprintf('There are %s of %s, and %s are asked for.', $there, $called, $asked));
    }

    public static function sizes(): self
    {
        return new self('out_of_range', 'A tin holds between 1 mL and 5 L.', 'tins');
    }

    public static function noTinFits(): self
    {
        return new self('none_filled', 'What there is does not fill one of them. Choose smaller ones, or make more.', 'tins');
    }

    public static function tooMuch(): self
    {
        return new self('out_of_range', 'More than 20 kg, or 20 L, in one pot is no kitchen’s. Make less.', 'total');
    }

    public static function nothingToMend(): self
    {
        return new self('out_of_range', 'Say how much is in the jar: more than nothing, and at most 20 kg.', 'mass');
    }

    public static function cannotReach(string $with): self
    {
        return new self(
            'not_so_firm',
            sprintf('However much %s goes in, it gets no firmer than that wax itself. Choose it softer, or a harder wax.', $with),
            'to',
        );
    }

    public static function neverSoSoft(): self
    {
        return new self('out_of_range', 'However much oil goes in, some wax stays in it. Choose it firmer than nothing.', 'to');
    }

    public static function twice(string $name): self
    {
        return new self('twice', sprintf('%s is named twice. Name each once.', ucfirst($name)));
    }

    public static function noWater(string $product): self
    {
        return new self(
            'water',
            sprintf('Water does not mix into a %s: it would separate, and what lives in water spoil it. A cream holds water.', $product),
        );
    }

    public static function noPreservative(): self
    {
        return new self(
            'no_preservative',
            'What holds water is not made here without a preservative: moulds and bacteria grow in it before anybody sees them.',
            'others',
        );
    }

    public static function notFood(string $name, string $product): self
    {
        return new self('not_food', sprintf('%s is nothing to eat, and a %s is eaten. Leave it out.', ucfirst($name), $product));
    }

    public static function tooManyDrops(int $most): self
    {
        return new self('out_of_range', sprintf('At most %d drops of one oil are counted. Weigh such an amount, or take less.', $most));
    }
}
