<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** An essential oil, or a scented solid that is used as one. Its limit is per cent by weight of what stays on the skin. */
final readonly class EssentialOil
{
    /**
     * @param  ?float  $limitPercent null where it has none of its own
     * @param  bool  $limitForSun whether the limit is one of skin that sees the sun
     * @param  list<string>  $traits
     * @param  array<string, float>  $allergens typical per cent of it, by the name that must stand on a label
     */
    private function __construct(
        public string $id,
        public string $name,
        public OilNames $names,
        public bool $solid,
        public Density $density,
        public ?float $limitPercent,
        public bool $limitForSun,
        public array $traits,
        public array $allergens,
        public string $source,
        public string $note,
    ) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            new OilNames($row->text('inci'), [...$row->texts('also'), ...array_filter([$row->text('latin')])]),
            $row->flag('solid'),
            Density::gramsPerMl($row->number('g_per_ml')),
            $row->numberOrNull('skin_limit_percent'),
            $row->textOrNull('limit_for') === 'sunlight',
            $row->texts('traits'),
            $row->numbers('allergens'),
            $row->text('source'),
            $row->text('note'),
        );
    }

    /**
     * One of a house's own; what would stand on a label is that of the one it is like.
     *
     * @param  list<string>  $traits
     */
    public static function own(
        string $id,
        string $name,
        OilNames $names,
        float $gramsPerMl,
        float $limitPercent,
        array $traits,
        ?self $like,
        string $note,
    ): self {
        return new self(
            $id,
            $name,
            $names,
            $like->solid ?? false,
            Density::gramsPerMl($gramsPerMl),
            $limitPercent,
            in_array('sunlight', $traits, true) || ($like->limitForSun ?? false),
            $traits,
            $like->allergens ?? [],
            'house',
            $note,
        );
    }

    /** g; a drop of it is its density over the drops that make a millilitre. */
    public function dropG(float $dropsPerMl): float
    {
        return $this->density->gramsPerMl / $dropsPerMl;
    }

    /** Drops of so many g; null of a solid, which is weighed. */
    public function drops(float $grams, float $dropsPerMl): ?float
    {
        return $this->solid ? null : round($grams / $this->dropG($dropsPerMl));
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** @return array{scent: string} its name as a sentence keeps it */
    public function said(): array
    {
        return ['scent' => $this->id];
    }
}
