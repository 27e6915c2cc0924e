<?php

namespace App\Actions\Stores;

use App\Actions\Batches\BatchProjector;
use App\Actions\Clash;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\Jar;
use App\Models\Lot;
use App\Models\LotMove;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Diary\Stage;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Planning;
use Kettle\Stores\Counting;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;
use Kettle\Stores\Stock;

/** Takes a lot into Stores as somebody wrote it, changes what is known of it, and counts what is left. */
final readonly class SaveLot
{
    public function __construct(
        private Planning $planning,
        private KitchenFactory $kitchens,
        private StockLedger $ledger,
        private BatchProjector $fold,
    ) {}

    public function reader(): LotReader
    {
        $kitchen = $this->kitchens->plain();
        /** @var array<string, string> $sizes */
        $sizes = [...Jar::query()->pluck('called', 'uid')->all(), ...BottleSize::query()->pluck('called', 'uid')->all()];

        return new LotReader($this->planning->cupboard(), $kitchen->reader(), $kitchen->today(), $sizes, $kitchen->otherMoneyIn(...));
    }

    /**
     * @param  array<mixed>  $fields
     *
     * @throws LotsException
     */
    public function add(array $fields, ?LotReader $reader = null): Lot
    {
        $read = ($reader ?? $this->reader())->read($fields);

        return DB::transaction(fn () => $this->put($read));
    }

    /**
     * All of them or none.
     *
     * @param  list<array<mixed>>  $many
     * @return list<Lot>
     *
     * @throws LotsException with the faults of every one, each under its place: "1.amount"
     */
    public function addMany(array $many): array
    {
        $reader = $this->reader();
        $read = $faults = [];
        foreach ($many as $at => $fields) {
            try {
                $read[] = $reader->read($fields);
            } catch (LotsException $refused) {
                foreach ($refused->faults as $fault) {
                    $faults[] = ['field' => "lots.{$at}.".$fault['field']] + $fault;
                }
            }
        }
        if ($faults !== []) {
            throw LotsException::of($faults);
        }

        return DB::transaction(fn () => array_map($this->put(...), $read));
    }

    /**
     * What is known of a lot, but for how much is left: that is counted. The amount, where it differs, is
     * what was got, and corrects the beginning.
     *
     * @param  array<mixed>  $fields
     *
     * @throws LotsException
     * @throws Clash when somebody changed it meanwhile
     */
    public function edit(Lot $lot, array $fields, ?int $version, ?LotReader $reader = null): Lot
    {
        $read = ($reader ?? $this->reader())->read($fields, $lot->uid);
        if ($read['lot']->kind !== $lot->kind) {
            throw LotsException::of([
                (new LotException('unknown', 'A lot stays what it is. Take this one out, and enter the other.', 'kind'))->toArray(),
            ]);
        }

        return DB::transaction(function () use ($lot, $read, $version): Lot {
            $locked = Lot::query()->whereKey($lot->id)->lockForUpdate()->firstOrFail();
            if ($version !== null && $locked->version !== $version) {
                throw new Clash('Somebody changed this lot meanwhile. What stands now is shown; enter yours again where it differs.', [
                    'version' => $locked->version,
                ]);
            }
            $more = $read['lot']->stock->got - (float) $locked->got;
            $locked->fill([...$this->columns($read), 'got' => $read['lot']->stock->got, 'typed' => $read['typed']]);
            $aged = $locked->isDirty(['opened_on', 'best_before']);
            abs($more) > 0.0005 ? $this->ledger->move($locked, 'righted', $more) : $this->ledger->total($locked);
            $aged && $this->refoldBatchesOf($locked);

            return $locked;
        });
    }

    /** What was made from it keeps as long as it does: their best-before is reckoned anew. */
    private function refoldBatchesOf(Lot $lot): void
    {
        $made = Batch::query()
            ->where('stage', '!=', Stage::Discarded)
            ->whereIn('id', LotMove::query()->where('lot_id', $lot->id)->whereNotNull('batch_id')->select('batch_id'));
        $made->lockForUpdate()->get()->each(fn (Batch $batch) => $this->fold->refresh($batch));
    }

    /** @throws LotException|\Kettle\Measure\AmountException */
    public function count(Lot $lot, string $typed, string $note): Lot
    {
        $stock = new Stock((float) $lot->got, (float) $lot->left);
        $left = RefusedException::at('amount', fn () => $this->counted($lot->kind, $lot->material, $lot->form, $stock, $typed));

        return $this->setLeft($lot, $left, 'count', $note);
    }

    /**
     * @param  float  $left in the lot's own unit
     * @param  'count'|'filed'  $kind counted by somebody, or as a file says
     */
    public function setLeft(Lot $lot, float $left, string $kind, string $note = ''): Lot
    {
        return DB::transaction(function () use ($lot, $left, $kind, $note): Lot {
            $locked = Lot::query()->whereKey($lot->id)->lockForUpdate()->firstOrFail();
            $this->ledger->move($locked, $kind, $left - (float) $locked->left, note: $note);

            return $locked;
        });
    }

    /**
     * What is left of a lot, as somebody counted it; in its own unit.
     *
     * @param  Stock  $stock what came in, and what there should be
     *
     * @throws LotException|\Kettle\Measure\AmountException
     */
    public function counted(LotKind $kind, string $material, ?string $form, Stock $stock, string $typed): float
    {
        $cupboard = $this->planning->cupboard();
        $density = match ($kind) {
            LotKind::Carrier => $cupboard->carrier($material)->at20,
            LotKind::Scent => $cupboard->scentOrNull($material)?->density,
            default => $form === null ? null : $cupboard->form($form)->bulk->loose,
        };

        return (new Counting($this->kitchens->plain()->reader(), $kind->measure(), $density, $stock))->read($typed);
    }

    /**
     * @param  array{lot: \Kettle\Stores\Lot, part: string, how: string, where: string, note: string, typed: string}  $read
     */
    private function put(array $read): Lot
    {
        $lot = new Lot([
            ...$this->columns($read),
            'uid' => Str::ulid()->toString(),
            'got' => $read['lot']->stock->got,
            'left' => 0,
            'typed' => $read['typed'],
        ]);
        $lot->version = 0;
        $lot->save();
        $this->ledger->move($lot, 'in', $read['lot']->stock->got);

        return $lot;
    }

    /**
     * @param  array{lot: \Kettle\Stores\Lot, part: string, how: string, where: string, note: string, typed: string}  $read
     * @return array<string, mixed>
     */
    private function columns(array $read): array
    {
        $lot = $read['lot'];

        return [
            'kind' => $lot->kind,
            'material' => $lot->material,
            'called' => $lot->called,
            'part' => $read['part'],
            'form' => $lot->form,
            'state' => $lot->state,
            'low_at' => $lot->stock->lowAt,
            'price' => $lot->stock->price,
            'got_how' => $read['how'],
            'got_where' => $read['where'],
            'got_on' => $lot->dates->gotOn?->format('Y-m-d'),
            'opened_on' => $lot->dates->openedOn?->format('Y-m-d'),
            'best_before' => $lot->dates->bestBefore?->format('Y-m-d'),
            'food_grade' => $lot->origin->foodGrade,
            'allergens' => $lot->origin->allergens,
            'note' => $read['note'],
        ];
    }
}
