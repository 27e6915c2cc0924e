<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Method;
use Kettle\Material\HerbMix;
use Kettle\Material\Lying;
use Kettle\Reason\Said;
use Kettle\Vessel\Jar;

/**
 * The jar way: herb fills so much of the jar as it was put in; oil stands so many mm over it, or reaches the brim, or is
 * as much as the wish says.
 */
final readonly class ByJar
{
    /** Share of the jar's height, by the word people use. */
    public const FILLS = [
        'quarter' => 0.25,
        'third' => 1 / 3,
        'half' => 0.5,
        'two-thirds' => 2 / 3,
        'three-quarters' => 0.75,
        'full' => 1.0,
    ];

    public const SAID = [
        'quarter' => 'a quarter full',
        'third' => 'a third full',
        'half' => 'half full',
        'two-thirds' => 'two thirds full',
        'three-quarters' => 'three quarters full',
        'full' => 'full',
    ];

    /** The oil is poured to the brim, and no air is left. */
    public const BRIM = 'brim';

    /** Oil over the herb in a jar filled to the brim, mm: so that the herb stays under when the air has come out of it. */
    public const LEAST_AT_BRIM_MM = 3.0;

    /** @param  ?float  $coverMm null to the brim, or where the oil is said */
    public function __construct(public string $fill, public Lying $lying, public ?float $coverMm, public bool $brim) {}

    /** The same with headspace, and covered by so much */
    public function covered(float $mm = Amounts::COVER_MM): self
    {
        return new self($this->fill, $this->lying, $mm, false);
    }

    /** The same, filled otherwise */
    public function filled(string $fill): self
    {
        return new self($fill, $this->lying, $this->coverMm, $this->brim);
    }

    /** g of herb in each jar */
    public function herbIn(Jar $jar, HerbMix $mix): float
    {
        return $jar->volumeTo($this->share() * $jar->heightMm) / $mix->mlPerG($this->lying);
    }

    /** How high oil, or herb under oil where it is poured to the brim, may stand in the jar, mm. */
    public function roomMm(Jar $jar, Method $method): float
    {
        return $jar->heightMm - ($this->brim ? self::LEAST_AT_BRIM_MM : $method->wants->headspaceMm);
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

    /** @return array<string, string> as a wish has it */
    public function document(): array
    {
        return [
            'fill' => $this->fill,
            ...$this->lying === Lying::Loose ? [] : ['lying' => $this->lying->value],
            ...$this->brim ? ['cover' => self::BRIM] : ($this->coverMm === null ? [] : ['cover' => round($this->coverMm).' mm']),
        ];
    }
}
