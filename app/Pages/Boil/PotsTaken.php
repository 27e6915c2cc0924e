<?php

namespace App\Pages\Boil;

use App\House\KitchenFactory;
use App\Models\Boil;
use App\Models\Making;
use App\Responses\Making\FromView;
use Illuminate\Support\Facades\DB;
use Kettle\Measure\Kind;

/** The pots that something was made of: a product, or another pot. */
final readonly class PotsTaken
{
    public function __construct(private KitchenFactory $kitchens) {}

    /** @return list<FromView> */
    public function into(Making|Boil $into): array
    {
        $amounts = DB::table('boil_takes')
            ->where($into instanceof Making ? 'making_id' : 'into_boil_id', $into->id)
            ->pluck('amount', 'boil_id');
        if ($amounts->isEmpty()) {
            return [];
        }
        $writer = $this->kitchens->plain()->writer();
        $from = [];
        foreach (Boil::query()->whereIn('id', $amounts->keys())->orderBy('id')->get() as $boil) {
            $amount = is_numeric($amounts[$boil->id] ?? null) ? (float) $amounts[$boil->id] : 0.0;
            $from[] = new FromView(
                'boil',
                $boil->uid,
                "{$boil->code}, ".lcfirst($boil->name),
                $writer->plain($amount, $boil->plan->byWeight ? Kind::Mass : Kind::Volume),
            );
        }

        return $from;
    }
}
