<?php

declare(strict_types=1);

namespace Kettle\Material;

/** How an oil is on the skin and to the nose. */
final readonly class OilFeel
{
    /**
     * @param  int  $richness 1 dry and light to 5 rich
     * @param  int  $scent 0 none, 1 mild, 2 strong
     */
    public function __construct(public int $richness, public int $scent) {}
}
