<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/**
 * How much vitamin E or rosemary extract an amount of oil wants. Vitamin E by the cook's 500 IU a cup,
 * in mg by the units of the USP, in mL, drops and capsules. Slows rancidity only.
 */
final readonly class Antioxidant
{
    public function __construct(private Tables $tables) {}

    /**
     * @param  string  $form id of data/keeping.json vitamin_e.forms
     * @param  ?float  $iuPerCup null for the usual
     * @return list<Figure> iu, mg, mL, drops, capsules
     *
     * @throws KeepingException
     */
    public function vitaminE(
        float $oilMl,
        float $dropsPerMl,
        string $form = 'd-alpha-tocopherol',
        ?float $iuPerCup = null,
        ?float $capsuleIu = null,
    ): array {
        self::checkOil($oilMl);
        $table = $this->tables->table('keeping')->row('vitamin_e');
        $row = Keeping::row($table, 'forms', $form, 'form of vitamin E', 'vitamin_e');
        $perCup = $iuPerCup ?? $table->row('iu_per_cup')->number('value');
        $capsule = $capsuleIu ?? $table->row('capsule_iu')->number('value');
        $iu = ($perCup * $oilMl) / $table->row('cup_ml')->number('value');
        $mg = $iu / $row->number('iu_per_mg');
        $ml = $mg / 1000 / $table->row('g_per_ml')->number('value');
        $why = Reason::rule('vitamin-e', [
            'iu_per_cup' => round($perCup),
            'oil_ml' => round($oilMl),
            'form' => ['kept' => ['vitamin_e', $form]],
            'iu_per_mg' => $row->number('iu_per_mg'),
        ]);

        return [
            Figure::exactly('vitamin_e_iu', $iu, 'IU', $why),
            Figure::exactly('vitamin_e_mg', $mg, 'mg', $why),
            Figure::exactly('vitamin_e_ml', $ml, 'mL', $why),
            Figure::exactly(
                'vitamin_e_drops',
                (float) max(1.0, round($ml * $dropsPerMl)),
                'drops',
                $why,
                Reason::rule('vitamin-e-drops', ['ml' => round($ml, 2), 'drops_per_ml' => $dropsPerMl]),
            ),
            Figure::exactly(
                'vitamin_e_capsules',
                ceil($iu / $capsule - 1e-9),
                'capsules',
                $why,
                Reason::rule('vitamin-e-capsules', ['capsule_iu' => $capsule]),
            ),
        ];
    }

    /**
     * @return list<Figure> g, mL and drops
     *
     * @throws KeepingException
     */
    public function rosemary(float $oilMl, float $oilGPerMl, float $dropsPerMl): array
    {
        self::checkOil($oilMl);
        $table = $this->tables->table('keeping')->row('rosemary');
        $share = $table->row('share')->number('value');
        $g = $oilMl * $oilGPerMl * $share;
        $ml = $g / $table->row('g_per_ml')->number('value');
        $why = Reason::rule('rosemary', ['percent' => $share * 100, 'oil_g' => round($oilMl * $oilGPerMl)]);

        return [
            Figure::exactly('rosemary_g', $g, 'g', $why),
            Figure::exactly('rosemary_ml', $ml, 'mL', $why),
            Figure::exactly(
                'rosemary_drops',
                (float) max(1.0, round($ml * $dropsPerMl)),
                'drops',
                $why,
                Reason::rule('vitamin-e-drops', ['ml' => round($ml, 2), 'drops_per_ml' => $dropsPerMl]),
            ),
        ];
    }

    private static function checkOil(float $oilMl): void
    {
        if (! is_finite($oilMl) || $oilMl <= 0 || $oilMl > 20_000) {
            throw KeepingException::noOil();
        }
    }
}
