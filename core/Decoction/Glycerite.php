<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/**
 * A watery extract brought by weight to its share of the whole, and glycerin for the rest: 20 g of each 100 and 80 of glycerin,
 * unless otherwise wished. How well it keeps itself is told by its water activity.
 */
final readonly class Glycerite
{
    /** g in a mole: water, and glycerol. */
    private const WATER_G = 18.015;

    private const GLYCEROL_G = 92.094;

    private const MOST_G = 50_000.0;

    private function __construct(public float $totalG, public float $share, public ?float $nowG, private Tables $tables) {}

    /**
     * @param  ?float  $share of glycerin; null for the usual
     * @param  ?float  $nowG what the strained extract weighs; null where it is not made yet
     *
     * @throws DecoctionException
     */
    public static function of(float $totalG, ?float $share, ?float $nowG, Tables $tables): self
    {
        $row = $tables->table('decoction')->row('glycerin');
        $share ??= $row->number('share');
        if (! is_finite($share) || $share < $row->number('least') || $share > $row->number('most')) {
            throw DecoctionException::glycerinShare($row->number('least'), $row->number('most'));
        }
        if (! is_finite($totalG) || $totalG < 1 || $totalG > self::MOST_G) {
            throw DecoctionException::amount('total');
        }
        if ($nowG !== null && (! is_finite($nowG) || $nowG <= 0 || $nowG > self::MOST_G)) {
            throw DecoctionException::amount('extract_now');
        }

        return new self($totalG, $share, $nowG, $tables);
    }

    public function extractG(): float
    {
        return $this->totalG * (1 - $this->share);
    }

    public function glycerinG(): float
    {
        return $this->totalG * $this->share;
    }

    /** g that have yet to go off. */
    public function evaporateG(): float
    {
        return max(0.0, ($this->nowG ?? $this->extractG()) - $this->extractG());
    }

    /** g of distilled water that are wanting. */
    public function addWaterG(): float
    {
        return max(0.0, $this->extractG() - ($this->nowG ?? $this->extractG()));
    }

    /**
     * Water activity of glycerol and water at 25 C, by Norrish's form with the constant of Chirife and others for glycerol,
     * ln g = k x^2: from memory. The extract is taken for water.
     */
    public function waterActivity(): float
    {
        $water = (1 - $this->share) / self::WATER_G;
        $glycerol = $this->share / self::GLYCEROL_G;
        $x = $glycerol / ($water + $glycerol);

        return (1 - $x) * exp($this->row('norrish_k') * $x ** 2);
    }

    /** Whether it keeps itself out of the refrigerator. */
    public function keepsItself(): bool
    {
        return $this->share >= $this->row('keeps_from') - 1e-9;
    }

    /** Days it keeps: in amber glass, cool; or in the refrigerator where it does not keep itself. */
    public function days(): int
    {
        return match (true) {
            ! $this->keepsItself() => (int) $this->tables->table('decoction')->row('keeps')->number('days'),
            $this->share >= $this->row('full_from') - 1e-9 => (int) round($this->row('months') * 30.44),
            default => (int) round($this->row('months_weaker') * 30.44),
        };
    }

    /** @return list<Figure> */
    public function figures(Rate $rate): array
    {
        $why = Reason::rule('glycerin-share', ['percent' => round($this->share * 100, 1), 'rest' => round((1 - $this->share) * 100, 1)]);
        $figures = [
            Figure::exactly('extract_mass', $this->extractG(), 'g', $why),
            Figure::exactly('glycerin_mass', $this->glycerinG(), 'g', $why),
            Figure::exactly(
                'glycerin_volume',
                $this->glycerinG() / $this->row('g_per_ml'),
                'mL',
                Reason::rule('glycerin-density', ['g_per_ml' => $this->row('g_per_ml')]),
            ),
            Figure::exactly('water_activity', round($this->waterActivity(), 3), 'a_w', Reason::rule('water-activity')),
            Figure::exactly(
                'keeps_days',
                (float) $this->days(),
                'days',
                Reason::rule($this->keepsItself() ? 'glycerin-keeps' : 'glycerin-keeps-not', [
                    'percent' => round($this->row('keeps_from') * 100),
                ]),
            ),
        ];
        if ($this->nowG === null) {
            return $figures;
        }
        $toGo = Reason::rule('glycerin-to-go', ['now' => ['g' => $this->nowG], 'extract' => ['g' => $this->extractG()]]);

        return [
            ...$figures,
            Figure::exactly('evaporate_mass', $this->evaporateG(), 'g', $toGo),
            Figure::exactly('add_water', $this->addWaterG(), 'g', $toGo),
            $rate->hours('hours', $this->evaporateG()),
        ];
    }

    private function row(string $key): float
    {
        return $this->tables->table('decoction')->row('glycerin')->number($key);
    }
}
