<?php

declare(strict_types=1);

namespace Kettle\Material;

/** How long an oil keeps, months. */
final readonly class OilLife
{
    public function __construct(public float $unopened, public float $opened) {}
}
