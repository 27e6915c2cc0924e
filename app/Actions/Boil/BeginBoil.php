<?php

namespace App\Actions\Boil;

use App\Actions\Batches\NewLine;
use App\Actions\NextCode;
use App\House\KitchenFactory;
use App\Models\Boil;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Ask\BoilBegun;
use Kettle\Ask\Questions;
use Kettle\Batch\Line\Started;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Stage;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Kitchen;

/** Turns what was planned into a pot with a code, a plan that stays as it is, and a logbook. */
final readonly class BeginBoil
{
    public function __construct(
        private KitchenFactory $kitchens,
        private Questions $questions,
        private Tables $tables,
        private NextCode $codes,
        private BoilLogbook $logbook,
        private FillPot $fill,
    ) {}

    /**
     * @param  'decoction'|'long-oil'|'glycerin'  $what
     * @param  array<string, mixed>  $asked as the core takes it
     * @param  array<string, mixed>  $typed as it was typed
     * @param  list<string>  $acknowledged ids of the cautions somebody has read
     * @param  array{oil?: string, liquid?: string}  $from pots of the house that a long oil's oil and liquid are poured from
     *
     * @throws RefusedException
     */
    public function __invoke(string $what, array $asked, array $typed, array $acknowledged = [], array $from = []): Boil
    {
        $asked = PouredFrom::asked($asked, $from);
        $kitchen = $this->stores($what, $asked);
        $begun = new BoilBegun($this->questions->decoction($kitchen), $this->tables, $kitchen);
        $kept = $begun->of($what, $asked, $acknowledged, $from);
        $read = $begun->wereRead($what, $asked, $acknowledged);
        // Frozen as JSON would read it back, so that what is used now and later is the same.
        $plan = json_decode(json_encode($kept, JSON_THROW_ON_ERROR), true);
        assert(is_array($plan));

        return DB::transaction(function () use ($plan, $typed, $read): Boil {
            $frozen = FrozenBoil::of($plan);
            $boil = Boil::query()->create([
                'code' => $this->codes->of('boiled', 'D'),
                'kind' => $frozen->kind,
                'wish' => $typed,
                'plan' => $plan,
                'stage' => Stage::Planned,
                'begun_at' => Carbon::now(),
            ]);
            $boil->refresh();
            $this->logbook->write($boil, fn () => new NewLine(new Started(Boil::called($frozen), $read)));
            ($this->fill)($boil, strict: true);

            return $boil;
        });
    }

    /**
     * With what Stores has of what goes in.
     *
     * @param  'decoction'|'long-oil'|'glycerin'  $what
     * @param  array<string, mixed>  $asked
     */
    private function stores(string $what, array $asked): Kitchen
    {
        return $what === 'glycerin'
            ? $this->kitchens->forProduct([])
            : $this->kitchens->forWish([
                'herbs' => $what === 'decoction' ? $asked['herbs'] ?? [] : $asked['paste_herbs'] ?? [],
                'oils' => [$asked['carrier'] ?? BoilBegun::USUAL_OIL],
            ]);
    }
}
