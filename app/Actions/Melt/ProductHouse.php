<?php

namespace App\Actions\Melt;

use App\House\KitchenFactory;
use App\Models\BottleSize;
use App\Models\Making;
use App\Models\Tenancy\CurrentHouse;
use Kettle\Making\LossSeen;
use Kettle\Material\Tables;
use Kettle\Melt\House;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Verdict;
use Kettle\Recipe\Kitchen;

/** The current house as the Melt wants it: its kitchen, its lots of what is wished for, its bottled oils, what its pots have shown. */
final readonly class ProductHouse
{
    /** Products that are learned from, the last first: a house changes its waxes and its hands. */
    private const LEARNED = 60;

    public function __construct(
        private KitchenFactory $kitchens,
        private BottledOils $bottled,
        private BoiledPots $boiled,
        private Tables $tables,
        private CurrentHouse $current,
    ) {}

    /** @param  array<mixed>  $wish */
    public function of(array $wish): House
    {
        $oils = is_array($wish['oils'] ?? null) ? $wish['oils'] : [];
        $named = fn (string $key): array => array_values(
            array_filter(array_map(fn (mixed $oil) => is_array($oil) ? $oil[$key] ?? null : null, $oils), is_string(...)),
        );
        $table = MeltTable::of($this->tables);
        $product = $table->products()[is_string($wish['product'] ?? null) ? $wish['product'] : 'salve'] ?? null;
        $carriers = [...array_values(array_filter($oils, is_string(...))), ...$named('id'), ...array_filter([$product?->carrier])];
        $made = Making::query()
            ->where('taught', true)
            ->orderByDesc('id')
            ->limit(self::LEARNED)
            ->get(['id', 'house_id', 'loss', 'verdicts'])
            ->reverse();
        $losses = array_values(
            array_map(fn (Making $each) => (float) $each->loss, $made->filter(fn (Making $each) => $each->loss !== null)->all()),
        );
        $verdicts = $made->flatMap(
            fn (Making $each) => array_map(
                fn (array $one) => new Verdict((float) $one['firmness'], $one['is'], $one['by'], $one['room_c']),
                $each->verdicts,
            ),
        );

        $rate = $this->current->house()->hour_rate;

        return new House(
            $this->kitchens->forProduct($carriers),
            $this->bottled->named($named('batch')),
            array_values($verdicts->all()),
            $losses === [] ? null : LossSeen::of($table->rules->row('loss')->number('share'), $losses)->mean,
            $rate === null ? null : (float) $rate,
            self::bottles(),
            $this->bench($oils),
            $this->boiled->named(self::boils($wish)),
        );
    }

    /**
     * Where an oil that is not begun yet would be infused: with what Stores has for it, and the house's jars.
     *
     * @param  array<mixed>  $oils
     */
    private function bench(array $oils): ?Kitchen
    {
        $infuse = array_values(
            array_filter(array_map(fn (mixed $oil) => is_array($oil) ? $oil['infuse'] ?? null : null, $oils), is_array(...)),
        );
        $all = fn (string $key): array => array_merge(
            ...array_map(fn (array $wish): array => is_array($wish[$key] ?? null) ? array_values($wish[$key]) : [], $infuse),
        );

        return $infuse === [] ? null : $this->kitchens->forWish(['herbs' => $all('herbs'), 'oils' => $all('oils')]);
    }

    /**
     * Only what Stores has, to take of it.
     *
     * @param  list<string>  $carriers
     */
    public function cupboard(array $carriers = []): House
    {
        return new House($this->kitchens->forProduct($carriers), bottleMl: self::bottles());
    }

    /**
     * Of what else goes in, what was boiled here.
     *
     * @param  array<mixed>  $wish
     * @return list<string> ids
     */
    private static function boils(array $wish): array
    {
        $parts = [...is_array($wish['others'] ?? null) ? array_values($wish['others']) : [], $wish['water'] ?? null];

        return array_values(
            array_filter(array_map(fn (mixed $part) => is_array($part) ? $part['boil'] ?? null : null, $parts), is_string(...)),
        );
    }

    /** @return array<string, float> mL by id */
    private static function bottles(): array
    {
        $sizes = [];
        foreach (BottleSize::query()->withTrashed()->get() as $size) {
            $sizes[$size->uid] = (float) $size->capacity_ml;
        }

        return $sizes;
    }
}
