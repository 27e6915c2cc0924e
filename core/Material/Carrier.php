<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** A carrier oil or hard fat. Density is kept at 20 C; months are for cool and dark. */
final readonly class Carrier
{
    /**
     * @param  array<string, float>|null  $fattyAcids per cent of the oil by "carbons:double bonds"; null for a wax ester
     * @param  list<string>  $allergens
     * @param  list<string>  $also other names it goes by
     * @param  int  $feel 1 dry and light to 5 rich
     * @param  int  $scent 0 none, 1 mild, 2 strong
     * @param  ?float  $publishedIodineValue middle of the published range, for a wax ester that has no other
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $inci,
        public ?array $fattyAcids,
        public Density $at20,
        public float $setsBelowC,
        public float $monthsUnopened,
        public float $monthsOpened,
        public array $allergens,
        public bool $foodGradeExists,
        public int $feel,
        public int $scent,
        private ?float $publishedIodineValue,
        public string $note,
        public array $also = [],
    ) {}

    public static function fromRow(Row $row): self
    {
        $density = $row->row('density');
        $published = $row->rowOrNull('published_iodine_value');
        $at20 = $density->number('g_per_ml') + Density::OIL_SLOPE * ($density->number('at_c') - 20.0);

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('inci'),
            $row->rowOrNull('fatty_acids') === null ? null : $row->numbers('fatty_acids'),
            Density::gramsPerMl($at20),
            $row->number('sets_below_c'),
            $row->row('months')->number('unopened'),
            $row->row('months')->number('opened'),
            $row->texts('allergens'),
            $row->flag('food_grade_exists'),
            (int) $row->number('feel'),
            (int) $row->number('scent'),
            $published === null ? null : ($published->number('low') + $published->number('high')) / 2,
            $row->text('note'),
            $row->texts('also'),
        );
    }

    /**
     * Iodine value from the fatty acids, AOCS Cd 1c-85: 0.860 x 18:1 + 1.732 x 18:2 + 2.616 x 18:3
     * + 0.950 x 16:1 + 0.785 x 20:1 + 0.723 x 22:1, and 0.81 for ricinoleic acid (factor from memory). Null for a wax ester.
     */
    public function iodineValue(): ?float
    {
        if ($this->fattyAcids === null) {
            return null;
        }
        $value = 0.0;
        $factors = ['18:1' => 0.86, '18:2' => 1.732, '18:3' => 2.616, '16:1' => 0.95, '20:1' => 0.785, '22:1' => 0.723, '18:1-OH' => 0.81];
        foreach ($factors as $acid => $factor) {
            $value += $factor * ($this->fattyAcids[$acid] ?? 0.0);
        }

        return $value;
    }

    /** The computed iodine value, or for a wax ester the middle of the published range. */
    public function iodineValueOrPublished(): ?float
    {
        return $this->iodineValue() ?? $this->publishedIodineValue;
    }

    /**
     * How fast its fats take up oxygen, oleic acid being 1: (18:1 + 10.3 x 18:2 + 21.6 x 18:3) / 100,
     * Fatemi and Hammond 1980. Null for a wax ester.
     */
    public function oxidisability(): ?float
    {
        return $this->fattyAcids === null
            ? null
            : (($this->fattyAcids['18:1'] ?? 0.0) + 10.3 * ($this->fattyAcids['18:2'] ?? 0.0) + 21.6 * ($this->fattyAcids['18:3'] ?? 0.0)) /
                    100;
    }

    /** @return ?array{saturated: float, mono: float, di: float, tri: float, other: float} per cent; null for a wax ester */
    public function picture(): ?array
    {
        if ($this->fattyAcids === null) {
            return null;
        }
        $sums = ['0' => 0.0, '1' => 0.0, '2' => 0.0, '3' => 0.0];
        foreach ($this->fattyAcids as $acid => $percent) {
            $sums[explode('-', explode(':', $acid)[1])[0]] += $percent;
        }

        return [
            'saturated' => $sums['0'],
            'mono' => $sums['1'],
            'di' => $sums['2'],
            'tri' => $sums['3'],
            'other' => max(0.0, round(100 - array_sum($sums), 6)),
        ];
    }
}
