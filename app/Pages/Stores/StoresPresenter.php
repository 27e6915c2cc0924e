<?php

namespace App\Pages\Stores;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\LotCheck;
use App\Models\LotMove;
use App\Models\Making;
use App\Responses\Press\AnswerChoice;
use App\Responses\Press\AskView;
use App\Responses\Stores\CheckView;
use App\Responses\Stores\LotDetail;
use App\Responses\Stores\LotView;
use App\Responses\Stores\MoveView;
use App\Responses\Stores\StoreTask;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Planning;
use Kettle\Stores\Condition;
use Kettle\Stores\LotCheck as CoreCheck;
use Kettle\Stores\LotKind;

/** Lots in a cook's words. */
final readonly class StoresPresenter
{
    /** Moves and checks on a lot's page. */
    private const HISTORY = 60;

    /** Lines about Stores on Today. */
    private const TASKS = 6;

    public function __construct(private KitchenFactory $kitchens, private Planning $planning, private Times $times) {}

    public function view(Lot $lot): LotView
    {
        $kitchen = $this->kitchens->plain();
        $core = $lot->core($kitchen->now->getTimezone());
        $condition = Condition::of($core, $kitchen->today(), $this->planning->cupboard());

        return new LotView(
            id: $lot->uid,
            kind: $lot->kind->value,
            material: $lot->material,
            called: $lot->called,
            what: $this->what($lot),
            form: $lot->form,
            state: $lot->state?->value,
            left_text: $this->amount($lot, (float) $lot->left),
            got_text: $this->amount($lot, (float) $lot->got),
            unit: $lot->kind->measure()->value ?? '',
            low: $lot->is_low,
            low_text: $lot->low_at === null ? null : $this->amount($lot, (float) $lot->low_at),
            price_text: $lot->price === null ? null : $kitchen->money((float) $lot->price),
            got: $this->got($lot),
            got_on: $lot->got_on?->format('Y-m-d'),
            opened_on: $lot->opened_on === null ? null : $this->times->date($lot->opened_on),
            best_before: $lot->best_before === null ? null : $this->times->date($lot->best_before),
            food_grade: $lot->food_grade,
            allergens: $lot->allergens,
            condition: $condition->is,
            why: array_map($this->kitchens->words()->of(...), $condition->reasons),
            left: (float) $lot->left,
            share_left: (float) $lot->got > 0 ? max(0.0, min(1.0, round((float) $lot->left / (float) $lot->got, 3))) : 0.0,
            version: $lot->version,
        );
    }

    public function detail(Lot $lot): LotDetail
    {
        $moves = $lot
            ->moves()
            ->with(['batch' => fn ($query) => $query->select(['id', 'house_id', 'uid', 'code', 'herbs', 'oils'])])
            ->orderByDesc('id')
            ->limit(self::HISTORY)
            ->get();
        $checks = $lot->checks()->orderByDesc('id')->limit(self::HISTORY)->get();

        return new LotDetail(
            $this->view($lot),
            $this->fields($lot),
            array_values($moves->map(fn (LotMove $move) => $this->move($lot, $move))->all()),
            array_values(
                $checks
                    ->map(
                        fn (LotCheck $check) => new CheckView(
                            $check->verdict,
                            $this->kitchens->words()->of($check->says),
                            $this->times->logged($check->happened_at),
                            $check->by,
                        ),
                    )
                    ->all(),
            ),
            array_map(
                fn (array $ask) => new AskView(
                    $ask['id'],
                    $ask['asks'],
                    array_map(fn (array $answer) => new AnswerChoice($answer['id'], $answer['says']), $ask['answers']),
                ),
                CoreCheck::asks($lot->kind, $this->planning->tables()),
            ),
        );
    }

    /**
     * What in Stores wants seeing to: past, ageing, and materials of which little is left in all.
     *
     * @return array{list<StoreTask>, bool} the weightiest, and whether there are more
     */
    public function tasks(): array
    {
        $kitchen = $this->kitchens->plain();
        $wanting = $this->wanting($kitchen->today());
        // A lot that is old and nearly empty is there for each.
        $isLow = fn (Lot $lot): bool => $lot->getAttribute('why') === 'low';
        $aged = $wanting
            ->reject($isLow)
            ->sortBy(fn (Lot $lot) => [$lot->ages_on === null, $lot->ages_on, $lot->id])
            ->take(self::TASKS + 1);
        $tasks = [];
        foreach ($aged as $lot) {
            $condition = Condition::of($lot->core($kitchen->now->getTimezone()), $kitchen->today(), $this->planning->cupboard());
            if ($condition->is !== Condition::SOUND) {
                $tasks[] = new StoreTask($lot->uid, $lot->called, $condition->is, $this->kitchens->words()->of($condition->reasons[0]));
            }
        }
        foreach ($wanting->filter($isLow) as $lot) {
            $tasks[] = new StoreTask(
                $lot->uid,
                $lot->called,
                'low',
                (float) $lot->left > 0 ? 'Only '.$this->amount($lot, (float) $lot->left).' left.' : 'None left.',
            );
        }

        return [array_slice($tasks, 0, self::TASKS), count($tasks) > self::TASKS];
    }

    /**
     * Asked in one, each part by an index that has it in order: past by its day, by its check, and nearly empty.
     *
     * @return Collection<int, Lot>
     */
    private function wanting(\DateTimeImmutable $today): Collection
    {
        $first = fn (string $why) => Lot::query()
            ->select('lots.*')
            ->selectRaw('? AS why', [$why])
            ->limit(self::TASKS + 1);
        $failed = ['past', 'soon'];
        $aged = $first('aged')
            ->forceIndex('lots_ageing')
            ->where('holds', true)
            ->where('ages_on', '<=', $today->format('Y-m-d'))
            ->where(fn (Builder $check) => $check->whereNull('verdict')->orWhereNotIn('verdict', $failed))
            ->orderBy('ages_on')
            ->orderBy('id');
        $checked = $first('aged')->where('holds', true)->whereIn('verdict', $failed)->orderByRaw('ages_on IS NULL, ages_on')->orderBy('id');
        // A lot that is nearly empty is no concern while there is more of the same.
        $low = $first('low')
            ->where('is_low', true)
            ->whereNotExists(
                fn (QueryBuilder $more) => $more
                    ->select(DB::raw('1'))
                    ->from('lots', 'other')
                    ->whereColumn('other.house_id', 'lots.house_id')
                    ->whereColumn('other.kind', 'lots.kind')
                    ->whereColumn('other.material', 'lots.material')
                    ->where('other.material', '!=', '')
                    ->where('other.is_low', false)
                    ->whereNull('other.deleted_at'),
            )
            ->orderBy('called')
            ->orderBy('id');

        return $aged->unionAll($checked)->unionAll($low)->get();
    }

    /**
     * What a batch, a product or a pot took of Stores, in all: each lot once, in the order they were first taken from.
     *
     * @return list<array{lot: Lot, amount_text: string}>
     */
    public function taken(Batch|Making|Boil $by): array
    {
        $taken = [];
        $moves = LotMove::query()
            ->where(
                match (true) {
                    $by instanceof Batch => 'batch_id',
                    $by instanceof Making => 'making_id',
                    default => 'boil_id',
                },
                $by->id,
            )
            ->with('lot')
            ->orderBy('id')
            ->get();
        foreach ($moves->groupBy('lot_id') as $each) {
            $lot = $each->firstOrFail()->lot;
            $amount = -$each->sum(fn (LotMove $move) => (float) $move->amount);
            if ($amount > 0.0005) {
                $taken[] = ['lot' => $lot, 'amount_text' => $this->amount($lot, $amount)];
            }
        }

        return $taken;
    }

    public function amount(Lot $lot, float $amount): string
    {
        $kind = $lot->kind->measure();

        return $kind === null ? (string) (int) round($amount) : AmountWriter::plain($amount, $kind);
    }

    private function what(Lot $lot): string
    {
        $cupboard = $this->planning->cupboard();
        if ($lot->kind !== LotKind::Herb) {
            return match ($lot->kind) {
                LotKind::Carrier => $cupboard->carrierOrNull($lot->material)->name ?? 'oil',
                LotKind::Scent => 'essential oil',
                LotKind::Tin => $lot->material.' mL, empty',
                LotKind::Wax => $cupboard->waxOrNull($lot->material)->name ?? 'wax or butter',
                default => $lot->kind->word(),
            };
        }
        $form = $cupboard->forms()[$lot->form ?? ''] ?? null;
        $herb = $cupboard->herbOrNull($lot->material);
        $lies = $form === null ? '' : ($lot->state?->isWet() === true ? $form->plain.', '.$lot->state->value : $form->name);

        return implode('; ', array_filter([$herb !== null && $herb->name !== $lot->called ? $herb->name : '', $lot->part, $lies]));
    }

    private function got(Lot $lot): string
    {
        return implode(', ', array_filter([$lot->got_how, $lot->got_where, $lot->got_on === null ? '' : $this->times->date($lot->got_on)]));
    }

    private function move(Lot $lot, LotMove $move): MoveView
    {
        $amount = (float) $move->amount;
        $text = match ($move->kind) {
            'in' => $this->amount($lot, $amount).' came in',
            'taken' => $this->amount($lot, -$amount).' taken',
            'topped' => $amount < 0 ? $this->amount($lot, -$amount).' taken to top up' : $this->amount($lot, $amount).' put back',
            'back' => $this->amount($lot, $amount).' put back',
            'righted' => 'What was got was put right: '.$this->amount($lot, abs($amount)).($amount >= 0 ? ' more' : ' less'),
            default => ($move->kind === 'filed' ? 'Counted, by a file: ' : 'Counted: ').
                $this->amount($lot, abs($amount)).
                ($amount >= 0 ? ' more than thought' : ' less than thought'),
        };

        return new MoveView(
            $move->uid,
            $text,
            $this->times->logged($move->happened_at),
            $move->by,
            $move->note,
            $move->batch?->uid,
            $move->batch === null ? null : $move->batch->code.' '.$move->batch->name,
        );
    }

    /** @return array<string, string> */
    private function fields(Lot $lot): array
    {
        $number = fn (?string $value) => $value === null ? '' : rtrim(rtrim($value, '0'), '.');
        $day = fn (?\Illuminate\Support\Carbon $day) => $day?->format('Y-m-d') ?? '';

        return [
            'kind' => $lot->kind->value,
            'material' => $lot->material,
            'called' => $lot->called,
            'part' => $lot->part,
            'form' => $lot->form ?? '',
            'state' => $lot->state->value ?? '',
            'amount' => $lot->typed,
            'low_at' => $number($lot->low_at),
            'price' => $number($lot->price),
            'got_how' => $lot->got_how,
            'got_where' => $lot->got_where,
            'got_on' => $day($lot->got_on),
            'opened_on' => $day($lot->opened_on),
            'best_before' => $day($lot->best_before),
            'food_grade' => $lot->food_grade ? 'yes' : 'no',
            'allergens' => implode('; ', $lot->allergens),
            'note' => $lot->note,
        ];
    }
}
