<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Wax;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/**
 * Too soft or too hard, mended by mass balance. M g at firmness a to firmness b: of a wax that counts e, M (b - a) / (e - b);
 * of oil, M (a / b - 1). Where the jar has no room for it, so much is taken out first that what is left can be mended in it.
 */
final readonly class Mend
{
    public const MOST_G = 20_000.0;

    private function __construct(
        public float $massG,
        public float $from,
        public float $to,
        public float $addWaxG,
        public float $addOilG,
        public float $takeOutG,
        private float $equivalent,
        private ?float $roomMl,
        private float $needsMl,
    ) {}

    /**
     * @param  float  $massG in the jar
     * @param  float  $from,$to firmness, parts of beeswax in one part of the whole
     * @param  ?float  $roomMl left in the jar; null where there is enough
     * @param  float  $oilGramsPerMl of the oil that would go in
     *
     * @throws MeltException when there is nothing, or it cannot be made so
     */
    public static function of(float $massG, float $from, float $to, Wax $with, ?float $roomMl = null, float $oilGramsPerMl = 0.915): self
    {
        if (! is_finite($massG) || $massG <= 0 || $massG > self::MOST_G) {
            throw MeltException::nothingToMend();
        }
        $equivalent = $with->hardness ?? 0.0;
        if ($to > $from && $to >= $equivalent) {
            throw MeltException::cannotReach($with->name);
        }
        if ($to < $from && $to <= 0) {
            throw MeltException::neverSoSoft();
        }
        // So many g of what goes in to each g that is there, and how much room it takes.
        $each = $to > $from ? ($to - $from) / ($equivalent - $to) : ($to < $from ? $from / $to - 1 : 0.0);
        $density = $to > $from ? $with->gramsPerMl : $oilGramsPerMl;
        $jar = 1 / ($from * $with->gramsPerMl + (1 - $from) * $oilGramsPerMl);
        $needs = ($massG * $each) / $density;
        // r g out make room for r / d, and leave less to be mended: r v + room = (M - r) k / d.
        $out = $roomMl === null || $needs <= $roomMl ? 0.0 : ($needs - $roomMl) / ($jar + $each / $density);
        $add = ($massG - $out) * $each;

        return new self($massG, $from, $to, $to > $from ? $add : 0.0, $to < $from ? $add : 0.0, $out, $equivalent, $roomMl, $needs);
    }

    public function totalG(): float
    {
        return $this->massG - $this->takeOutG + $this->addWaxG + $this->addOilG;
    }

    /** By mass balance, so that it can be held against what was wanted. */
    public function firmness(): float
    {
        return (($this->massG - $this->takeOutG) * $this->from + $this->addWaxG * $this->equivalent) / $this->totalG();
    }

    /** @return list<Figure> */
    public function figures(): array
    {
        $with = [
            'mass' => ['g' => $this->massG - $this->takeOutG],
            'from' => ['firmness' => $this->from],
            'to' => ['firmness' => $this->to],
            'equivalent' => $this->equivalent,
        ];
        $room =
            $this->takeOutG > 0
                ? Reason::rule('mend-room', ['room' => ['mL' => (float) $this->roomMl], 'needs' => ['mL' => $this->needsMl]])
                : Reason::rule('mend-fits');

        return [
            Figure::exactly('add_wax', $this->addWaxG, 'g', Reason::rule('mend-wax', $with)),
            Figure::exactly('add_oil', $this->addOilG, 'g', Reason::rule('mend-oil', $with)),
            Figure::exactly('take_out', $this->takeOutG, 'g', $room),
            Figure::exactly('total_mass', $this->totalG(), 'g', Reason::rule('mend-total')),
            Figure::exactly('firmness', $this->firmness(), 'firmness', Reason::rule('mend-total')),
        ];
    }
}
