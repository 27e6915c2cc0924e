<?php

namespace App\Actions;

use App\Models\Batch;
use App\Models\Boil;
use App\Models\Making;

/** Keeps how a label is set, where nobody has written anything of the thing since it was seen. */
final class SetLabel
{
    /**
     * @param  array<string, mixed>  $label
     * @param  int  $version that was seen
     * @param  string  $called what the thing is: a batch, a product
     *
     * @throws Clash
     */
    public function __invoke(Batch|Making|Boil $thing, array $label, int $version, string $called): void
    {
        $changed = $thing
            ->newQuery()
            ->whereKey($thing->id)
            ->where('version', $version)
            ->update(['label' => json_encode($label, JSON_THROW_ON_ERROR), 'version' => $version + 1]);
        $thing->refresh();
        if ($changed === 0) {
            throw new Clash("Something was written for this {$called} meanwhile. What stands now is shown; set the label again.", [
                'version' => $thing->version,
            ]);
        }
    }
}
