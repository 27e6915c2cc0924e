<?php

namespace App\Pages\Press;

use App\Devices\SimulatedScale;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Making;
use App\Models\Tenancy\CurrentHouse;
use App\Responses\Press\ScaleView;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Kettle\Infusion\Uptake;
use Kettle\Making\MakingException;
use Kettle\Material\Cupboard;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/**
 * The simulated scale of a house: what stands on it, and what it shows. What a batch weighs is made up
 * about what is expected of it, the same each time for the same batch.
 */
final readonly class ScalePresenter
{
    private const JUG_G = 412.0;

    private const KEPT_S = 3600;

    public function __construct(
        private CurrentHouse $current,
        private SimulatedScale $scale,
        private Cupboard $cupboard,
        private KitchenFactory $kitchens,
    ) {}

    public function look(): ScaleView
    {
        return $this->view($this->state());
    }

    /** @param  string  $do jug, oil, spent, tare or off */
    public function do(string $do, ?Batch $batch): ScaleView
    {
        $state = $this->state();
        $state = match ($do) {
            'jug' => ['load' => self::JUG_G, 'tare' => 0.0, 'on' => 'the empty jug'] + $state,
            'oil' => ['load' => self::JUG_G + $this->oilG($batch), 'on' => 'the jug, with oil in it'] + $state,
            'spent' => ['load' => $this->spentG($batch), 'tare' => 0.0, 'on' => 'the spent herb'] + $state,
            'tare' => ['tare' => $state['load']] + $state,
            default => ['load' => 0.0, 'tare' => 0.0, 'on' => ''] + $state,
        };

        return $this->put($state);
    }

    /**
     * A part of a product poured into what stands there already: about as much as it asks for, as a hand pours it.
     *
     * @throws MakingException when nothing of that name goes into it
     */
    public function part(Making $making, string $id): ScaleView
    {
        $part = $making->plan->pot->part($id) ?? throw MakingException::part($id);
        $state = $this->state();
        $hand = 1 + ((crc32($making->uid.$id) % 41) - 20) / 1000;

        return $this->put(
            [
                'load' => max($state['load'], self::JUG_G) + $part->grams * $hand,
                'on' => 'the jug, with '.$this->kitchens->words()->thing($part->said).' in it',
            ] + $state,
        );
    }

    /** @param  array{load: float, tare: float, at: float|int, on: string}  $state */
    private function put(array $state): ScaleView
    {
        $state['at'] = Carbon::now()->getPreciseTimestamp(3);
        Cache::put($this->key(), $state, self::KEPT_S);

        return $this->view($state);
    }

    /** @param  array{load: float, tare: float, at: float|int, on: string}  $state */
    private function view(array $state): ScaleView
    {
        $reads = $this->scale->reads(
            $state['load'],
            $state['tare'],
            (Carbon::now()->getPreciseTimestamp(3) - $state['at']) / 1000,
            (int) $state['load'],
        );
        $nothing = $state['on'] === '';

        return new ScaleView(
            $nothing || $reads['over'] ? null : $reads['grams'],
            $reads['over'] ? 'too heavy' : ($nothing ? '0 g' : AmountWriter::plain($reads['grams'], Kind::Mass)),
            $reads['stable'],
            $reads['over'],
            $state['on'],
        );
    }

    /** @return array{load: float, tare: float, at: float|int, on: string} */
    private function state(): array
    {
        /** @var array{load: float, tare: float, at: float|int, on: string} */
        return Cache::get($this->key(), ['load' => 0.0, 'tare' => 0.0, 'at' => 0, 'on' => '']);
    }

    private function oilG(?Batch $batch): float
    {
        return $batch === null ? 250.0 : $batch->plan->density($this->cupboard)->massOf(max(1.0, $this->outMl($batch)));
    }

    private function spentG(?Batch $batch): float
    {
        return $batch === null
            ? 90.0
            : $batch->plan->dryG() +
                    $batch->plan
                        ->density($this->cupboard)
                        ->massOf(max(0.0, $batch->plan->figure('oil_volume') - $this->outMl($batch)) * 0.95);
    }

    /** Within the range expected, by the batch's own code. */
    private function outMl(Batch $batch): float
    {
        $expected = $batch->plan->expected();
        $spread = ($expected['high'] - $expected['low']) / (2 * Uptake::NINE_IN_TEN);

        return max(1.0, $expected['value'] + $spread * ((crc32($batch->uid) % 2001) / 1000 - 1));
    }

    private function key(): string
    {
        return 'scale.'.$this->current->house()->id;
    }
}
