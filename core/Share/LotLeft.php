<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Measure\PartOf;
use Kettle\Recipe\Kitchen;

/** How much of a lot is left, as a line of it says. */
final readonly class LotLeft
{
    public function __construct(private RecipeWords $words, private Kitchen $kitchen) {}

    /**
     * How much of it is left, "half left", "3/4 full": so much of what it held is there. Where nobody knows what it held it is
     * noted, and where the thing was is not.
     *
     * @param  array<string, string>  $lot
     * @param  \Closure(string, string, string, bool=): void  $put
     */
    public function in(string $piece, array $lot, \Closure $put): bool
    {
        if (preg_match('/^(?:about\s+|nearly\s+)?(.+?)[\s-]+(left|full|gone|used|empty)$/iu', $piece, $m) !== 1) {
            return false;
        }
        $those = $this->words->amounts->reading($m[1]);
        if ($those !== null && in_array($those->kind, [Kind::Mass, Kind::Volume], true) && mb_strtolower($m[2]) === 'left') {
            isset($lot['amount']) && $put('note', $lot['amount'], $lot['amount'], true);
            $put('amount', $m[1], $piece);

            return true;
        }
        $isFigure = preg_match('/^[\d\/⁄.,]+$|^[¼½¾⅓⅔⅛⅜⅝⅞]$/u', $m[1]) === 1;
        try {
            $share = $isFigure ? $this->kitchen->reader()->number($m[1]) : PartOf::share($m[1]);
        } catch (AmountException) {
            $share = null;
        }
        $held = $share === null || $share <= 0 || $share >= 1 ? null : $this->words->amounts->reading($lot['amount'] ?? '');
        if ($held === null || ! in_array($held->kind, [Kind::Mass, Kind::Volume], true)) {
            $put('note', $piece, $piece, true);

            return true;
        }
        $left = in_array(mb_strtolower($m[2]), ['left', 'full'], true) ? $share : 1 - $share;
        $put('amount', round($held->value * $left, 1).($held->kind === Kind::Mass ? ' g' : ' mL'), $piece, true);

        return true;
    }
}
