<?php

namespace App\Actions\Boil;

use App\Models\Boil;
use Kettle\Boiling\BoilException;
use Kettle\Boiling\Stage;
use Kettle\Reason\RefusedException;

/** What is asked of a long oil that is poured from pots of the house: it is the oil of that pot, and of the herbs of that decoction. */
final class PouredFrom
{
    /** Which kind of pot each part is poured from. */
    private const FROM = ['oil' => 'cleanse', 'liquid' => 'decoction'];

    /**
     * @param  array<string, mixed>  $asked as the core takes it
     * @param  array{oil?: string, liquid?: string}  $from ids of pots
     * @return array<string, mixed>
     *
     * @throws RefusedException
     */
    public static function asked(array $asked, array $from): array
    {
        if ($from !== [] && ($asked['stage'] ?? null) !== 'cook') {
            throw BoilException::onlyCooked()->about(isset($from['oil']) ? 'oil_from' : 'liquid_from');
        }
        foreach (self::FROM as $part => $kind) {
            $boil = isset($from[$part]) ? Boil::query()->where('uid', $from[$part])->where('kind', $kind)->first() : null;
            if (isset($from[$part]) && $boil?->stage !== Stage::Made) {
                throw BoilException::notThere($kind)->about("{$part}_from");
            }
            if ($boil !== null && $part === 'oil') {
                $asked['carrier'] = $boil->plan->oil();
            }
            if ($boil !== null && $part === 'liquid') {
                $herbs = $boil->plan->wishedHerbs();
                $asked['liquid'] = $kind;
                $asked['decoct'] = $herbs === [] ? [] : ['herbs' => $herbs];
            }
        }

        return $asked;
    }
}
