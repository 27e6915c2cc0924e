<?php

declare(strict_types=1);

namespace Kettle\Share;

/** Of words that were read, what says nothing that is known. */
final class LeftOver
{
    /** Of what a plant has; another part than the herb's is told. */
    private const PARTS = [
        'flower',
        'flowers',
        'leaf',
        'leaves',
        'root',
        'roots',
        'petals',
        'heads',
        'buds',
        'tops',
        'beans',
        'berries',
        'seeds',
        'needles',
        'blossom',
        'blossoms',
        'pods',
        'bark',
        'flowering',
    ];

    /** What changes nothing, wherever it stands. */
    private const SMALL = [
        'a',
        'an',
        'the',
        'of',
        'and',
        'with',
        'in',
        'into',
        'for',
        'from',
        'oil',
        'oils',
        'then',
        'infused',
        'infusion',
        'some',
        'please',
        'make',
        'jar',
        'jars',
        'on',
        'to',
        'my',
        'our',
        'it',
        'using',
        'use',
        'i',
        'have',
        'leave',
        'pour',
        'got',
        'want',
        'need',
        'would',
        'like',
        'dried',
        'dry',
        'fresh',
        'freshly',
        'wilted',
        'herb',
        'herbs',
        'plus',
        'equal',
        'parts',
        'part',
        'organic',
        'at',
        'by',
        'be',
        'ready',
        'herbal',
        'sill',
        'window',
        'powder',
        'powdered',
        'ground',
        'grated',
        'chopped',
        'sliced',
        'crushed',
        'cut',
        'cold-pressed',
        'fill',
        'filled',
        'cover',
        'covered',
        'put',
        'me',
        'method',
        'way',
        'ratio',
        'daily',
        'shaken',
        'shaking',
        ...self::PARTS,
    ];

    /**
     * Of a piece, what says nothing that is known.
     *
     * @param  list<string>  $names of what was understood in it
     */
    public static function of(string $piece, array $names): string
    {
        $known = str_replace(['’', '-'], ["'", ' '], mb_strtolower(implode(' ', $names)));
        $words = preg_split('/(?:[^\p{L}\p{N}\'’.,°%\/-]|(?<!\d)[,\/]|[,\/](?!\d))+/u', $piece, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $over = array_filter(
            $words,
            fn (string $word) => ! in_array(mb_strtolower(trim($word, '.')), self::SMALL, true) &&
                trim($word, '.-') !== '' &&
                ! str_contains($known, rtrim(str_replace(['’', '-'], ["'", ' '], mb_strtolower($word)), 's')),
        );

        // Of a plant that is not known, the part of it is told too.
        return $names === [] && $over !== []
            ? implode(' ', array_intersect_key($words, $over + self::partsIn($words)))
            : implode(' ', $over);
    }

    /**
     * @param  list<string>  $words
     * @return array<int, string>
     */
    private static function partsIn(array $words): array
    {
        return array_filter($words, fn (string $word) => in_array(mb_strtolower($word), self::PARTS, true));
    }
}
