<?php

namespace App\Models\Casts;

use Kettle\Batch\FrozenPlan;

/**
 * A plan as the core reads it.
 *
 * @extends AsFrozen<FrozenPlan>
 */
final class AsFrozenPlan extends AsFrozen
{
    protected function read(array $document): FrozenPlan
    {
        return FrozenPlan::of($document);
    }
}
