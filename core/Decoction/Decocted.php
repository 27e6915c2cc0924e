<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/**
 * Herb boiled in water to a share of it. Any one of herb, water and the wanted decoction gives the others. Common practice, no
 * source: 1 to 4, to three quarters; 1 to 8, to a half; 1 to 16, to a quarter.
 */
final readonly class Decocted
{
    /** What a kitchen boils, mL of water. */
    private const LEAST_ML = 20.0;

    private const MOST_ML = 200_000.0;

    private function __construct(public Hardness $hardness, public float $herbG, public float $waterMl, public float $endMl) {}

    /** @throws DecoctionException */
    public static function ofHerb(Hardness $hardness, float $herbG): self
    {
        return self::ofWater($hardness, $herbG * $hardness->waterPerG, 'herb');
    }

    /** @throws DecoctionException */
    public static function ofWater(Hardness $hardness, float $waterMl, string $field = 'water'): self
    {
        return is_finite($waterMl) && $waterMl >= self::LEAST_ML && $waterMl <= self::MOST_ML
            ? new self($hardness, $waterMl / $hardness->waterPerG, $waterMl, $waterMl * $hardness->boiledTo)
            : throw DecoctionException::amount($field);
    }

    /** @throws DecoctionException */
    public static function wanted(Hardness $hardness, float $endMl): self
    {
        return self::ofWater($hardness, $endMl / $hardness->boiledTo, 'want');
    }

    public function boilOffMl(): float
    {
        return $this->waterMl - $this->endMl;
    }

    /** What stands in the pot at first, herb and all, mL. */
    public function goesInMl(Tables $tables): float
    {
        return $this->waterMl + $this->herbMl($tables);
    }

    /** What the herb takes up under the water, mL. */
    public function herbMl(Tables $tables): float
    {
        return $this->herbG * $tables->table('decoction')->row('takes_up')->number('herb');
    }

    /**
     * @param  string  $prefix before the id of each: "decoction."
     * @return list<Figure>
     */
    public function figures(Rate $rate, string $prefix = ''): array
    {
        $why = Reason::rule('decoction-ratio', [
            'hardness' => $this->hardness->name,
            'for' => $this->hardness->for,
            'water' => $this->hardness->waterPerG,
            'percent' => $this->hardness->boiledTo * 100,
        ]);

        return [
            Figure::exactly("{$prefix}herb_mass", $this->herbG, 'g', $why),
            Figure::exactly("{$prefix}water_volume", $this->waterMl, 'mL', $why),
            Figure::exactly("{$prefix}end_volume", $this->endMl, 'mL', $why),
            Figure::exactly("{$prefix}boil_off", $this->boilOffMl(), 'mL', $why),
            $rate->hours("{$prefix}hours", $this->boilOffMl()),
        ];
    }
}
