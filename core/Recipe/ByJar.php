<?php

declare(strict_types=1);

namespace Kettle\Recipe;

/** The jar way: herb fills so much of the jar as it lies, and oil stands so many mm over it. */
final readonly class ByJar
{
    /** Share of the jar's height, by the word people use. */
    public const FILLS = ['quarter' => 0.25, 'half' => 0.5, 'three-quarters' => 0.75, 'full' => 1.0];

    public const SAID = ['quarter' => 'a quarter full', 'half' => 'half full', 'three-quarters' => 'three quarters full', 'full' => 'full'];

    public function __construct(public string $fill, public float $coverMm) {}

    public function share(): float
    {
        return self::FILLS[$this->fill];
    }

    public function said(): string
    {
        return self::SAID[$this->fill];
    }
}
