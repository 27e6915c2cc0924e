<?php

declare(strict_types=1);

namespace Kettle\Infusion;

/** How a jar comes to its warmth. */
final readonly class Warming
{
    /**
     * @param  string  $water how far up it the water stands, of WaterBath::DEPTHS; empty for none
     * @param  int  $upMin minutes before it is warm, where no cooker says it better
     * @param  ?float  $pouredC how warm its oil is poured, degrees C; null where it is not poured hot
     */
    public function __construct(public string $water = '', public int $upMin = 0, public ?float $pouredC = null) {}
}
