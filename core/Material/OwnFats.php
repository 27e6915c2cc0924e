<?php

declare(strict_types=1);

namespace Kettle\Material;

/** The fatty acids of an oil that a house entered, as a document or as a seller's sheet has them. */
final class OwnFats
{
    private const ACIDS = '/^\d{1,2}:\d(-OH)?$/D';

    /** Trivial names of fatty acids by carbons and double bonds (IUPAC-IUB lipid nomenclature 1976, appendix, from memory). */
    private const ACIDS_NAMED = [
        'caprylic' => '8:0',
        'capric' => '10:0',
        'lauric' => '12:0',
        'myristic' => '14:0',
        'palmitic' => '16:0',
        'palmitoleic' => '16:1',
        'margaric' => '17:0',
        'stearic' => '18:0',
        'oleic' => '18:1',
        'vaccenic' => '18:1',
        'ricinoleic' => '18:1-OH',
        'linoleic' => '18:2',
        'linolenic' => '18:3',
        'alpha-linolenic' => '18:3',
        'gamma-linolenic' => '18:3',
        'punicic' => '18:3',
        'stearidonic' => '18:4',
        'arachidic' => '20:0',
        'gondoic' => '20:1',
        'eicosenoic' => '20:1',
        'behenic' => '22:0',
        'erucic' => '22:1',
        'lignoceric' => '24:0',
    ];

    private const SHARE = '(?:[<≤]\s*)?\d{1,3}(?:[.,]\d+)?\s*%?(?:\s*(?:-|–|to)\s*\d{1,3}(?:[.,]\d+)?)?|nd|n\.d\.|traces?|tr|-|–';

    /** @return array<string, float>|null null where nobody has said, or it cannot be read, which is a fault then */
    public static function read(OwnFields $from): ?array
    {
        $given = $from->raw('fatty_acids');
        $given = is_string($given) ? self::typed($from, $given) : $given;
        if ($given === null || $given === []) {
            return null;
        }
        $acids = [];
        foreach (is_array($given) ? $given : [] as $acid => $percent) {
            if (
                preg_match(self::ACIDS, (string) $acid) !== 1 ||
                ! (is_int($percent) || is_float($percent)) ||
                $percent < 0 ||
                $percent > 100
            ) {
                $from->refuse('fatty_acids', MaterialException::ownAcid((string) $acid));

                return null;
            }
            $acids[(string) $acid] = (float) $percent;
        }
        $sum = array_sum($acids);
        if ($acids === [] || $sum < 50 || $sum > 102) {
            $from->refuse('fatty_acids', MaterialException::ownAcids($sum));

            return null;
        }

        return $acids;
    }

    /**
     * "oleic 72, linoleic 10 %", "18:1 72", "Oleic acid (C18:1) 55.0-83.0": as a seller's sheet has them. Of a span its
     * middle is taken, of what is below a figure that figure, and what was not found is none.
     *
     * @return array<string, float>|null null where it says nothing, or cannot be read, which is a fault then
     */
    private static function typed(OwnFields $from, string $typed): ?array
    {
        $acids = $seen = [];
        foreach (preg_split('/\s*(?:[;\n]|,(?!\d))\s*/u', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            $acid = $percent = null;
            if (preg_match('/^(.*?\p{L}[^\d]*|.*?\d{1,2}:\d.*?)[\s:=]\s*('.self::SHARE.')\s*(?:%|per ?cent)?$/iu', $piece, $m) === 1) {
                [$acid, $which] = self::acid($m[1]);
                $percent = self::percent($m[2]);
            }
            if ($acid === null || $percent === null) {
                $from->refuse('fatty_acids', MaterialException::ownAcid($piece));

                return null;
            }
            if (isset($seen[$which])) {
                $from->refuse('fatty_acids', MaterialException::ownAcidTwice(trim($m[1], ' :=')));

                return null;
            }
            $seen[$which] = true;
            $acids[$acid] = ($acids[$acid] ?? 0.0) + $percent;
        }

        return $acids === [] ? null : $acids;
    }

    /**
     * @return array{?string, string} by carbons and double bonds, and which of those that have as many; null where it is none
     */
    private static function acid(string $typed): array
    {
        $text = strtr(mb_strtolower($typed), ['α' => 'alpha', 'γ' => 'gamma', 'ω' => 'n-', 'omega' => 'n-', '–' => '-']);
        $rest = preg_replace('/\bacids?\b|[(),:=]+(?=\s|$)|(?<=\s)\(|^\(/u', ' ', $text) ?? '';
        [$code, $rest] = self::cut('/(?<![\p{L}\d])c?\s?(\d{1,2}:\d(?:-oh)?)(?!\d)\)?/u', $rest);
        // Which of those that have as many: 18:1 n-9 and 18:1 n-7, 18:2 cis and trans.
        [$which, $rest] = self::cut('/\b(n\s?-+\s?\d|cis|trans|[ct]\d{1,2})\b\)?/u', $rest);
        $code = strtoupper($code);
        $name = trim($rest, " \t()-");
        $named = $name === '' ? $code : self::ACIDS_NAMED[$name] ?? '';
        if ($named === '' || ($code !== '' && $named !== $code)) {
            return [null, ''];
        }
        $own = str_starts_with($name, 'gamma') || $name === 'vaccenic' ? $name : '';

        return [$named, $named.' '.($which === '' ? $own : $which)];
    }

    /** @return array{string, string} what it finds, or nothing, and what is left */
    private static function cut(string $pattern, string $text): array
    {
        return preg_match($pattern, $text, $m) === 1 ? [$m[1] ?? '', str_replace($m[0], ' ', $text)] : ['', $text];
    }

    /** Its per cent; null where it is no number. */
    private static function percent(string $typed): ?float
    {
        $figures = array_map(
            fn (string $each) => (float) str_replace(',', '.', $each),
            preg_match_all('/\d{1,3}(?:[.,]\d+)?/', $typed, $m) > 0 ? $m[0] : [],
        );

        return match (count($figures)) {
            0 => 0.0,
            1 => $figures[0],
            default => $figures[0] <= $figures[1] ? ($figures[0] + $figures[1]) / 2 : null,
        };
    }
}
