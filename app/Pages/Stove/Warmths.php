<?php

namespace App\Pages\Stove;

use App\House\KitchenFactory;
use App\Responses\Stove\WarmthScale;
use App\Responses\Stove\WarmthTick;
use Kettle\Measure\Unit;
use Kettle\Recipe\Kitchen;
use Kettle\Warmth\Band;

/** Warmth by the degrees of who reads it, in words and on its scale. */
final class Warmths
{
    private ?Kitchen $kitchen = null;

    public function __construct(private readonly KitchenFactory $kitchens) {}

    public function scale(Band $band, float $roomC): WarmthScale
    {
        $low = floor(($roomC - 8) / 5) * 5;
        $high = ceil(($band->ceiling + 12) / 5) * 5;
        $ticks = [];
        $fahrenheit = $this->kitchen()->fahrenheit;
        $unit = Unit::make('°F');
        // Marks at whole tens of the cook's own degrees.
        [$from, $to, $step] = $fahrenheit ? [$unit->fromBase($low), $unit->fromBase($high), 20] : [$low, $high, 10];
        for ($mark = ceil($from / $step) * $step; $mark <= $to; $mark += $step) {
            $ticks[] = new WarmthTick(round($fahrenheit ? $unit->toBase($mark) : $mark, 3), (string) round($mark));
        }
        $top = min($band->ceiling, $band->target + ($band->target - $band->low));

        return new WarmthScale(
            $low,
            $high,
            $ticks,
            $band->low,
            round($top, 2),
            $band->ceiling,
            $this->number($band->low, 0).' to '.$this->warmth($top),
            'ceiling '.$this->number($band->ceiling, 0),
        );
    }

    public function warmth(float $celsius): string
    {
        return $this->kitchen()->warmth($celsius);
    }

    /** As it is read off, to a tenth. */
    public function reading(float $celsius): string
    {
        return $this->number($celsius).' '.$this->unit();
    }

    public function number(float $celsius, int $places = 1): string
    {
        return number_format($this->kitchen()->fahrenheit ? Unit::make('°F')->fromBase($celsius) : $celsius, $places, '.', '');
    }

    /** How far it moved, without which way: "3.2 °C". */
    public function moved(float $change): string
    {
        return $this->kitchen()->fahrenheit ? number_format(abs($change) * 1.8, 1).' °F' : number_format(abs($change), 1).' °C';
    }

    public function unit(): string
    {
        return $this->kitchen()->fahrenheit ? '°F' : '°C';
    }

    private function kitchen(): Kitchen
    {
        return $this->kitchen ??= $this->kitchens->plain();
    }
}
