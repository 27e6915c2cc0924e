<?php

declare(strict_types=1);

namespace Kettle\Material;

/** Whether an oil may be eaten at all, and who may not eat it. */
final readonly class OilAsFood
{
    /** @param  list<string>  $allergens */
    public function __construct(public bool $gradeExists, public array $allergens) {}
}
