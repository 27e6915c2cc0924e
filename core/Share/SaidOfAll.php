<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\UnitWords;

/** What is said of all herbs of a wish at once: "20 g of herb and 300 mL of oil", "(two to one)", "thin leaf, dried and cut". */
final class SaidOfAll
{
    /** How a form is once it is dry, as its name has it. */
    private const DRIED_AS = 'dried\s+whole\s+or\s+crushed|dried\s+whole|dried\s+and\s+cut|in\s+tears\s+or\s+crushed';

    /** @var list<string> what is told of it */
    public array $told = [];

    /** @var list<string> of which nothing was made */
    public array $unread = [];

    /**
     * @param  ?string  $herb how much of all herbs, as written
     * @param  ?string  $oil how much of all oils, as written
     * @param  list<string>  $parts of the herbs, in their order
     * @param  list<string>  $weights of the herbs, in their order, which the sum is of
     * @param  ?string  $form id of the form, where a form's whole name is said
     */
    private function __construct(
        private readonly ?string $herb,
        public readonly ?string $oil,
        private readonly array $parts,
        private readonly array $weights,
        private readonly ?string $form,
        private readonly Cupboard $cupboard,
        private readonly RecipeWords $words,
    ) {}

    public static function in(Remainder $left, Cupboard $cupboard, RecipeWords $words): self
    {
        $number = '\d[\d.\/]*\s*';
        $herb = $left->take(
            "({$number}".UnitWords::MASS.')\s+(?:of\s+)?(?:the\s+)?(?:(dried|fresh|wilted)\s+)?herbs?(?=\s+(?:and|in)\b)',
        );
        ($herb[2] ?? '') === '' || $left->putBack($herb[2]);
        $herb ??= $left->take("({$number}".UnitWords::MASS.')\s+(?:of\s+(?:them|it)\s+)?(?:all\s+)?(?:together|altogether)');
        $oil = $left->take("({$number}".UnitWords::CAPACITY.')\s+of\s+(?:(?:carrier|base)\s+)?oil(?=\s+in\s+(?:an?|\d+)\s|\s*:)');
        $each = "{$number}".UnitWords::MASS;
        $weights = $left->take("{$each}(?:\\s*,\\s*{$each})*\\s+and\\s+{$each}(?=\\s*[;)]\\s*oil\\b)");
        $parts = self::partsIn($left);
        $left->text = preg_replace('/\b(?:'.self::DRIED_AS.')\b/iu', 'dried', $left->text) ?? $left->text;
        $form = self::formIn($left, $cupboard);

        return new self(
            $herb[1] ?? null,
            $oil[1] ?? null,
            $parts,
            preg_split('/\s*(?:,|\band\b)\s*/iu', $weights[0] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [],
            $form,
            $cupboard,
            $words,
        );
    }

    /**
     * "Calendula and lavender (2 to 1)": what two of a ratio say is of the herbs where they are called an oil behind it, or
     * where herb to oil is said besides.
     *
     * @return list<string>
     */
    private static function partsIn(Remainder $left): array
    {
        $number = '\d+(?:\.\d+)?';
        $two = "{$number}\\s*(?:to|:)\\s*{$number}";
        $several = "/(?<=[;(]|[;(]\\s)({$two}(?:\\s*(?:to|:)\\s*{$number})*)(?=\\s*[;)](\\s*oil\\b)?)/iu";
        if (preg_match($several, $left->text, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return [];
        }
        $without = substr_replace($left->text, ' ; ', $m[1][1], strlen($m[1][0]));
        $parts = preg_split('/\s*(?:to|:)\s*/iu', $m[1][0], -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (count($parts) === 2 && ! isset($m[2]) && preg_match("/{$two}/iu", $without) !== 1) {
            return [];
        }
        $left->text = $without;

        return $parts;
    }

    /** The whole name of a form, such as no plant goes by. One of a word only where it stands between what it is for and its state. */
    private static function formIn(Remainder $left, Cupboard $cupboard): ?string
    {
        foreach ($cupboard->forms() as $form) {
            $name = preg_quote($form->plain, '/');
            $isWord = preg_match('/^\p{L}+$/u', $form->plain) === 1;
            $pattern = match (true) {
                // Powder is powder of whatever it is.
                $form->traits->powder && $form->bagG === null => "/(?<=[,;])\\s*\\K(?:{$name}|".
                    RecipeWords::POWDERED.
                    ')(?=\s*(?:[,;.(]|$))/iu',
                $isWord => "/\\boil(?:\\s+for\\s+[\\p{L} ]+)?(?:\\s*[,;])+\\s*\\K{$name}(?=\\s*,\\s*(?:dried|fresh|wilted)\\b)/iu",
                default => "/(?<=[,;])\\s*\\K{$name}(?=\\s*(?:[,;.(]|$))/iu",
            };
            if (preg_match($pattern, $left->text) === 1) {
                $left->text = preg_replace($pattern, ' ; ', $left->text, 1) ?? $left->text;

                return $form->id;
            }
        }

        return null;
    }

    /**
     * The herbs with what is said of all of them.
     *
     * @param  list<array<string, string>>  $herbs as a wish has them
     * @return array{herbs: list<array<string, string>>, ratio: ?string} parts behind one herb are a ratio
     */
    public function of(array $herbs): array
    {
        $ratio = null;
        if ($this->parts !== [] && count($this->parts) === count($herbs) && array_column($herbs, 'parts') === []) {
            $herbs = array_map(fn (array $herb, string $parts): array => $herb + ['parts' => $parts], $herbs, $this->parts);
        } elseif (count($this->parts) === 2 && count($herbs) === 1 && (float) $this->parts[0] <= (float) $this->parts[1]) {
            $ratio = implode(':', $this->parts);
        } elseif ($this->parts !== []) {
            $this->unread[] = implode(' to ', $this->parts);
        }

        return ['herbs' => $this->inForm($this->weighed($herbs)), 'ratio' => $ratio];
    }

    /** Whether both herb and oil are said of all. */
    public function isWhole(): bool
    {
        return $this->herb !== null && $this->oil !== null;
    }

    /**
     * @param  list<array<string, string>>  $herbs
     * @return list<array<string, string>>
     */
    private function weighed(array $herbs): array
    {
        $hasOwn = array_column($herbs, 'amount') !== [];
        if ($this->weights !== [] && count($this->weights) === count($herbs) && ! $hasOwn) {
            return array_map(fn (array $herb, string $weight): array => ['amount' => $weight] + $herb, $herbs, $this->weights);
        }
        if ($this->weights !== []) {
            $this->unread[] = implode(' and ', $this->weights);
        }
        if ($this->herb === null) {
            return $herbs;
        }
        if ($herbs === [] || $hasOwn) {
            $this->unread[] = $this->herb;

            return $herbs;
        }
        if (count($herbs) === 1) {
            return [['amount' => $this->herb] + $herbs[0]];
        }
        $parts = array_map(fn (array $herb): float => (float) ($herb['parts'] ?? 1), $herbs);
        $all = array_sum($parts);
        $grams = $this->words->amounts->reading($this->herb)?->value;
        if ($grams === null || $all <= 0.0) {
            $this->unread[] = $this->herb;

            return $herbs;
        }
        $this->told[] =
            count(array_unique($parts)) === 1
                ? sprintf('“%s” is taken as so much of all herbs together, as much of each.', $this->herb)
                : sprintf('“%s” is taken as so much of all herbs together.', $this->herb);

        return array_map(
            fn (array $herb, float $of): array => ['amount' => round(($grams * $of) / $all, 2).' g'] +
                array_diff_key($herb, ['parts' => 0]),
            $herbs,
            $parts,
        );
    }

    /**
     * @param  list<array<string, string>>  $herbs
     * @return list<array<string, string>>
     */
    private function inForm(array $herbs): array
    {
        if ($this->form === null || count($herbs) !== 1 || isset($herbs[0]['form'])) {
            return $herbs;
        }
        $usual = isset($herbs[0]['id']) ? $this->cupboard->herbOrNull($herbs[0]['id'])?->form : null;

        return $usual === $this->form ? $herbs : [['form' => $this->form] + $herbs[0]];
    }
}
