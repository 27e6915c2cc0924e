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
        'stearic' => '18:0',
        'oleic' => '18:1',
        'ricinoleic' => '18:1-OH',
        'linoleic' => '18:2',
        'linolenic' => '18:3',
        'alpha-linolenic' => '18:3',
        'gamma-linolenic' => '18:3',
        'arachidic' => '20:0',
        'gondoic' => '20:1',
        'eicosenoic' => '20:1',
        'behenic' => '22:0',
        'erucic' => '22:1',
        'lignoceric' => '24:0',
    ];

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
     * "oleic 72, linoleic 10 %" or "18:1 72, 18:2 10", as a seller's sheet has them.
     *
     * @return array<string, float>|null null where it says nothing, or cannot be read, which is a fault then
     */
    private static function typed(OwnFields $from, string $typed): ?array
    {
        $acids = [];
        foreach (preg_split('/\s*(?:[;\n]|,(?!\d))\s*/u', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            $read = preg_match('/^(\d{1,2}:\d(?:-OH)?|[a-z-]+)(?: acid)?\s*[:=]?\s*(\d{1,3}(?:[.,]\d+)?)\s*%?$/i', $piece, $m) === 1;
            $acid = $read ? self::ACIDS_NAMED[strtolower($m[1])] ?? $m[1] : '';
            if (! $read || preg_match(self::ACIDS, $acid) !== 1) {
                $from->refuse('fatty_acids', MaterialException::ownAcid($piece));

                return null;
            }
            $acids[$acid] = ($acids[$acid] ?? 0.0) + (float) str_replace(',', '.', $m[2]);
        }

        return $acids === [] ? null : $acids;
    }
}
