<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\WakingHours;
use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Custom;
use Kettle\Measure\Kind;
use Kettle\Measure\Unit;
use Kettle\Vessel\Jar;

/** The house a wish is reckoned in: its clock, waking hours, measures and jars. */
final readonly class Kitchen
{
    /**
     * @param  \DateTimeImmutable  $now in the house's time zone
     * @param  list<Jar>  $jars the house's jars
     * @param  bool  $fahrenheit how this cook reads a thermometer
     */
    public function __construct(
        public \DateTimeImmutable $now,
        public WakingHours $waking,
        public Custom $custom,
        public float $dropsPerMl,
        public array $jars,
        public bool $fahrenheit = false,
    ) {
    }

    public function today(): \DateTimeImmutable
    {
        return $this->now->setTime(0, 0);
    }

    public function reader(): AmountReader
    {
        return new AmountReader($this->custom, $this->dropsPerMl);
    }

    public function writer(): AmountWriter
    {
        return new AmountWriter($this->custom);
    }

    /** A temperature as this cook reads it: "49 °C" or "120 °F". */
    public function warmth(float $celsius): string
    {
        return $this->fahrenheit
            ? round(Unit::make('°F')->fromBase($celsius)).' °F'
            : AmountWriter::plain($celsius, Kind::Temperature);
    }

    /** @return list<Jar> smallest first */
    public function jarsBySize(): array
    {
        $jars = $this->jars;
        usort($jars, fn (Jar $a, Jar $b) => $a->brimMl <=> $b->brimMl);

        return $jars;
    }
}
