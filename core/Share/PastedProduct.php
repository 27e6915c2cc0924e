<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\Amount;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/**
 * Reads a product written as plain lines ("1 cup oil, 1/4 cup beeswax pellets, 20 drops lavender") into a product's wish, and
 * says of every line what was made of it and whether that was a guess. What it does not know it names, and takes for nothing.
 */
final class PastedProduct
{
    /** Words for an amount that is none. */
    private const AS_YOU_LIKE = 'to\s+(?:taste|scent|fill|top\s+up)|as\s+(?:desired|needed|you\s+like)';

    private const SOME =
        '(?:bits?|pinch(?:es)?|little|dash(?:es)?|handfuls?|splash(?:es)?|dollops?|knobs?|few|(?:the\s+)?rest|'.
        self::AS_YOU_LIKE.
        '|optional)';

    private const MOST_LINES = 200;

    private const LONGEST = 300;

    private const MOST_LETTERS = 20_000;

    /** "Pour into 2 oz tins" is of what it is put in. */
    private const POURED_INTO = '/^(?:pour|fill|spoon|scoop|decant|put)\b[^,;]*\b(?:jar|bottle|tin|tube|pot|mould|mold|container)s?\W*$/iu';

    /** What is scented is scented with so many per cent at the most: common practice, no source. */
    private const MOST_OF_SCENT = 5.0;

    /** Nor with more than a spoon of one oil: common practice, no source. */
    private const MOST_SCENT_ML = 5.0;

    /** @var list<array{line: string, as: string, says: string, guess: bool}> */
    private array $lines = [];

    /** @var array<string, list<array<string, mixed>>> by field of the wish */
    private array $parts = [];

    /** What the shares in per cent come to; null where they are shares of nothing that is known. */
    private ?float $shares = null;

    /** Whether something is weighed, and nothing is told in parts. */
    private bool $isWeighed = false;

    private readonly RecipeWords $words;

    private readonly RecipeLines $recipe;

    private readonly RecipeTitle $title;

    private readonly RecipeText $text;

    private readonly ProductShares $told;

    private readonly OilLine $oilLine;

    private readonly SaidVitaminE $vitaminE;

    private readonly ProductNames $names;

    public function __construct(private readonly Cupboard $cupboard, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->recipe = new RecipeLines($cupboard, $this->words);
        $this->title = new RecipeTitle($cupboard, $this->words, $this->recipe);
        $this->text = new RecipeText($cupboard, $this->words, $this->recipe);
        $this->told = new ProductShares($this->words, $this->recipe);
        $this->oilLine = new OilLine($cupboard);
        $this->vitaminE = new SaidVitaminE($cupboard->tables());
        $this->names = new ProductNames($cupboard);
    }

    /** @throws RecipeException when there is nothing in it that goes into a product */
    public function read(string $text): ReadRecipe
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw RecipeException::notText();
        }
        if (trim($text) === '') {
            throw RecipeException::empty();
        }
        if (mb_strlen($text) > self::MOST_LETTERS) {
            throw RecipeException::tooLong();
        }
        $this->lines = $this->parts = [];
        [$rules, $text] = $this->rules(ProductText::plain($text));
        $lines = $this->text->split($text);
        $isNamed =
            $lines !== [] &&
            ! $this->recipe->isHeading($lines[0]) &&
            ! $this->isPart($lines[0]) &&
            $this->title->isName(RecipeTitle::titleOf($lines[0]));
        $name = $isNamed ? (string) array_shift($lines) : '';
        if ($name !== '') {
            $many = preg_match('/\('.RecipeTitle::SO_MANY.'\)/iu', $name, $m) === 1 ? trim($m[0], '()') : null;
            $this->say($name, 'name', $many === null ? '' : "How large the {$many} are is not said: choose them.", $many !== null);
            $name = RecipeTitle::titleOf($name);
        }
        $this->shares = $this->told->ofAll($lines);
        $this->isWeighed = $this->told->isWeighed($lines);
        $tins = ProductTins::in($text, $this->kitchen);
        foreach (array_slice($lines, 0, self::MOST_LINES) as $line) {
            $tins?->isAllOf($line) === true ? $this->say($line, 'step', '', false) : $this->line(mb_substr($line, 0, self::LONGEST));
        }
        foreach ($rules as $rule) {
            $this->say($rule, 'unread', 'So much for so much: write how much it is in all. It is left out.', false);
        }
        if ($this->parts === []) {
            throw RecipeException::nothingForProduct();
        }
        $product = ProductKind::in($name.' '.$text);
        $for = ForWhom::ofProduct($name, $text);
        [$this->parts, $weighed] = $this->told->weighed($this->parts, $this->shares, $text, $tins?->grams());
        $guessed = $product === null ? 'What it is was not said: taken for a salve. Change the word where it is not.' : null;
        $told = [$weighed, $tins?->told($weighed === null), $guessed, ...array_values($for)];
        $notes = array_values(array_filter($told, fn (?string $note) => $note !== null));

        return new ReadRecipe(
            mb_substr(rtrim($name, ' :'), 0, 80),
            '',
            ['product' => $product ?? 'salve'] +
                ($for === [] ? [] : ['for' => array_keys($for)]) +
                $this->parts +
                ($tins === null ? [] : ['tins' => $tins->wish($weighed === null)]),
            ToldAgain::asWritten($this->lines),
            $notes,
        );
    }

    /**
     * "1 tablespoon beeswax per 60 mL oil" is a rule, where how much oil there is stands in another line.
     *
     * @return array{list<string>, string} the rules, and the text without them
     */
    private function rules(string $text): array
    {
        if (preg_match(RecipeText::PER, $text) !== 1) {
            return [[], $text];
        }
        $lines = preg_split('/\R/u', $text) ?: [];
        $rules = array_filter($lines, fn (string $line) => preg_match(RecipeText::PER, $line) === 1);
        $others = array_diff($lines, $rules);
        $measured = array_filter(
            $others,
            fn (string $line) => $this->words->amounts->amount($this->recipe->amountFirst(trim($line)))[0] !== null,
        );

        return $measured === [] ? [[], $text] : [array_values(array_map(trim(...), $rules)), implode("\n", $others)];
    }

    private function isPart(string $line): bool
    {
        return ProductShares::of($line) !== null ||
            $this->words->amounts->amount($line)[0] !== null ||
            preg_match('/^[\d½¼¾⅓⅔]/u', $line) === 1;
    }

    private function line(string $line): void
    {
        if ($this->recipe->isHeading($line)) {
            return;
        }
        $isYield = preg_match('/^(?:makes?|yields?|serves)\s+(?:about\s+)?\d[^,;]*$/iu', $line) === 1;
        if ($isYield || preg_match('/\p{L}/u', preg_replace(ProductShares::COMES_TO, '', $line) ?? $line) !== 1) {
            $this->say($line, 'step', '', false);

            return;
        }
        $vitamin = $this->vitaminE->of($line);
        if ($vitamin !== null) {
            $this->parts['others'][] = ['id' => 'vitamin-e', 'amount' => $vitamin[0]];
            $this->say($line, 'addition', $vitamin[1], true);

            return;
        }
        $written = $line;
        // Where it is melted is no name of an oil.
        $line =
            preg_replace(
                '/\s+in\s+(?:an?|the)\s+(?:double\s+boiler|bain[\s-]marie|(?:sauce)?pan|bowl|water\s+bath|jug)\b.*$/iu',
                '',
                $line,
            ) ?? $line;
        $line = $this->recipe->amountFirst($line);
        [$amount, $typed, $rest, $aside] = $this->words->amounts->amount($line);
        // "1 x 100 mL bottle of olive oil" is so much of it.
        $rest = preg_replace('/^'.LotPieces::IN_A.'\s+(?:of\s+)?(?=\p{L}{3})/iu', '', $rest) ?? $rest;
        // What was weighed is surer than what was filled.
        if ($amount?->kind === Kind::Volume && $aside?->kind === Kind::Mass && preg_match(OilLine::METRIC, $aside->typed) === 1) {
            $typed = $aside->typed;
        }
        $share = ProductShares::of($written);
        $parts = $share ?? ($amount === null ? $this->words->amounts->parts($line) : null);
        if ($share !== null && $this->shares === null) {
            // Beside what is weighed, a scent is so much of the whole.
            $scent = $this->isWeighed ? $this->names->scent(mb_strtolower($share[1])) : null;
            if ($scent !== null && $share[0] <= self::MOST_OF_SCENT) {
                $this->parts['essential_oils'][] = ['id' => $scent, 'percent' => $share[0]];
                $this->say(
                    $written,
                    'scent',
                    sprintf('%s, so much of the whole by weight.', $this->cupboard->essentialOil($scent)->name),
                    true,
                );

                return;
            }
            $this->say($written, 'unread', 'Of how much it is a share is not said: write its weight. It is left out.', false);

            return;
        }
        if ($parts !== null) {
            [$typed, $rest] = [$parts[0].ProductShares::PARTS, $parts[1]];
        } elseif ($amount === null || $amount->kind === Kind::Time) {
            // "A few drops of lavender", "honey, to taste": something goes in, and how much is not said.
            $isAmount =
                (preg_match('/^[\d½¼¾⅓⅔]|\bdrops?\b|\d\s*(?:%|'.UnitWords::ANY.'\b)/iu', $written) === 1 &&
                    preg_match(self::POURED_INTO, $written) !== 1) ||
                preg_match(
                    '/^(?:an?\s+|some\s+)?'.
                        self::SOME.
                        '\b(?!\s+(?:seconds?|minutes?|hours?|days?|weeks?|times?|more)\b)|[,(]\s*(?:an?\s+)?'.
                        self::SOME.
                        '\W*$|\b(?:'.
                        self::AS_YOU_LIKE.
                        ')\W*$/iu',
                    $written,
                ) === 1;
            $asked = $this->words->amounts->asked($written);
            // "Cocoa butter - a knob" is of cocoa butter.
            $named = preg_replace('/\s*(?:[,:(]|\s[-–—])\s*(?:an?|the|some)\s[^,:]*$/iu', '', $written) ?? $written;
            $isThing = ! $isAmount && $this->recipe->isThing($named);
            $this->say(
                $written,
                $isAmount || $isThing ? 'unread' : 'step',
                match (true) {
                    $asked !== [] => implode(' ', $asked).' It is left out.',
                    $isAmount => 'How much of what was not understood, so it is left out.',
                    $isThing => 'How much of it is not said, so it is left out.',
                    default => '',
                },
                false,
            );

            return;
        }
        $plain = mb_strtolower(trim(preg_replace('/\([^)]*\)|,.*$/u', ' ', $rest) ?? $rest));
        if ($plain === 'butter') {
            $this->say($written, 'unread', 'Which butter is not said, so it is left out.', false);

            return;
        }
        $this->scent($line, $typed, $plain) ||
            $this->firm($line, $typed, $plain) ||
            $this->addition($line, $typed, $plain) ||
            $this->littleScent($line, $typed, $plain, $amount) ||
            $this->oil($line, $typed, $rest) ||
            $this->say($line, 'unread', 'What this is was not known, so it is left out.', false);
        $last = array_pop($this->lines);
        $last === null || ($this->lines[] = $this->recipe->asWritten($last, $written));
    }

    /** By the drop, or called essential: one that no table knows is named, and not taken for another. */
    private function scent(string $line, string $typed, string $plain): bool
    {
        $byDrops = preg_match('/^\s*([\d.]+)\s*drops?$/i', $typed, $drops) === 1;
        $isEssential = preg_match('/\b(essential|eo)\b/i', $plain) === 1;
        if ((! $byDrops && ! $isEssential) || preg_match('/\bvitamin\b/i', $plain) === 1) {
            return false;
        }
        $several = preg_split(OfEach::APART, $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (count($several) > 1 && count(array_filter($several, fn (string $one) => $this->isScent($one))) > 1) {
            return $this->say($line, 'unread', 'How much of each is not said, so they are left out.', false);
        }
        $id = $this->names->scent($plain);
        if ($id === null) {
            return $this->say(
                $line,
                'unread',
                'No essential oil of that name is in the tables, so neither its limit nor its allergens are known.',
                false,
            );
        }
        $this->parts['essential_oils'][] = ['id' => $id] + ($byDrops ? ['drops' => (float) $drops[1]] : ['amount' => $typed]);

        return $this->say($line, 'scent', $this->cupboard->essentialOil($id)->name, false);
    }

    /** So small a share of a plant by name, or so little that is poured of it, is of its essential oil. */
    private function littleScent(string $line, string $typed, string $plain, ?Amount $amount): bool
    {
        // A spoon of lavender may be of the buds, and two millilitres of it are not.
        $isDab =
            $amount?->kind === Kind::Volume &&
            $amount->value <= self::MOST_SCENT_ML &&
            (OilLine::isPoured($typed) || $this->words->knownHerb($plain) === null);
        $share = str_ends_with($typed, ProductShares::PARTS) && $this->shares !== null ? (100 * (float) $typed) / $this->shares : null;
        $isLittle = $isDab || ($share !== null && $share <= self::MOST_OF_SCENT);
        $id = $isLittle ? $this->names->scent($plain) : null;
        if ($id === null || $this->words->oil($plain) !== null) {
            return false;
        }
        $this->parts['essential_oils'][] = ['id' => $id, 'amount' => $typed];

        return $this->say($line, 'scent', sprintf('The essential oil of %s, by a guess: it is so little.', $plain), true);
    }

    private function isScent(string $named): bool
    {
        return $this->names->scent($named) !== null || $this->words->knownHerb($named) !== null;
    }

    /** A wax, a butter, or an additive. A wax that is not named is beeswax by a guess, and that is told. */
    private function firm(string $line, string $typed, string $plain): bool
    {
        $wax = $this->names->wax($plain);
        $guess = $wax === null && ProductNames::isAnyWax($plain);
        if ($wax === null && ! $guess) {
            return false;
        }
        $wax ??= $this->cupboard->wax('beeswax');
        $field = ['wax' => 'waxes', 'butter' => 'butters'][$wax->kind] ?? 'others';
        $this->parts[$field][] = ['id' => $wax->id, 'amount' => $typed];

        return $this->say($line, $field === 'waxes' ? 'wax' : ($field === 'butters' ? 'butter' : 'addition'), $wax->name, $guess);
    }

    private function addition(string $line, string $typed, string $plain): bool
    {
        $addition = $this->names->addition($plain);
        if ($addition === null) {
            return false;
        }
        $this->parts['others'][] = ['id' => $addition->id, 'amount' => $typed];

        return $this->say($line, 'addition', $addition->name, false);
    }

    /** An oil; one that was infused is taken for what it was infused in, and the bottle asked for. */
    private function oil(string $line, string $typed, string $rest): bool
    {
        // "Comfrey-infused olive oil" and "jojoba infused with rose" are of the oil, with something in it.
        $bare = preg_replace(['/^.*\binfused\s+(?=\p{L})(?!with\b|in\b)/iu', '/\s+infused\s+with\b.*$/iu'], '', $rest) ?? $rest;
        $oil = $this->words->oil($bare);
        $infused = preg_match('/\binfused\b/i', $rest) === 1;
        $oil = $oil === null || $oil['id'] === '' ? $this->oilLine->calledShort(trim($bare)) ?? $oil : $oil;
        $known = $oil !== null && $oil['id'] !== '' ? $oil : null;
        if ($oil === null && ! $infused) {
            return false;
        }
        $this->parts['oils'][] = ['id' => $known['id'] ?? ($oil['name'] ?? 'oil'), 'amount' => $typed];
        $says = match (true) {
            $infused => sprintf('%s; it was infused: choose your bottle of it.', $known['name'] ?? 'Which oil is not said: choose it'),
            default => $known['name'] ?? 'Which oil is not said: choose it.',
        };

        return $this->say($line, 'oil', $says, $infused && $known !== null);
    }

    /** @return true */
    private function say(string $line, string $as, string $says, bool $guess): bool
    {
        $this->lines[] = ['line' => $line, 'as' => $as, 'says' => $says, 'guess' => $guess];

        return true;
    }
}
