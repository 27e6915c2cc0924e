<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\BatchYield;
use App\Models\YieldSum;
use App\Responses\Almanac\YieldLine;
use App\Responses\Almanac\YieldStep;
use App\Responses\Almanac\YieldView;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\UptakeSeen;
use Kettle\Infusion\UptakeSpread;
use Kettle\Infusion\YieldHistory;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Recipe\Planning;

/** What the house has learned of the oil its herbs keep. */
final readonly class YieldPresenter
{
    /** The last batches of a form that a batch is set against. */
    private const OF = 200;

    public function __construct(private Tables $tables, private KitchenFactory $kitchens, private Planning $planning) {}

    /**
     * @param  ?string  $form one form, dried and wet; null for all
     * @return list<YieldLine> every form and way there are batches of
     */
    public function lines(?string $form = null): array
    {
        return array_values(
            YieldSum::query()
                ->when($form !== null, fn ($query) => $query->whereIn('form', [$form, $form.', wet']))
                ->orderBy('form')
                ->orderBy('way')
                ->get()
                ->map(
                    fn (YieldSum $sum) => $this->line($sum->form, $sum->way, UptakeSeen::sums($sum->batches, $sum->weight, $sum->weighted)),
                )
                ->all(),
        );
    }

    /** How one figure narrowed; of very many batches the last are drawn, from what all together say. */
    public function view(string $form, string $way): YieldView
    {
        // The last are drawn; those before them are two sums, however many they were.
        $rows = BatchYield::query()
            ->where('form', $form)
            ->where('way', $way)
            ->orderByDesc('strained_at')
            ->orderByDesc('id')
            ->limit(YieldHistory::SHOWN)
            ->with('batch:id,house_id,uid,code')
            ->get()
            ->reverse()
            ->values();
        $all = $this->kitchens->seen($form, $way);
        $history = (new YieldHistory($this->tables))->of(
            $way,
            array_values(
                $rows
                    ->map(
                        fn (BatchYield $row) => [
                            'id' => (string) $row->id,
                            'oil_ml' => (float) $row->oil_ml,
                            'out_ml' => (float) $row->out_ml,
                            'dry_g' => (float) $row->dry_g,
                        ],
                    )
                    ->all(),
            ),
            $all->less(self::seen($rows->all())),
        );
        $batches = $rows->keyBy('id');

        return new YieldView(
            $this->line($form, $way, $all),
            array_map(
                fn (array $step) => new YieldStep(
                    $batches[(int) $step['id']]->batch->uid ?? '',
                    $batches[(int) $step['id']]->batch->code ?? '',
                    $step['uptake'],
                    round($step['mean'], 3),
                    round($step['low'], 3),
                    round($step['high'], 3),
                    $step['odd'],
                ),
                $history['steps'],
            ),
        );
    }

    /** Whether a batch is odd beside the house's others of its form and way. */
    public function isOdd(Batch $batch): bool
    {
        $mine = BatchYield::query()->where('batch_id', $batch->id)->first();
        if ($mine === null) {
            return false;
        }
        $prior = Uptake::by($mine->way, $this->tables)->mlPerGram;
        $spread = UptakeSpread::of($this->tables);
        $all = BatchYield::query()
            ->where('form', $mine->form)
            ->where('way', $mine->way)
            ->orderByDesc('id')
            ->limit(self::OF)
            ->get(['id', 'house_id', 'uptake'])
            ->map(fn (BatchYield $each) => $each->uptake)
            ->all();

        return $spread->isOdd($spread->apart($mine->uptake, $mine->variance, $spread->middle(array_values($all), $prior)));
    }

    /** @param  array<BatchYield>  $rows */
    private static function seen(array $rows): UptakeSeen
    {
        return array_reduce($rows, fn (UptakeSeen $seen, BatchYield $row) => $seen->with($row->uptake, $row->variance), UptakeSeen::none());
    }

    private function line(string $form, string $way, UptakeSeen $seen): YieldLine
    {
        $prior = Uptake::by($way, $this->tables);
        $now = $prior->after($seen, UptakeSpread::of($this->tables));
        $name = self::formName($form, $this->planning->cupboard());

        return new YieldLine(
            $form,
            $name,
            $way,
            $seen->batches,
            round($now->mlPerGram, 3),
            round($now->nineInTen()['low'], 3),
            round($now->nineInTen()['high'], 3),
            $prior->mlPerGram,
            round($prior->nineInTen()['low'], 3),
            round($prior->nineInTen()['high'], 3),
            $seen->batches === 0
                ? sprintf('%s, %s: no batch of it yet. The usual is %.1f mL left in each gram.', ucfirst($name), $way, $prior->mlPerGram)
                : sprintf(
                    '%s, %s: %.2f mL stays in each gram here, by %s; the usual is %.1f.',
                    ucfirst($name),
                    $way,
                    $now->mlPerGram,
                    $seen->batches === 1 ? 'one batch' : $seen->batches.' batches',
                    $prior->mlPerGram,
                ),
        );
    }

    public static function formName(string $key, Cupboard $cupboard): string
    {
        $wet = str_ends_with($key, ', wet');
        $form = $cupboard->forms()[$wet ? substr($key, 0, -5) : $key] ?? null;

        return $form === null ? $key : ($wet ? $form->plain.', wilted or fresh' : $form->name);
    }
}
