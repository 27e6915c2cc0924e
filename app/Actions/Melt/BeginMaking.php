<?php

namespace App\Actions\Melt;

use App\Actions\Batches\MustBeRead;
use App\Actions\Batches\NewLine;
use App\Actions\NextCode;
use App\House\KitchenFactory;
use App\Models\Making;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Started;
use Kettle\Making\FrozenProduct;
use Kettle\Making\Stage;
use Kettle\Material\Tables;
use Kettle\Melt\MeltException;
use Kettle\Melt\Melting;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductDocument;
use Kettle\Melt\ProductPlan;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;

/** Turns a wish into a product with a code, a plan that stays as it is, and a logbook; takes what it needs of bottles and Stores. */
final readonly class BeginMaking
{
    public function __construct(
        private ProductHouse $houses,
        private KitchenFactory $kitchens,
        private Tables $tables,
        private Planning $planning,
        private NextCode $codes,
        private MakingLogbook $logbook,
        private WantProduct $wanted,
    ) {}

    /**
     * @param  array<mixed>  $wish
     * @param  list<string>  $acknowledged ids of the cautions somebody has read
     * @param  ?string  $wanted id of what was wanted by a day, if it is that
     *
     * @throws WishException
     * @throws \Kettle\Reason\RefusedException when a bottle or a lot was emptied meanwhile
     */
    public function __invoke(array $wish, array $acknowledged = [], ?string $wanted = null): Making
    {
        // Begun, it is made now: it keeps from today on, whatever day it was wanted by.
        unset($wish['ready_by']);
        $house = $this->houses->of($wish);
        $table = MeltTable::of($this->tables);
        $plan = (new Melting($this->tables))->plan($wish, $house);
        foreach ($plan->wish->oils as $i => $oil) {
            if ($oil->part->infused?->isToCome() === true) {
                throw WishException::from(MeltException::notBottled($oil->part->infused->called)->about("oils.{$i}"));
            }
        }
        $read = MustBeRead::of($plan->notes, $acknowledged, $this->kitchens->words());
        $loss = $house->lossShare ?? $table->rules->row('loss')->number('share');
        $record = (new ProductDocument($this->planning, $house->kitchen, $table))->record($plan);
        // Frozen as JSON would read it back, so that what is used now and later is the same.
        $document = json_decode(json_encode(FrozenProduct::keep($plan, $record, $house, $loss), JSON_THROW_ON_ERROR), true);
        assert(is_array($document));

        return DB::transaction(function () use ($wish, $plan, $document, $read, $wanted): Making {
            $making = Making::query()->create([
                'code' => $this->codes->of('made', 'P'),
                'product' => $plan->wish->product->id,
                'wish' => $wish,
                'plan' => $document,
                'plants' => $plan->plants(),
                'stage' => Stage::Planned,
                'begun_at' => Carbon::now(),
                'best_before' => $plan->figures['best_before']->text(),
                'verdicts' => [],
            ]);
            $this->logbook->write($making, fn () => new NewLine(new Started(self::sentence($plan), $read)), strict: true);
            $wanted === null || $this->wanted->begun($wanted, $making);

            return $making;
        });
    }

    private static function sentence(ProductPlan $plan): Said
    {
        return Said::just(['run' => array_column($plan->sentence, 'text')]);
    }
}
