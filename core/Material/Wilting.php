<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/**
 * A plant weighed when it was picked and weighed again: the dry matter stays, so what is lost is water.
 *
 * w_now = 1 - m_0 (1 - w_0) / m_now. How much longer: at the rate so far for the least, and by the
 * thin-layer drying law (Lewis 1921: the water above what stays falls by a like share each hour) for the most.
 */
final readonly class Wilting
{
    /** @param  'not yet'|'ready'|'dried'  $verdict */
    private function __construct(
        public float $freshG,
        public float $nowG,
        public float $waterFresh,
        public float $waterNow,
        public float $lost,
        public float $readyLost,
        public string $verdict,
        public ?float $leastHours,
        public ?float $mostHours,
    ) {}

    /**
     * @param  float  $waterFresh fraction when picked
     * @param  ?float  $hours between the two weighings, where known
     *
     * @throws MaterialException when it weighs more than before, or less than its dry matter could
     */
    public static function weighed(float $freshG, float $nowG, float $waterFresh, ?float $hours, Tables $tables): self
    {
        if ($freshG <= 0 || $nowG <= 0) {
            throw new MaterialException('not_above_zero', 'Both weights must be more than nothing.');
        }
        if ($nowG > $freshG) {
            throw MaterialException::heavierThanFresh(AmountWriter::plain($nowG, Kind::Mass), AmountWriter::plain($freshG, Kind::Mass));
        }
        $dry = $freshG * (1 - $waterFresh);
        $water = 1 - $dry / $nowG;
        if ($water < 0.02) {
            throw MaterialException::lighterThanDry(
                AmountWriter::plain($nowG, Kind::Mass),
                AmountWriter::plain($freshG, Kind::Mass),
                (int) round($waterFresh * 100),
            );
        }
        $table = $tables->table('forms')->row('wilting');
        $ready = $table->row('ready_lost')->number('value');
        $lost = 1 - $nowG / $freshG;
        $verdict = match (true) {
            $water <= $table->row('crisp_water')->number('value') => 'dried',
            $lost >= $ready => 'ready',
            default => 'not yet',
        };
        [$least, $most] =
            $verdict === 'not yet' && $hours !== null && $hours > 0 && $lost > 0
                ? self::longer($freshG, $nowG, $dry, $ready, $hours)
                : [null, null];

        return new self($freshG, $nowG, $waterFresh, $water, $lost, $ready, $verdict, $least, $most);
    }

    /** @return array{float, ?float} hours at the rate so far, and by the drying law; null where it never gets there */
    private static function longer(float $fresh, float $now, float $dry, float $ready, float $hours): array
    {
        $target = $fresh * (1 - $ready);
        $even = ($now - $target) / (($fresh - $now) / $hours);
        // What stays: shelf-dry herb still holds a tenth.
        $stays = $dry / (1 - HerbMix::DRY_WATER);
        if ($target <= $stays) {
            return [$even, null];
        }
        $rate = log(($fresh - $stays) / ($now - $stays)) / $hours;

        return [$even, log(($now - $stays) / ($target - $stays)) / $rate];
    }

    /** In a cook's words. */
    public function says(): string
    {
        $lost = round($this->lost * 100).' % of its weight is gone';

        return match ($this->verdict) {
            'dried' => "{$lost}, and hardly any water is left: it is dried. Use it as dried herb.",
            'ready' => "{$lost}: it is wilted, and ready. It should be limp and not crisp.",
            default => $lost.
                sprintf(', and about %d %% should be: not yet.', round($this->readyLost * 100)).
                match (true) {
                    $this->leastHours === null => '',
                    $this->mostHours === null => sprintf(' At this rate at least %s more.', AmountWriter::span($this->leastHours)),
                    default => sprintf(
                        ' At this rate %s to %s more.',
                        AmountWriter::span($this->leastHours),
                        AmountWriter::span($this->mostHours),
                    ),
                },
        };
    }

    /** @return list<Figure> water_now, weight_lost and dry_equivalent */
    public function figures(): array
    {
        $inputs = ['fresh_g' => round($this->freshG, 1), 'now_g' => round($this->nowG, 1), 'water_fresh' => round($this->waterFresh * 100)];

        return [
            Figure::exactly('water_now', round($this->waterNow * 100, 1), '%', Reason::rule('wilting-water', $inputs)),
            Figure::exactly(
                'weight_lost',
                round($this->lost * 100, 1),
                '%',
                Reason::rule('wilting-lost', $inputs + ['ready' => round($this->readyLost * 100)]),
            ),
            Figure::exactly(
                'dry_equivalent',
                HerbMix::dryEquivalent($this->nowG, $this->waterNow),
                'g',
                Reason::rule('dry-equivalent', [
                    'herb_g' => round($this->nowG, 1),
                    'water' => round($this->waterNow * 100),
                    'dry_g' => round(HerbMix::dryEquivalent($this->nowG, $this->waterNow), 1),
                ]),
            ),
        ];
    }
}
