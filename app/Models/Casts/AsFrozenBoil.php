<?php

namespace App\Models\Casts;

use Kettle\Boiling\FrozenBoil;

/**
 * What a pot was begun with, as the core reads it.
 *
 * @extends AsFrozen<FrozenBoil>
 */
final class AsFrozenBoil extends AsFrozen
{
    protected function read(array $document): FrozenBoil
    {
        return FrozenBoil::of($document);
    }
}
