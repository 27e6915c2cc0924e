<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Recipe\Kitchen;

/** Reads a recipe however it comes: our own JSON, schema.org JSON-LD, or plain lines. */
final readonly class RecipeReader
{
    private const MOST = 20_000;

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
            return $lines->read($text);
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
}
