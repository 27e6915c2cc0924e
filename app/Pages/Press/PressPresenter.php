<?php

namespace App\Pages\Press;

use App\Actions\Batches\BatchCautions;
use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\Lot;
use App\Pages\Almanac\YieldPresenter;
use App\Responses\Choice;
use App\Responses\Press\AnswerChoice;
use App\Responses\Press\AskView;
use App\Responses\Press\DoneSign;
use App\Responses\Press\FillingView;
use App\Responses\Press\FillLine;
use App\Responses\Press\FillOffer;
use App\Responses\Press\FillSize;
use App\Responses\Press\PressView;
use App\Responses\Press\StorageView;
use App\Responses\Press\StrainStep;
use Kettle\Ask\Questions;
use Kettle\Batch\Line\Look;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Straining;
use Kettle\Diary\Stage;
use Kettle\Diary\Timetable;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\Planning;
use Kettle\Stores\LotCheck;
use Kettle\Stores\LotKind;
use Kettle\Vessel\BestFilling;

/** A batch at the press, in a cook's words. */
final readonly class PressPresenter
{
    public function __construct(
        private Records $records,
        private KitchenFactory $kitchens,
        private Planning $planning,
        private Questions $questions,
        private YieldPresenter $yields,
        private BatchCautions $batchCautions,
        private Times $times,
    ) {}

    public function of(Batch $batch): PressView
    {
        $record = $this->records->of($batch);
        $strained = $record->log->last(Strained::class);
        $expected = $record->expected();
        $ml = $batch->strained_ml === null ? null : (float) $batch->strained_ml;
        $settledAt = $record->routine()->settles ? $batch->strained_at?->copy()->addHours(Timetable::SETTLE_HOURS) : null;
        $straining = $this->straining($batch);
        $planned = $batch->plan->way;
        $way = $strained->way ?? $straining->way($planned);
        $plain = fn (float $of): string => AmountWriter::plain($of, Kind::Volume);
        $lost = $ml === null ? 0.0 : $ml - $batch->toBottleMl();

        return new PressView(
            expected: $plain($expected['value']),
            expected_range: $plain($expected['low']).' to '.$plain($expected['high']),
            low_ml: $expected['low'],
            expected_ml: $expected['value'],
            high_ml: $expected['high'],
            oil_in_ml: $record->oilInMl(),
            strained_ml: $ml,
            strained: $ml === null ? null : $plain($ml),
            typed: $strained?->typed,
            verdict: $strained?->verdict,
            says: $strained === null ? null : $this->kitchens->words()->of($strained->says),
            way: $way,
            filter: $straining->filter($way),
            steps: array_map(fn (array $step) => new StrainStep($step['id'], $step['says'], $step['why']), $straining->steps($way)),
            signs: $batch->stage === Stage::Steeping ? $this->signs($batch, $straining) : [],
            filters: self::choices(Straining::FILTERS),
            spent_choices: self::choices(Straining::SPENT),
            spent_text: $this->spent($batch, $strained),
            asks_warmth: $batch->stage === Stage::Steeping && $this->records->lacksWarmth($batch)
                ? 'Nobody wrote down its warmth. Had it what was planned?'
                : null,
            odd: $ml !== null && $this->yields->isOdd($batch),
            form: $batch->plan->uptakeKey(),
            settled_at: $settledAt === null ? null : $this->times->due($settledAt),
            settled: $settledAt !== null && $settledAt->isPast(),
            to_bottle: $ml === null ? null : $plain($batch->toBottleMl()),
            poured_lost: $lost > 0.05 ? $plain($lost) : null,
            sizes: in_array($batch->stage, [Stage::Settling, Stage::Poured], true) ? $this->sizes() : [],
            left: $batch->left_ml === null ? null : $plain((float) $batch->left_ml),
            asks: $batch->stage === Stage::Bottled
                ? array_map(
                    fn (array $ask) => new AskView(
                        $ask['id'],
                        $ask['asks'],
                        array_map(fn (array $answer) => new AnswerChoice($answer['id'], $answer['says']), $ask['answers']),
                    ),
                    LotCheck::asks(LotCheck::BOTTLED, $this->planning->tables()),
                )
                : [],
        );
    }

    public function kept(Batch $batch): StorageView
    {
        $as = $batch->storedAs();
        $table = $this->planning->tables()->table('keeping');
        $rows = fn (string $list): array => array_map(
            fn ($row) => new Choice($row->text('id'), $row->text('name')),
            array_values($table->rows($list)),
        );
        $figure = $this->planning->figure($this->records->keeping($batch, $as)->figure(), $this->kitchens->plain());

        return new StorageView(
            $as->place,
            $as->glass,
            $as->antioxidant,
            $as->where,
            $figure,
            $batch->use_by === null ? null : $this->times->logged($batch->use_by),
            $rows('places'),
            $rows('glass'),
            $rows('antioxidants'),
        );
    }

    /**
     * @param  list<array{size: string, count: int}>  $fixed
     * @param  bool  $fromStores whether no more are filled than Stores has, of the sizes that are counted there
     */
    public function filling(Batch $batch, array $fixed, bool $fromStores, ?string $vitaminE): FillingView
    {
        $fixedBySize = array_column($fixed, 'count', 'size');
        $sizes = $this->sizes();
        // The most that are weighed against each other: those that are wished for, then those that are there.
        usort(
            $sizes,
            fn (FillSize $a, FillSize $b) => [$fixedBySize[$b->size] ?? 0, $b->stock ?? 1, $b->capacity_ml] <=> [
                $fixedBySize[$a->size] ?? 0,
                $a->stock ?? 1,
                $a->capacity_ml,
            ],
        );
        $sizes = array_slice($sizes, 0, BestFilling::MOST_SIZES);
        $kitchen = $this->kitchens->plain();
        $answer = $this->questions->press($kitchen)->bottle([
            'oil_ml' => $batch->toBottleMl(),
            'g_per_ml' => $batch->plan->density($this->planning->cupboard())->gramsPerMl,
            'vitamin_e' => $vitaminE,
            'sizes' => array_map(
                fn (FillSize $size) => [
                    'id' => $size->size,
                    'capacity_ml' => $size->capacity_ml,
                    'fixed' => $fixedBySize[$size->size] ?? 0,
                    'stock' => $fromStores && $size->stock !== null ? max($size->stock, $fixedBySize[$size->size] ?? 0) : null,
                ],
                $sizes,
            ),
        ]);
        $called = array_column(array_map(fn (FillSize $size) => ['id' => $size->size, 'called' => $size->called], $sizes), 'called', 'id');
        $offers = array_map(function (array $offer) use ($called): FillOffer {
            $lines = array_map(
                fn (array $line) => new FillLine($line['id'], $called[$line['id']], $line['capacity_ml'], $line['count']),
                $offer['bottles'],
            );

            return new FillOffer(
                $offer['id'],
                implode(', ', array_map(fn (FillLine $line) => $line->count.' × '.$line->called, $lines)),
                $lines,
                AmountWriter::plain($offer['left_ml'], Kind::Volume),
            );
        }, $answer['offers']);
        $months = $this->records->keeping($batch, $batch->storedAs())->months;

        return new FillingView(
            $offers,
            $answer['vitamin_e'],
            $answer['rosemary'],
            $months > $this->planning->tables()->table('keeping')->row('vitamin_e')->row('when_months')->number('value'),
        );
    }

    private function straining(Batch $batch): Straining
    {
        $facts = $this->batchCautions->facts($batch);
        $room = $this->kitchens->plain()->roomC;
        $hard = array_filter(
            $batch->plan->blend($this->planning->cupboard())->shares(),
            fn (array $oil) => $oil['carrier']->setsBelowC > $room,
        );

        return new Straining(
            $batch->plan->hasPowder($this->planning->cupboard()),
            $facts->has('state:wet'),
            $facts->has('heated'),
            $hard !== [],
            $facts->has('trait:staining') || $facts->has('trait:burning'),
            $batch->plan->storage,
            $batch->purpose === 'kitchen',
            $this->records->of($batch)->routine()->settles,
            $batch->plan->isStrainedTwice(),
        );
    }

    /** @return list<DoneSign> */
    private function signs(Batch $batch, Straining $straining): array
    {
        $progress = $this->records->progress($batch);
        $hours = $batch->plan->method->hours;
        $looks = $this->records->log($batch)->all(Look::class);

        return array_map(function (array $sign) use ($batch, $progress, $hours, $looks): DoneSign {
            [$known, $evidence] = match ($sign['id']) {
                'time' => $this->time($batch, $progress->warmed->hours(), $hours),
                'colour' => [
                    null,
                    $looks === []
                        ? 'nobody has written down a look'
                        : count($looks).(count($looks) === 1 ? ' look' : ' looks').' at it; see the curve on its page',
                ],
                default => [null, ''],
            };

            return new DoneSign($sign['id'], $sign['says'], $known, $evidence);
        }, $straining->signs());
    }

    /** @return array{bool, string} */
    private function time(Batch $batch, float $had, float $hours): array
    {
        if ($batch->shelf->heated) {
            return [$had >= $hours - 0.05, AmountWriter::clockSpan($had).' of '.AmountWriter::span($hours).' had'];
        }
        $late = $this->records->lateness($batch);

        return [$late->isStrainDay(), sprintf('day %d of %d', $late->daysOnHerb(), (int) round($hours / 24))];
    }

    private function spent(Batch $batch, ?Strained $strained): ?string
    {
        $g = $strained?->spentG;
        $to = $strained?->spentTo;
        $words = [];
        if ($g !== null) {
            // What it weighs more than the dry herb did is oil, about: some water may have gone into the oil or away.
            $oil = max(0.0, $g - $batch->plan->dryG()) / $batch->plan->density($this->planning->cupboard())->gramsPerMl;
            $words[] = sprintf(
                'The spent herb weighs %s, so about %s of oil is in it.',
                AmountWriter::plain($g, Kind::Mass),
                AmountWriter::plain($oil, Kind::Volume),
            );
        }
        if ($to !== null && isset(Straining::SPENT[$to])) {
            $words[] = 'It went '.Straining::SPENT[$to].'.';
        }

        return $words === [] ? null : implode(' ', $words);
    }

    /** @return list<FillSize> of the house, smallest first */
    private function sizes(): array
    {
        $stock = Lot::query()
            ->where('kind', LotKind::Bottle)
            ->where('material', '!=', '')
            ->groupBy('material')
            ->selectRaw('material, SUM(`left`) AS there')
            ->pluck('there', 'material');

        return array_values(
            BottleSize::query()
                ->orderBy('capacity_ml')
                ->get()
                ->map(
                    fn (BottleSize $size) => new FillSize(
                        $size->uid,
                        $size->called,
                        (float) $size->capacity_ml,
                        is_numeric($there = $stock[$size->uid] ?? null) ? (int) $there : null,
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  array<string, string>  $of
     * @return list<Choice>
     */
    private static function choices(array $of): array
    {
        return array_map(fn (string $id, string $name) => new Choice($id, $name), array_keys($of), array_values($of));
    }
}
