<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/**
 * One long boiling of paste, oil and a liquid until the liquid is gone: with water the oil is cleansed, with a decoction, or
 * milk, curd water or juice, it is cooked. One part of paste to four of oil, and four of liquid to each of oil (kg : L : L).
 */
final readonly class LongOil
{
    private const LEAST_OIL_ML = 20.0;

    private const MOST_OIL_ML = 50_000.0;

    private function __construct(public float $oilMl, public float $pasteG, public float $liquidMl, private Tables $tables) {}

    /**
     * @param  'oil'|'paste'|'liquid'  $known what the amount is of: mL of oil, g of paste, mL of liquid
     *
     * @throws DecoctionException
     */
    public static function of(string $known, float $amount, Tables $tables): self
    {
        $row = $tables->table('decoction')->row('long_oil');
        $oil = match ($known) {
            'oil' => $amount,
            'paste' => $amount * $row->number('oil_per_paste'),
            'liquid' => $amount / $row->number('liquid_per_oil'),
        };
        if (! is_finite($oil) || $oil < self::LEAST_OIL_ML || $oil > self::MOST_OIL_ML) {
            throw DecoctionException::amount($known);
        }

        return new self($oil, $oil / $row->number('oil_per_paste'), $oil * $row->number('liquid_per_oil'), $tables);
    }

    /** What the paste takes up, mL. */
    public function pasteMl(): float
    {
        return $this->pasteG * $this->tables->table('decoction')->row('takes_up')->number('paste');
    }

    /** What stands in the pot at first, mL. */
    public function goesInMl(): float
    {
        return $this->oilMl + $this->liquidMl + $this->pasteMl();
    }

    /** What stands in it when the liquid is gone: oil and paste, mL. */
    public function endsMl(): float
    {
        return $this->oilMl + $this->pasteMl();
    }

    /** A pot holds at the least twice what goes in. */
    public function potLeastMl(): float
    {
        return $this->goesInMl() * $this->tables->table('decoction')->row('pot')->number('least_times');
    }

    /**
     * @param  array{low: float, value: float, high: float}  $hours of flame
     * @param  ?float  $hoursADay null where nobody said: by six to ten
     * @return array{low: int, value: int, high: int} days, each begun counted whole
     *
     * @throws DecoctionException
     */
    public static function days(array $hours, ?float $hoursADay, Tables $tables): array
    {
        $row = $tables->table('decoction')->row('long_oil');
        if ($hoursADay !== null && (! is_finite($hoursADay) || $hoursADay < 0.5 || $hoursADay > 16)) {
            throw DecoctionException::hoursADay();
        }
        [$least, $most] = $hoursADay === null ? [$row->number('least_h'), $row->number('most_h')] : [$hoursADay, $hoursADay];
        $days = fn (float $h, float $aDay): int => (int) max(1, ceil(round($h / $aDay, 6)));

        return [
            'low' => $days($hours['low'], $most),
            'value' => $days($hours['value'], ($least + $most) / 2),
            'high' => $days($hours['high'], $least),
        ];
    }

    /**
     * @param  string  $liquid as it is called
     * @param  string  $prefix before the id of each: "cleanse."
     * @return list<Figure>
     *
     * @throws DecoctionException
     */
    public function figures(Rate $rate, ?float $hoursADay, string $liquid, string $prefix = ''): array
    {
        $row = $this->tables->table('decoction')->row('long_oil');
        $parts = Reason::rule('long-oil-parts', [
            'oil' => $row->number('oil_per_paste'),
            'liquid' => $row->number('oil_per_paste') * $row->number('liquid_per_oil'),
            'of' => $liquid,
        ]);
        $hours = $rate->hoursFor($this->liquidMl);
        $days = self::days($hours, $hoursADay, $this->tables);

        return [
            Figure::exactly("{$prefix}oil_volume", $this->oilMl, 'mL', $parts),
            Figure::exactly(
                "{$prefix}paste_mass",
                $this->pasteG,
                'g',
                $parts,
                Reason::rule('paste-ground', ['hours' => $row->number('grind_h')]),
            ),
            Figure::exactly($prefix.($liquid === 'decoction' ? 'decoction_volume' : 'water_volume'), $this->liquidMl, 'mL', $parts),
            $rate->hours("{$prefix}hours", $this->liquidMl),
            Figure::between(
                "{$prefix}days",
                (float) $days['low'],
                (float) $days['value'],
                (float) $days['high'],
                'days',
                Reason::rule(
                    $hoursADay === null ? 'long-oil-days' : 'long-oil-days-said',
                    $hoursADay === null
                        ? ['least' => $row->number('least_h'), 'most' => $row->number('most_h')]
                        : ['hours' => ['h' => $hoursADay]],
                ),
            ),
            Figure::exactly(
                "{$prefix}pot_volume_least",
                $this->potLeastMl(),
                'mL',
                Reason::rule('pot-twice', ['goes_in' => ['mL' => $this->goesInMl()]]),
            ),
        ];
    }
}
