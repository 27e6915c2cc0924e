<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Herb;

/**
 * Which part of a plant a text names. A root is neither charged nor dried as a leaf is, and what is known of the one may not be
 * true of the other: "nettle root" is not the nettle leaf of the tables.
 */
final class PlantPart
{
    /** What people write of a part, and of what in the tables it may be a part. */
    private const PARTS = [
        'roots?|rhizomes?' => 'root|rhizome|corm',
        'leaf|leaves|needles?|tips?' => 'lea(?:f|ves)|needle|tip|top|herb|frond',
        'flowers?|petals?|blossoms?|buds?' => 'flower|petal|blossom|top|herb|bud|calyx|cone|stigma|threads',
        'barks?' => 'bark|wood',
        'seeds?|beans?' => 'seed|bean|nib|kernel|pepper|husk|pod|cone|conker',
        'berr(?:y|ies)|fruits?|hips?' => 'berr|fruit|hip|cone|pod|pepper|nut',
        'bulbs?' => 'bulb|corm',
    ];

    /**
     * What is to be heeded of a plant whichever part of it is taken. It stays the plant it is, with the cautions it has.
     */
    private const OF_THE_WHOLE_PLANT = [
        'deadly',
        'poison',
        'pyrrolizidine',
        'thujone',
        'unbroken-skin',
        'raw-burns',
        'burning',
        'camphor',
        'medicines',
        'pregnancy',
    ];

    /** A part by any of its words, and by those that are of no part of a herb in the tables: a pattern, read without case. */
    public static function any(): string
    {
        return '(?:'.implode('|', array_keys(self::PARTS)).'|tops|(?:flower\s+)?heads?|resin)';
    }

    /** Whether it says how a thing is, or which part of it, and nothing else: "whole heads", "leaf", "sweet". */
    public static function isSaidOf(string $text): bool
    {
        return preg_match('/^(?:(?:whole|cut|sifted|chopped|sweet|bitter|natural|mixed)\s*)*(?:'.self::any().')?$/iu', trim($text)) ===
            1;
    }

    /**
     * The plant and the part of it that is not the herb's, as it is written: "nettle root" of nettle leaf.
     *
     * @param  string  $by the name of the herb that stands in the text, in small letters
     * @return ?string null where no part is named, or the herb's own
     */
    public static function other(Herb $herb, string $text, string $by): ?string
    {
        $known = mb_strtolower(implode(' ', [$herb->part, $herb->name, ...$herb->also]));
        $others = array_keys(array_filter(self::PARTS, fn (string $its) => preg_match("/{$its}/u", $known) !== 1));
        // Of a resin, a mushroom or a lichen nobody names another part.
        if ($others === [] || count($others) === count(self::PARTS)) {
            return null;
        }
        [$name, $part] = [preg_quote($by, '/').'(?:e?s)?', '(?:'.implode('|', $others).')'];
        $own = implode('|', array_diff(array_keys(self::PARTS), $others));
        // "Violet flowers and leaves" are its own too.
        if (preg_match("/\\b({$name})[\\s-]+({$part})\\b(?!\\s*(?:,|&|and|or)\\s*(?:{$own})\\b)/u", $text, $m) === 1) {
            return "{$m[1]} {$m[2]}";
        }

        return preg_match("/\\b({$part})\\s+(?:of|from)\\s+(?:the\\s+|an?\\s+)?({$name})\\b/u", $text, $m) === 1 ? "{$m[2]} {$m[1]}" : null;
    }

    /** What is told of a plant, or a part of one, that no table has. */
    public static function notListed(string $named): string
    {
        return sprintf('“%s” is not in the list; how it is cut is a guess', $named);
    }

    /** What is told where the plant that is known stands for another part of it. */
    public static function standsFor(string $other, string $known): string
    {
        return sprintf('“%s” is not in the list: %s stands for it, with its cautions', $other, $known);
    }

    /** Whether the plant is as much to be heeded by any other part of it. */
    public static function isHeededWhole(Herb $herb): bool
    {
        return array_intersect($herb->traits, self::OF_THE_WHOLE_PLANT) !== [];
    }
}
