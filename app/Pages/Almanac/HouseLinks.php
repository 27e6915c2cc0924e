<?php

namespace App\Pages\Almanac;

use App\Models\Batch;
use App\Models\BatchMaterial;
use App\Models\Lot;
use App\Pages\Batch\BatchPresenter;
use App\Pages\Stores\StoresPresenter;
use App\Responses\Almanac\AlmanacLink;
use Illuminate\Database\Eloquent\Builder;
use Kettle\Stores\LotKind;

/** What the house itself has of a thing in the Almanac: what it made, what it keeps, what it learned. */
final readonly class HouseLinks
{
    /** Batches and lots shown with a thing. */
    private const MOST = 8;

    public function __construct(private BatchPresenter $batches, private StoresPresenter $stores, private YieldPresenter $yields) {}

    /**
     * @param  \Closure(Builder<Batch>): Builder<Batch>  $which
     * @return list<AlmanacLink>
     */
    public function made(\Closure $which): array
    {
        return array_values(
            $which(Batch::query()->select(BatchPresenter::COLUMNS))
                ->orderByDesc('id')
                ->limit(self::MOST)
                ->get()
                ->map(
                    fn (Batch $batch) => new AlmanacLink(
                        $batch->code.' '.$batch->name.', '.$this->batches->stage($batch),
                        'batch/'.$batch->uid,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<AlmanacLink> */
    public function kept(LotKind $kind, string $material): array
    {
        return array_values(
            Lot::query()
                ->where('kind', $kind)
                ->where('material', $material)
                ->where('holds', true)
                ->orderBy('got_on')
                ->limit(self::MOST)
                ->get()
                ->map(
                    fn (Lot $lot) => new AlmanacLink(
                        'In Stores: '.$lot->called.', '.$this->stores->amount($lot, (float) $lot->left),
                        'stores/'.$lot->uid,
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  string  $kind herb or oil
     * @return list<AlmanacLink> the last batches of it
     */
    public function madeOf(string $kind, string $material): array
    {
        $of = BatchMaterial::query()->where('kind', $kind)->where('material', $material)->orderByDesc('batch_id')->limit(self::MOST);

        return $this->made(fn (Builder $batches) => $batches->whereKey($of->pluck('batch_id')));
    }

    /** @return list<AlmanacLink> what was learned of its form */
    public function learned(string $form): array
    {
        return array_map(
            fn ($line) => new AlmanacLink($line->says, 'almanac/yields?form='.rawurlencode($line->form).'&way='.$line->way),
            $this->yields->lines($form),
        );
    }
}
