<?php

declare(strict_types=1);

namespace Kettle\Batch;

/** One oil of a frozen plan. */
final readonly class PlannedOil
{
    /** @param  float  $share of the oil, by volume, 0 to 1 */
    private function __construct(public string $id, public string $name, public ?string $inci, public float $share) {}

    public static function of(Stored $oil): self
    {
        return new self($oil->text('id'), $oil->text('name'), $oil->textOrNull('inci'), $oil->number('share', 1.0));
    }
}
