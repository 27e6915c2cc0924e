<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\EssentialOil;
use Kettle\Material\Row;

/**
 * The essential oils of a product against what may be: each one's own limit, the ceiling of all together by where it is used,
 * and by whom. The strictest rules.
 */
final readonly class Scents
{
    /**
     * @param  list<array{oil: EssentialOil, grams: float, percent: float, limit: ?float}>  $each per cent by weight of the whole
     * @param  float  $percent of all together
     * @param  float  $ceiling for all together, per cent
     * @param  string  $by where or for whom that ceiling is: an id of data/melt.json
     * @param  list<string>  $named fragrance allergens that must stand on the label
     */
    private function __construct(
        public array $each,
        public float $percent,
        public float $ceiling,
        public string $by,
        public bool $byPerson,
        public bool $rinsed,
        public array $named,
    ) {}

    public static function of(Composition $pot, ProductWish $wish, MeltTable $table): self
    {
        $rinsed = $wish->product->has(Product::RINSED);
        $each = [];
        $allergens = [];
        foreach ($pot->of(PartKind::Scent) as $weighed) {
            $oil = $weighed->part->scent;
            assert($oil !== null);
            $percent = $pot->share($weighed) * 100;
            // The limits are for what stays on the skin.
            $each[] = ['oil' => $oil, 'grams' => $weighed->grams, 'percent' => $percent, 'limit' => $rinsed ? null : $oil->limitPercent];
            foreach ($oil->allergens as $name => $of) {
                $allergens[$name] = ($allergens[$name] ?? 0.0) + ($percent * $of) / 100;
            }
        }
        $from = $table->rules->row('allergens_named')->number($rinsed ? 'rinse_off_percent' : 'leave_on_percent');
        $named = array_keys(array_filter($allergens, fn (float $percent) => $percent > $from));
        sort($named);
        [$ceiling, $by, $person] = self::ceiling($wish, $table->rules, $rinsed);

        return new self($each, array_sum(array_column($each, 'percent')), $ceiling, $by, $person, $rinsed, $named);
    }

    /** @return list<array{oil: EssentialOil, grams: float, percent: float, limit: ?float}> those over their own limit */
    public function over(): array
    {
        return array_values(
            array_filter($this->each, fn (array $each) => $each['limit'] !== null && $each['percent'] > $each['limit'] + 1e-9),
        );
    }

    public function overCeiling(): bool
    {
        return $this->each !== [] && $this->percent > $this->ceiling + 1e-9;
    }

    /** @return array<string, true> facts for the cautions: of what traits they are */
    public function tags(): array
    {
        $tags = $this->each === [] ? [] : ['essential-oils' => true];
        foreach ($this->each as $each) {
            foreach ($each['oil']->traits as $trait) {
                $tags['scent:'.$trait] = true;
            }
            if ($each['oil']->limitForSun && ! $this->rinsed) {
                $tags['scent:sunlight'] = true;
            }
        }

        return $tags;
    }

    /** @return list<array{scent: string}> those with a trait, as a sentence keeps them; "sunlight" for those with such a limit */
    public function having(string $trait): array
    {
        return array_values(
            array_map(
                fn (array $each) => $each['oil']->said(),
                array_filter(
                    $this->each,
                    fn (array $each) => $each['oil']->has($trait) || ($trait === 'sunlight' && $each['oil']->limitForSun),
                ),
            ),
        );
    }

    /** @return array{float, string, bool} the strictest ceiling, whose it is, and whether a person's */
    private static function ceiling(ProductWish $wish, Row $rules, bool $rinsed): array
    {
        $where = $rinsed ? Product::RINSED : $wish->product->where;
        $strictest = [INF, $where, false];
        foreach (['ceilings' => [$where], 'people' => $wish->for] as $list => $ids) {
            foreach ($rules->rows($list) as $row) {
                $percent = $row->numberOrNull('percent');
                if (in_array($row->text('id'), $ids, true) && $percent !== null && $percent < $strictest[0]) {
                    $strictest = [$percent, $row->text('id'), $list === 'people'];
                }
            }
        }

        return $strictest;
    }
}
