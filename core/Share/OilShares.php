<?php

declare(strict_types=1);

namespace Kettle\Share;

/** What share each oil of a blend has: "60 % olive and 40 % sunflower", "olive with a third coconut". */
final class OilShares
{
    private const FRACTION = [
        'half' => 1 / 2,
        'third' => 1 / 3,
        'quarter' => 1 / 4,
        'fourth' => 1 / 4,
        'fifth' => 1 / 5,
        'sixth' => 1 / 6,
        'eighth' => 1 / 8,
        'tenth' => 1 / 10,
    ];

    /** How far shares that are rounded may be off the whole, in per cent. */
    private const OFF_PERCENT = 2.0;

    /** @return array{?string, string} the share as said of what is behind it, and what it is of; null where none is said */
    public static function of(string $piece): array
    {
        $words = implode('|', array_keys(self::FRACTION));
        $share = "\\d{1,2}(?:\\.\\d+)?\\s*%|\\d\\/\\d(?!\\d)|(?:(?:an?|one|two|three|four|[1-9])\\s+)?(?:{$words})s?";

        return preg_match("/^({$share})\\s+(?:of\\s+)?(?:the\\s+)?(?=\\p{L}{3})(.+)$/iu", trim($piece), $m) === 1
            ? [$m[1], $m[2]]
            : [null, $piece];
    }

    /**
     * Shares made into parts; where all but one have one, that one has the rest.
     *
     * @param  list<array{oil: array<string, string>, typed: string}>  $said as a wish has them, with a share as said
     * @return array{said: list<array{oil: array<string, string>, typed: string}>, unread: list<string>} with parts, and the shares
     *     that do not come to a whole
     */
    public static function settled(array $said): array
    {
        $typed = array_map(fn (array $each): ?string => $each['oil']['share'] ?? null, $said);
        $plain = array_map(fn (array $each): array => ['oil' => array_diff_key($each['oil'], ['share' => 0])] + $each, $said);
        $shares = array_map(fn (?string $share): ?float => $share === null ? null : self::percent($share), $typed);
        $told = array_filter($shares, fn (?float $share) => $share !== null);
        if ($told === []) {
            return ['said' => $plain, 'unread' => []];
        }
        $rest = 100.0 - array_sum($told);
        $without = count($shares) - count($told);
        $measured = array_filter($said, fn (array $each) => $each['typed'] !== '' || isset($each['oil']['parts'])) !== [];
        $isWhole = $without === 0 ? abs($rest) <= self::OFF_PERCENT : $without === 1 && $rest > 0.0;
        if ($measured || ! $isWhole) {
            return ['said' => $plain, 'unread' => array_values(array_filter($typed, fn (?string $share) => $share !== null))];
        }

        return [
            'said' => array_map(
                fn (array $each, ?float $share): array => [
                    'oil' => $each['oil'] + ['parts' => (string) round($share ?? $rest, 2)],
                    'typed' => $each['typed'],
                ],
                $plain,
                $shares,
            ),
            'unread' => [],
        ];
    }

    private static function percent(string $share): float
    {
        if (preg_match('/^([\d.]+)\s*%$/u', $share, $m) === 1) {
            return (float) $m[1];
        }
        if (preg_match('/^(\d)\/(\d)$/', $share, $m) === 1) {
            return $m[2] === '0' ? 0.0 : (100.0 * (int) $m[1]) / (int) $m[2];
        }
        $many = ['two' => 2, 'three' => 3, 'four' => 4];
        [$word, $count] = array_reverse(explode(' ', ' '.mb_strtolower((string) preg_replace('/\s+/u', ' ', $share))));

        return 100.0 * (self::FRACTION[rtrim($word, 's')] ?? 0.0) * ($many[$count] ?? ((int) $count ?: 1));
    }
}
