<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Lying;
use Kettle\Reason\Said;

/**
 * The jar way: herb fills so much of the jar as it was put in; oil stands so many mm over it, or reaches the brim, or is
 * as much as the wish says.
 */
final readonly class ByJar
{
    /** Share of the jar's height, by the word people use. */
    public const FILLS = ['quarter' => 0.25, 'half' => 0.5, 'three-quarters' => 0.75, 'full' => 1.0];

    public const SAID = ['quarter' => 'a quarter full', 'half' => 'half full', 'three-quarters' => 'three quarters full', 'full' => 'full'];

    /** The oil is poured to the brim, and no air is left. */
    public const BRIM = 'brim';

    /** Oil over the herb in a jar filled to the brim, mm: so that the herb stays under when the air has come out of it. */
    public const LEAST_AT_BRIM_MM = 3.0;

    /** @param  ?float  $coverMm null to the brim, or where the oil is said */
    public function __construct(public string $fill, public Lying $lying, public ?float $coverMm, public bool $brim) {}

    /** The same with headspace, and covered as is usual */
    public function covered(): self
    {
        return new self($this->fill, $this->lying, Amounts::COVER_MM, false);
    }

    public function share(): float
    {
        return self::FILLS[$this->fill];
    }

    public function said(): string
    {
        return self::SAID[$this->fill];
    }

    /** "packed half full" */
    public function says(): Said
    {
        $fill = Said::of('fill.'.$this->fill);

        return match ($this->lying) {
            Lying::Loose => $fill,
            Lying::Packed => Said::of('fill.packed', ['fill' => $fill]),
            Lying::Stuffed => Said::of('fill.stuffed', ['fill' => $fill]),
        };
    }

    /**
     * The same with less herb, or with another cover, as a wish has it.
     *
     * @return array<string, string>
     */
    public function change(?string $fill = null, ?string $cover = null): array
    {
        return [
            'fill' => $fill ?? $this->fill,
            ...$this->lying === Lying::Loose ? [] : ['lying' => $this->lying->value],
            ...$cover === null ? [] : ['cover' => $cover],
        ];
    }
}
