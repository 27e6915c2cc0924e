<?php

namespace App\Actions\Boil;

use Kettle\Boiling\BoilState;
use Kettle\Decoction\Doneness;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Change;
use Kettle\Recipe\Kitchen;

/** A long oil that is strained, as the wish of an oil that is there already. */
final class LongOilBatch
{
    /**
     * How it ages by days of flame under water nobody has measured, and what is known of warmth on the shelf says nothing of it:
     * it is taken for an oil whose way is not known, which is one that was warmed.
     *
     * @param  ?string  $verdict of the signs: past them it is coarse, and for the skin only
     * @return array<string, mixed>
     *
     * @throws RefusedException
     */
    public static function wish(BoilState $state, float $ml, ?string $verdict, Kitchen $kitchen): array
    {
        return [
            'herbs' => array_map(fn (array $herb) => $herb + ['state' => 'dried'], $state->plan->wishedHerbs()),
            'oils' => [['id' => $state->plan->oil()]],
            'purpose' => $verdict === Doneness::PAST ? 'skin' : $state->plan->purpose,
            'finished' => ['amount' => Change::number($ml).' mL'],
            'before' => ['made' => $kitchen->today()->format('Y-m-d')],
        ];
    }
}
