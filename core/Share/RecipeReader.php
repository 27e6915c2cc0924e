<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Recipe\Kitchen;

/** Reads a recipe however it comes: our own JSON, schema.org JSON-LD, or plain lines. */
final readonly class RecipeReader
{
    private const MOST = 20_000;

    /** What is longer is no sentence. */
    private const LONGEST_SENTENCE = 1000;

    /** "A pint jar of calendula oil for the skin, ..., begun Tuesday 1 December." */
    private const OF_A_PLAN = '/^\p{Lu}.*\boil\s+for\b.*,\s+in\s.*,\s+(?:begun|ready\s+by)\s[^,]+\.$/u';

    public function __construct(private Methods $methods) {}

    /** @throws RecipeException */
    public function read(string $text, Kitchen $kitchen): ReadRecipe
    {
        $text = preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? '';
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw RecipeException::notText();
        }
        if (trim($text) === '') {
            throw RecipeException::empty();
        }
        if (mb_strlen($text) > self::MOST) {
            throw RecipeException::tooLong();
        }
        // As it stands in the source of a page.
        $text = preg_replace('/^\s*<script\b[^>]*>\s*(?=[{\[])|<\/script>\s*$/iu', '', $text) ?? $text;
        $lines = new PastedRecipe($kitchen->cupboard(), $this->methods, $kitchen);
        if (preg_match('/^\s*[{\[]/', $text) !== 1) {
            return $this->written($text, $lines, $kitchen);
        }
        $document = json_decode($text, true, 32);
        if (! is_array($document)) {
            throw RecipeException::broken();
        }
        if (($document['format'] ?? null) === RecipeFile::FORMAT) {
            return RecipeFile::read($document);
        }
        $recipe = SchemaOrg::find($document);
        if ($recipe !== null) {
            return SchemaOrg::read($recipe, $lines);
        }
        $says = $document['format'] ?? ($document['@type'] ?? '');

        throw RecipeException::otherFormat(is_string($says) ? $says : '');
    }

    /**
     * Line by line; and as one sentence what says in one line all there is, where that finds a herb and an oil and the other does not.
     *
     * @throws RecipeException
     */
    private function written(string $text, PastedRecipe $lines, Kitchen $kitchen): ReadRecipe
    {
        $text = trim($text);
        $card = $this->ofCard($text, $kitchen);
        if ($card !== null) {
            return $card;
        }
        $read = null;
        try {
            $read = $lines->read($text);
            $isOne = preg_match('/\R/u', $text) !== 1;
            if (mb_strlen($text) > self::LONGEST_SENTENCE || self::isWhole($read->wish) || (! $isOne && ! self::lacks($read->wish))) {
                return $read;
            }
        } catch (RecipeException $none) {
            mb_strlen($text) <= self::LONGEST_SENTENCE || throw $none;
        }
        try {
            $flat = preg_replace('/\s*\R\s*/u', ', ', $text) ?? $text;
            $said = (new WishSentence($kitchen->cupboard(), $this->methods, $kitchen))->read($flat);
        } catch (RecipeException $none) {
            return $read ?? throw $none;
        }
        // What loses an amount of several lines is no better than they are.
        $loses = preg_match('/\R/u', $text) === 1 && preg_grep('/\d/', $said['unread']) !== [];

        return $read === null || (self::isWhole($said['wish']) && ! $loses) ? self::asOneSentence($text, $said) : $read;
    }

    /** A card of a plan, as this application writes it: its sentence says all that the other lines follow from. */
    private function ofCard(string $text, Kitchen $kitchen): ?ReadRecipe
    {
        $lines = array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $text) ?: []), fn (string $line) => $line !== ''));
        foreach (count($lines) > 1 ? $lines : [] as $at => $line) {
            if (mb_strlen($line) > self::LONGEST_SENTENCE || preg_match(self::OF_A_PLAN, $line) !== 1) {
                continue;
            }
            try {
                $said = (new WishSentence($kitchen->cupboard(), $this->methods, $kitchen))->read($line);
            } catch (RecipeException) {
                continue;
            }
            if ($said['unread'] !== [] || $said['guesses'] !== [] || ! self::isWhole($said['wish'])) {
                continue;
            }
            $name = $at === 0 ? '' : mb_substr($lines[0], 0, 80);
            $read = array_map(
                fn (string $each, int $i): array => [
                    'line' => $each,
                    'as' => $i === 0 && $name !== '' ? 'name' : 'step',
                    'says' => match (true) {
                        $i === $at => 'It says all that is planned.',
                        $i === 0 => 'Taken as its name.',
                        default => 'It follows from the sentence.',
                    },
                    'guess' => false,
                ],
                $lines,
                array_keys($lines),
            );

            // A recipe has no day.
            return new ReadRecipe($name, '', array_diff_key($said['wish'], ['begun' => 0, 'start' => 0, 'ready_by' => 0]), $read, []);
        }

        return null;
    }

    /** @param  array{wish: array<string, mixed>, unread: list<string>, guesses: list<string>}  $read as WishSentence has it */
    private static function asOneSentence(string $text, array $read): ReadRecipe
    {
        $unread = implode('”, “', $read['unread']);
        // Its first line, where others follow, is what it is called.
        $name = preg_match('/^([^\d\n]{3,80}?)\s*\R/u', $text, $m) === 1 ? $m[1] : '';
        $whole = ['line' => trim(mb_substr($text, mb_strlen($name))), 'as' => 'step', 'says' => 'Read as one sentence.', 'guess' => true];
        $named = ['line' => $name, 'as' => 'name', 'says' => 'Taken as its name.', 'guess' => false];

        return new ReadRecipe($name, '', $read['wish'], $name === '' ? [$whole] : [$named, $whole], [
            ...$read['guesses'],
            ...$unread === '' ? [] : ["Of these words nothing was made: “{$unread}”."],
        ]);
    }

    /** @param  array<string, mixed>  $wish whether no herb or no oil was named in it, known or not */
    private static function lacks(array $wish): bool
    {
        return ($wish['herbs'] ?? []) === PastedWish::ANY_HERB || in_array($wish['oils'] ?? [], [[], PastedWish::ANY_OIL], true);
    }

    /** @param  array<string, mixed>  $wish whether a herb and an oil are in it that are known */
    private static function isWhole(array $wish): bool
    {
        $known = fn (mixed $things): bool => array_column((array) $things, 'id') !== [];

        return $known($wish['herbs'] ?? []) && $known($wish['oils'] ?? []);
    }
}
