<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Recipe\WishReader;

/** Our own recipe file, docs/formats/recipe.schema.json: a name, a note and the wish as it was written. */
final class RecipeFile
{
    public const FORMAT = 'warm-kettle-recipe';

    public const VERSION = 1;

    /**
     * @param  array<mixed>  $wish
     * @return array<string, mixed>
     */
    public static function write(string $name, string $note, array $wish): array
    {
        return ['format' => self::FORMAT, 'version' => self::VERSION, 'name' => $name, 'note' => $note, 'wish' => self::shared($wish)];
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RecipeException
     */
    public static function read(array $document): ReadRecipe
    {
        $version = $document['version'] ?? null;
        if (is_int($version) && $version > self::VERSION) {
            throw RecipeException::newer($version);
        }
        $wish = $document['wish'] ?? null;
        if (! is_array($wish)) {
            throw RecipeException::broken();
        }
        $text = fn (string $key, int $most): string => is_string($document[$key] ?? null) ? mb_substr(trim($document[$key]), 0, $most) : '';

        return new ReadRecipe($text('name', 120), $text('note', 5000), self::shared($wish), [], []);
    }

    /**
     * A wish without what belongs to one house and one day: its lots, its own jars, its dates.
     *
     * @param  array<mixed>  $wish
     * @return array<string, mixed>
     */
    public static function shared(array $wish): array
    {
        if (self::isProduct($wish)) {
            return self::sharedProduct($wish);
        }
        $tidy = WishReader::tidy($wish);
        unset($tidy['start'], $tidy['ready_by'], $tidy['begun'], $tidy['before'], $tidy['in_oil']);
        if (is_string($tidy['jar'] ?? null)) {
            unset($tidy['jar']);
        }
        foreach (['herbs', 'oils'] as $key) {
            $tidy[$key] = WishReader::withoutLots($tidy[$key]);
        }

        return $tidy;
    }

    /**
     * Whether it is a wish for a product made of oils: it names which.
     *
     * @param  array<mixed>  $wish
     */
    public static function isProduct(array $wish): bool
    {
        return is_string($wish['product'] ?? null);
    }

    /**
     * Without the house's own bottles and pots: whoever reads it takes from theirs.
     *
     * @param  array<mixed>  $wish
     * @return array<string, mixed>
     */
    private static function sharedProduct(array $wish): array
    {
        $oils = array_filter(
            is_array($wish['oils'] ?? null) ? $wish['oils'] : [],
            fn (mixed $oil) => ! is_array($oil) || ! isset($oil['batch']),
        );
        if (is_array($wish['others'] ?? null)) {
            $wish['others'] = array_values(array_filter($wish['others'], fn (mixed $part) => ! is_array($part) || ! isset($part['boil'])));
        }
        if (is_array($wish['water'] ?? null) && isset($wish['water']['boil'])) {
            unset($wish['water']);
        }
        // A recipe is for any day.
        unset($wish['ready_by']);
        $shared = [];
        foreach (['oils' => array_values($oils)] + $wish as $key => $value) {
            if (is_string($key) && $value !== null && $value !== []) {
                $shared[$key] = $value;
            }
        }

        return $shared;
    }
}
