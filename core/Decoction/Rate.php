<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/** How much water leaves in an hour, and how that is known: said, learned, of the pot's width, or the usual. */
final readonly class Rate
{
    private const LEAST = 20.0;

    private const MOST = 20_000.0;

    private function __construct(public float $low, public float $value, public float $high, public Reason $why) {}

    /** The usual of a household pot, a fifth more or less. */
    public static function usual(Tables $tables): self
    {
        $row = $tables->table('decoction')->row('rate');
        [$ml, $spread] = [$row->number('ml_per_h'), $row->number('spread')];

        return new self($ml * (1 - $spread), $ml, $ml * (1 + $spread), Reason::rule('boil-rate-usual', ['ml_per_h' => $ml]));
    }

    /** @throws DecoctionException */
    public static function said(float $mlPerH): self
    {
        if (! is_finite($mlPerH) || $mlPerH < self::LEAST || $mlPerH > self::MOST) {
            throw DecoctionException::rate();
        }

        return new self($mlPerH, $mlPerH, $mlPerH, Reason::rule('boil-rate-said', ['ml_per_h' => $mlPerH]));
    }

    public static function ofPot(BoilingPot $pot, float $lowC, float $highC, float $roomC, bool $underOil, Tables $tables): self
    {
        $loses = $pot->losesPerH($lowC, $highC, $roomC, $underOil, $tables);

        return new self(
            $loses['low'],
            $loses['value'],
            $loses['high'],
            Reason::rule($underOil ? 'boil-rate-pot-oil' : 'boil-rate-pot', [
                'width' => ['mm' => $pot->diameterMm],
                'low' => ['C' => $lowC],
                'high' => ['C' => $highC],
                'ml_per_h' => round($loses['value']),
            ]),
        );
    }

    /** Hours until so much has gone, with their range where the rate has one. */
    public function hours(string $id, float $ml): Figure
    {
        $hours = $this->hoursFor($ml);
        $why = [Reason::rule('boil-hours', ['ml' => ['mL' => $ml], 'ml_per_h' => round($this->value)]), $this->why];

        return $this->low === $this->high
            ? Figure::exactly($id, $hours['value'], 'h', ...$why)
            : Figure::between($id, $hours['low'], $hours['value'], $hours['high'], 'h', ...$why);
    }

    /** @return array{low: float, value: float, high: float} hours until so much has gone */
    public function hoursFor(float $ml): array
    {
        return ['low' => $ml / $this->high, 'value' => $ml / $this->value, 'high' => $ml / $this->low];
    }
}
