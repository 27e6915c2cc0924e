<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Reason\RefusedException;

/** A herb, form or oil that is unknown, or a blend that does not add up. */
final class MaterialException extends RefusedException
{
    public static function unknown(string $what, string $id): self
    {
        return new self('unknown', sprintf('No %s is called “%s” here. Choose one from the list.', $what, mb_substr($id, 0, 40)));
    }

    public static function driedOrFresh(): self
    {
        return new self(
            'missing',
            'Say whether the herb was dried or fresh when it went in: what is fresh brings water, and keeps otherwise.',
        );
    }

    public static function noOil(): self
    {
        return new self('missing', 'Name at least one oil.');
    }

    public static function oilUnknown(string $name): self
    {
        return preg_match('/^(an?\s+|some\s+)?(carrier\s+|vegetable\s+|base\s+)?oils?$/i', trim($name)) === 1
            ? new self('which', 'Which oil is not said. Choose it from the list.')
            : new self(
                'unknown',
                sprintf(
                    '“%s” is not in the tables, so neither its weight nor how long it keeps, nor what it could do '.
                        'to whom, is known. Choose an oil from the list.',
                    mb_substr($name, 0, 60),
                ),
            );
    }

    public static function badParts(string $oil): self
    {
        return new self('out_of_range', sprintf('The parts of %s must be more than nothing and at most 1000, such as 1 or 2.', $oil));
    }

    public static function oilTwice(string $oil): self
    {
        return new self('twice', sprintf('%s is named twice. Name each oil once, with its parts.', ucfirst($oil)));
    }

    public static function wetUnstrained(): self
    {
        return new self(
            'wet',
            'Wet herb is never left in its oil: its water spoils it, and worse can grow there. Strain it, or take dried powder.',
        );
    }

    public static function onlyPowderUnstrained(): self
    {
        return new self(
            'not_powder',
            'Only fine, dry powder lies at the bottom. Leaf and flower stand out of the oil as it is used, and mould: '.
                'take powder, or strain it.',
        );
    }

    public static function neitherWrungNorStrained(): self
    {
        return new self('disagree', 'What is left on its sediment is not wrung out. Leave one of the two out.');
    }

    public static function noSuchInfused(): self
    {
        return new self('unknown', 'There is no such infused oil here. Choose a batch that is strained, or an oil by itself.');
    }

    public static function infusedAndBegun(): self
    {
        return new self(
            'disagree',
            'An oil that goes on herb once more begins today, or on a day to come: leave out what stands or was made already.',
        );
    }

    public static function infusedUsedUp(string $oil): self
    {
        return new self('used_up', sprintf('There is no %s left. Choose another oil.', $oil));
    }

    public static function infusedCold(string $oil): self
    {
        return new self(
            'cold',
            sprintf('The %s keeps in the refrigerator only, and for days: use it up. It is not put on herb once more.', $oil),
        );
    }

    public static function infusedPast(string $oil, string $day): self
    {
        return new self('past', sprintf('The %s was good until %s. Begin with a fresh oil.', $oil, $day));
    }

    public static function infusedOils(string $oil): self
    {
        return new self(
            'disagree',
            sprintf('It is made in the %s, so its oils are those of that batch. Leave the oils out, or choose oils by themselves.', $oil),
        );
    }

    public static function infusedDay(): self
    {
        return new self('missing', 'Say until when the infused oil is good: what is made in it keeps no longer.');
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

    /** @param  float  $water,$crisp fractions */
    public static function wordAndWater(State $said, float $water, float $crisp): self
    {
        return new self(
            'disagree',
            $said->isWet()
                ? sprintf(
                    'It is said to be %s, and with %d %% water it is dried: call it dried, or weigh it again.',
                    $said->value,
                    (int) round($water * 100),
                )
                : sprintf(
                    'It is said to be dried, and with %d %% water it is not: dried herb holds %d %% at the most, '.
                        'and snaps. Call it wilted or fresh, or dry it on.',
                    (int) round($water * 100),
                    (int) round($crisp * 100),
                ),
        );
    }

    /** @param  float  $said,$weighed fractions */
    public static function waterAndWeights(float $said, float $weighed): self
    {
        return new self(
            'disagree',
            sprintf(
                'It is said to hold %d %% water, and by its two weights it holds %d %%. Leave one of them out.',
                (int) round($said * 100),
                (int) round($weighed * 100),
            ),
        );
    }

    public static function lotIsOther(string $lot, State $is, State $said): self
    {
        return new self(
            'disagree',
            sprintf(
                'The lot “%s” in Stores is %s, and %s is asked for. Choose another lot, or its own state.',
                $lot,
                $is->value,
                $said->value,
            ),
        );
    }

    public static function heavierThanFresh(string $now, string $fresh): self
    {
        return new self(
            'out_of_range',
            sprintf(
                'It weighs %s now and %s when picked: wilting only takes water away. Check the two weights, and the bowl.',
                $now,
                $fresh,
            ),
            'now',
        );
    }

    public static function lighterThanDry(string $now, string $fresh, int $water): self
    {
        return new self(
            'out_of_range',
            sprintf(
                '%s is lighter than the dry matter in %s of plant that is %d %% water. Check the weights, or say '.
                    'how watery it was when picked.',
                $now,
                $fresh,
                $water,
            ),
            'now',
        );
    }

    public static function someWeighed(): self
    {
        return new self('disagree', 'Give the weight of every herb, or of one herb and parts for the rest.');
    }

    public static function someMeasured(): self
    {
        return new self('disagree', 'Give the amount of every oil, or of one oil and parts for the rest.');
    }

    public static function enterIt(string $name): self
    {
        return new self(
            'unknown',
            sprintf(
                '“%s” is not in the Almanac, so nobody knows what a millilitre of it weighs, or how it keeps. Choose one from '.
                    'the list, or enter it in the Almanac as one of your own first.',
                mb_substr($name, 0, 60),
            ),
        );
    }

    public static function countUnknown(string $typed, string $herb): self
    {
        return new self(
            'uncounted',
            sprintf('What “%s” of %s weighs is not known here. Weigh it, and write it like 70 g.', mb_substr($typed, 0, 40), $herb),
        );
    }

    public static function ownKind(): self
    {
        return new self('unknown', 'Say what it is: a plant, an oil, a wax, an essential oil, a measure or a school.');
    }

    public static function ownField(string $field): self
    {
        return new self('unknown_field', sprintf('“%s” is not asked of such a thing. Leave it out.', mb_substr($field, 0, 40)));
    }

    public static function ownId(string $id): self
    {
        return new self(
            'format',
            sprintf(
                '“%s” is no id for a thing of your own: it begins with “own-”, in small letters, figures and dashes.',
                mb_substr($id, 0, 40),
            ),
        );
    }

    public static function ownTwice(string $name, string $other): self
    {
        return new self(
            'twice',
            mb_strtolower($name) === mb_strtolower($other)
                ? sprintf('There is a thing called “%s” already. Take that one, or give this another name.', $name)
                : sprintf('“%s” is a name of %s, which is here already. Take that one, or give this another name.', $name, $other),
        );
    }

    public static function ownNameless(): self
    {
        return new self('missing', 'Say what it is called.');
    }

    public static function ownLetters(): self
    {
        return new self(
            'format',
            'A name is written in letters, of any language, with figures, spaces, dashes, commas and brackets: no pictures or signs.',
        );
    }

    public static function ownText(): self
    {
        return new self('format', 'This cannot be read. Write it in words.');
    }

    public static function ownLong(int $most): self
    {
        return new self('too_long', sprintf('At most %d letters.', $most));
    }

    public static function ownMany(int $most): self
    {
        return new self('out_of_range', sprintf('At most %d of them.', $most));
    }

    public static function ownList(): self
    {
        return new self('format', 'This is a list.');
    }

    public static function ownChoose(): self
    {
        return new self('missing', 'Choose one.');
    }

    public static function ownChoice(string $typed): self
    {
        return new self('unknown', sprintf('“%s” is not among those to choose from.', mb_substr($typed, 0, 40)));
    }

    public static function ownNumber(float $least, float $most, Figure $of): self
    {
        return new self(
            'out_of_range',
            rtrim(sprintf('From %s to %s %s', self::plain($least), self::plain($most), $of === Figure::Times ? '' : $of->value)).'.',
        );
    }

    public static function ownFigure(string $typed, Figure $of): self
    {
        return new self(
            'format',
            sprintf('“%s” cannot be read as %s. Write it like %s.', mb_substr($typed, 0, 40), $of->word(), $of->example()),
        );
    }

    public static function ownRange(string $typed): self
    {
        return new self(
            'format',
            sprintf(
                '“%s” goes from one figure to another. Write the one to be reckoned with, the more careful of the two.',
                mb_substr($typed, 0, 40),
            ),
        );
    }

    public static function allergenFree(string $typed): self
    {
        return new self(
            'format',
            sprintf('“%s” says what is not in it. Write what is in it, or none where there is nothing.', mb_substr($typed, 0, 40)),
        );
    }

    public static function allergenUnknown(string $typed): self
    {
        return new self(
            'format',
            sprintf('“%s” is no allergen. Leave it blank until it is known, or write none.', mb_substr($typed, 0, 40)),
        );
    }

    public static function ownMonths(): self
    {
        return new self('disagree', 'Opened, nothing keeps longer than closed.');
    }

    public static function ownMelts(): self
    {
        return new self('disagree', 'It melts from the lower warmth to the higher.');
    }

    public static function ownNeeds(string $what, string $or): self
    {
        return new self('missing', sprintf('Say %s, or choose %s.', $what, $or));
    }

    public static function ownAcid(string $acid): self
    {
        return new self(
            'format',
            sprintf('“%s” cannot be read. Write each acid with its per cent, such as oleic 72, or 18:1 72.', mb_substr($acid, 0, 40)),
        );
    }

    public static function ownAcidTwice(string $acid): self
    {
        return new self('twice', sprintf('“%s” is there twice.', mb_substr($acid, 0, 40)));
    }

    public static function ownAcids(float $sum): self
    {
        return new self(
            'disagree',
            sprintf('The fats come to %s per cent together; nearly all of an oil is fat, so about 100.', self::plain($sum)),
        );
    }

    public static function measureWords(): self
    {
        return new self(
            'format',
            'A measure is called in words without figures, commas, “and” or “of”, so that “2 blue scoops” is read as two.',
        );
    }

    public static function measureKnown(string $word): self
    {
        return new self('twice', sprintf('“%s” is a measure everywhere already. Call this one by what tells it apart.', $word));
    }

    public static function measureOneOf(): self
    {
        return new self('missing', 'Say how many mL it holds or how many grams it weighs: one of the two.');
    }

    public static function schoolHours(): self
    {
        return new self('missing', 'Say how long, such as 6 to 8 h or 10 days.');
    }

    public static function ownFull(int $most): self
    {
        return new self('too_much', sprintf('A house keeps up to %d things of its own.', $most));
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }
}
