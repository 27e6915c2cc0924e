<?php

namespace App\Actions\Melt;

use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Making;
use App\Models\Wanted;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Material\Tables;
use Kettle\Melt\Melting;
use Kettle\Melt\ProductPlan;
use Kettle\Reason\Said;
use Kettle\Recipe\WishException;

/** Keeps a product for the day it is wanted, and plans it anew when one of its oils, or who is at home, changes. */
final readonly class WantProduct
{
    /** A house that wants more at once has them planned anew when they are next looked at. */
    private const FOLLOWED = 30;

    public function __construct(private ProductHouse $houses, private Tables $tables, private KitchenFactory $kitchens) {}

    /**
     * @param  array<mixed>  $wish
     * @param  ?Wanted  $instead what is wanted otherwise now
     *
     * @throws WishException when it cannot be planned, has no day, or must not be made
     */
    public function keep(array $wish, ?Wanted $instead = null): Wanted
    {
        $plan = $this->planned($wish);
        $readyBy = $plan->wish->readyBy;
        if ($readyBy === null) {
            throw WishException::one('ready_by', 'missing', 'Say the day it is to be ready by.');
        }
        $stop = $plan->stop();
        if ($stop !== null) {
            throw WishException::one($stop->about, $stop->id, $this->kitchens->words()->of($stop->says));
        }

        return DB::transaction(function () use ($wish, $plan, $readyBy, $instead): Wanted {
            $wanted = $instead === null ? new Wanted() : $this->locked($instead->uid);
            $wanted
                ->fill(
                    ['product' => $plan->wish->product->id, 'wish' => $wish, 'ready_by' => $readyBy->format('Y-m-d')] +
                        self::columns($plan) + ['version' => (int) $wanted->version + 1],
                )
                ->save();

            return $wanted;
        });
    }

    public function giveUp(Wanted $wanted): void
    {
        DB::transaction(fn () => $this->locked($wanted->uid)->update(['closed_at' => Carbon::now()]));
    }

    /** One of its oils was begun: from now on it goes by that batch. In the transaction that began it. */
    public function oilBegun(string $uid, int $oil, Batch $batch): void
    {
        $wanted = $this->locked($uid);
        $wish = $wanted->wish;
        $oils = is_array($wish['oils'] ?? null) ? array_values($wish['oils']) : [];
        if (! is_array($oils[$oil] ?? null) || ! isset($oils[$oil]['infuse'])) {
            throw WishException::one('wanted_oil', 'unknown', 'That oil is begun already, or is not one of this product any more.');
        }
        $oils[$oil] = ['batch' => $batch->uid] + array_diff_key($oils[$oil], ['infuse' => true]);
        $wanted->wish = ['oils' => $oils] + $wish;
        $this->follow($wanted);
    }

    /** It was begun. In the same transaction. */
    public function begun(string $uid, Making $making): void
    {
        $this->locked($uid)->update(['making_id' => $making->id, 'closed_at' => Carbon::now()]);
    }

    /** After who is at home has changed. */
    public function followAll(): void
    {
        foreach (Wanted::query()->open()->orderBy('make_at')->limit(self::FOLLOWED)->get() as $wanted) {
            $this->follow($wanted);
        }
    }

    /** After a batch has changed that it may be made of. */
    public function followBatch(Batch $batch): void
    {
        foreach (
            Wanted::query()
                ->open()
                ->where('wish', 'like', "%{$batch->uid}%")
                ->orderBy('id')
                ->limit(self::FOLLOWED)
                ->get() as $wanted
        ) {
            $this->follow($wanted);
        }
    }

    /** Plans it anew; what cannot be made any more says why, and keeps the days it had. */
    public function follow(Wanted $wanted): void
    {
        try {
            $plan = $this->planned($wanted->wish);
            $wanted->fill(self::columns($plan));
        } catch (WishException $refused) {
            $wanted->fill(['trouble' => mb_substr($refused->faults[0]['reason'], 0, 40)]);
        }
        if ($wanted->isDirty()) {
            $wanted->fill(['version' => $wanted->version + 1])->save();
        }
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishException
     */
    private function planned(array $wish): ProductPlan
    {
        return (new Melting($this->tables))->plan($wish, $this->houses->of($wish));
    }

    /** @return array<string, mixed> */
    private static function columns(ProductPlan $plan): array
    {
        $startBy = $plan->days?->startBy();

        return [
            'plants' => $plan->plants(),
            'make_at' => $plan->days === null ? Carbon::now() : Carbon::instance($plan->days->makeAt)->utc(),
            'minutes' => (int) ceil($plan->figures['hands_min']->number()),
            'oil_start_by' => $startBy?->format('Y-m-d'),
            'late' => $plan->days->late ?? false,
            'days' => Said::kept($plan->days?->document() ?? []),
            'trouble' => $plan->stop()?->id,
        ];
    }

    /** @throws ModelNotFoundException<Wanted> when it was begun or given up meanwhile */
    private function locked(string $uid): Wanted
    {
        return Wanted::query()->open()->where('uid', $uid)->lockForUpdate()->firstOrFail();
    }
}
