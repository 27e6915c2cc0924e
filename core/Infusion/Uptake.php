<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Row;
use Kettle\Material\Tables;

/**
 * Oil that stays in the herb, mL in each gram, by how it is got out; with the small losses after it.
 * Priors from memory, coarse: normal, with the standard deviation the table gives; narrowed by the house's own batches.
 */
final readonly class Uptake
{
    /** Half-width of a central 90 % interval of a normal, in standard deviations. */
    public const NINE_IN_TEN = 1.6449;

    /** What nine in ten of a normal exceed, in standard deviations below its middle. */
    public const NINE_TIMES_IN_TEN = 1.2816;

    public const WAYS = ['drained', 'squeezed', 'pressed'];

    private function __construct(
        public string $way,
        public float $mlPerGram,
        public float $sd,
        public float $lossesMl,
        public float $priorMlPerGram,
        public int $batches = 0,
    ) {}

    /**
     * @param  ?UptakeSeen  $seen what the house's own batches say of it
     *
     * @throws \LogicException when the table has no such way
     */
    public static function by(string $way, Tables $tables, ?UptakeSeen $seen = null): self
    {
        $table = $tables->table('uptake');
        $losses = array_sum(array_map(fn (Row $loss) => $loss->number('value'), $table->rows('losses')));
        foreach ($table->rows('rows') as $row) {
            if ($row->text('id') === $way) {
                $prior = $row->number('ml_per_g');

                return (new self($row->text('name'), $prior, $row->number('sd'), $losses, $prior))->after(
                    $seen ?? UptakeSeen::none(),
                    UptakeSpread::of($tables),
                );
            }
        }
        throw new \LogicException("data/uptake.json has no row {$way}.");
    }

    /** Narrowed by what was seen; as it is where nothing was. */
    public function after(UptakeSeen $seen, UptakeSpread $spread): self
    {
        if ($seen->batches === 0) {
            return $this;
        }
        $now = $seen->posterior($this->priorMlPerGram, $spread);

        return new self($this->way, $now['mean'], $now['next_sd'], $this->lossesMl, $this->priorMlPerGram, $seen->batches);
    }

    /** @return array{low: float, high: float} mL in a gram, what nine batches in ten leave in it */
    public function nineInTen(): array
    {
        return self::around($this->mlPerGram, $this->sd);
    }

    /**
     * @param  float  $mean mL in a gram
     * @param  float  $sd mL in a gram
     * @return array{low: float, high: float} mL in a gram, none below zero
     */
    public static function around(float $mean, float $sd): array
    {
        return ['low' => max(0.0, $mean - self::NINE_IN_TEN * $sd), 'high' => $mean + self::NINE_IN_TEN * $sd];
    }

    /** Strained a second time: the second paper or cloth keeps as much as the first. */
    public function strainedAgain(Tables $tables): self
    {
        $filter = $tables->table('uptake')->row('losses')->row('filter_ml')->number('value');

        return new self($this->way, $this->mlPerGram, $this->sd, $this->lossesMl + $filter, $this->priorMlPerGram, $this->batches);
    }

    /** Left on its sediment: no cloth keeps any, and nothing is thrown away with the mud. */
    public function unstrained(): self
    {
        return new self($this->way, $this->mlPerGram, $this->sd, 0.0, $this->priorMlPerGram, $this->batches);
    }

    /**
     * V_out = V_in - u x dry herb - sediment and cloth.
     *
     * @param  float  $herbG dry-equivalent
     * @return array{low: float, value: float, high: float} mL, none below zero or above what went in
     */
    public function yield(float $oilMl, float $herbG): array
    {
        $bound = fn (float $ml) => max(0.0, min($oilMl, $ml));
        $out = $oilMl - $this->mlPerGram * $herbG - $this->lossesMl;
        $spread = self::NINE_IN_TEN * $this->sd * $herbG;

        return ['low' => $bound($out - $spread), 'value' => $bound($out), 'high' => $bound($out + $spread)];
    }

    /**
     * Oil to start with, mL, so that so much is got out; the same formula solved for V_in.
     *
     * @param  float  $dryPerMl g of dry-equivalent herb for each mL of oil
     * @param  bool  $surely got nine times in ten, else as often as not
     *
     * @throws YieldException when the herb would keep nearly all the oil
     */
    public function oilFor(float $wantedMl, float $dryPerMl, bool $surely): float
    {
        $retained = ($this->mlPerGram + ($surely ? self::NINE_TIMES_IN_TEN * $this->sd : 0.0)) * $dryPerMl;
        if ($retained > 0.8) {
            throw YieldException::herbKeepsIt();
        }

        return ($wantedMl + $this->lossesMl) / (1 - $retained);
    }
}
