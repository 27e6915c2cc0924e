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
        public string $note,
    ) {
    }

    public static function fromRow(Row $row): self
    {
        $density = $row->row('density');
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
            $row->text('note'),
        );
    }

    /**
     * Iodine value from the fatty acids, AOCS Cd 1c-85: 0.860 x 18:1 + 1.732 x 18:2 + 2.616 x 18:3
     * + 0.950 x 16:1, and 0.81 for ricinoleic acid (factor from memory). Null for a wax ester.
     */
    public function iodineValue(): ?float
    {
        if ($this->fattyAcids === null) {
            return null;
        }
        $value = 0.0;
        foreach (['18:1' => 0.860, '18:2' => 1.732, '18:3' => 2.616, '16:1' => 0.950, '18:1-OH' => 0.81] as $acid => $factor) {
            $value += $factor * ($this->fattyAcids[$acid] ?? 0.0);
        }

        return $value;
    }
}
