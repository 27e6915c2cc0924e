<?php

namespace App\Actions\Batches;

use App\Actions\Stove\TakeReadings;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\LotMove;
use App\Models\StoveJar;
use Illuminate\Support\Carbon;
use Kettle\Batch\BottleState;
use Kettle\Batch\Evidence;
use Kettle\Material\Cupboard;
use Kettle\Stores\Lot;

/** What the records of a batch, of the Stove and of Stores say for and against faults. */
final readonly class GatherEvidence
{
    /** The last at the Stove that are looked at. */
    private const SESSIONS = 6;

    public function __construct(
        private Records $records,
        private KitchenFactory $kitchens,
        private Cupboard $cupboard,
        private TakeReadings $readings,
    ) {}

    /** @return array<string, array<string, string>> by fact, the words it is said with */
    public function of(Batch $batch): array
    {
        $evidence = new Evidence($this->kitchens->plain(), $this->cupboard);
        $record = $this->records->of($batch);
        $local = fn (?Carbon $moment): ?\DateTimeImmutable => $moment === null ? null : $this->kitchens->local($moment);

        return [
            ...$evidence->ofTheHerb($batch->plan, $record->log),
            ...$evidence->ofTheOils($batch->plan, $batch->storedAs(), $batch->purpose),
            ...$evidence->ofTheWarmth($batch->plan, $record->method(), $this->records->progress($batch), $this->over($batch)),
            ...$evidence->ofTheDays(
                $batch->plan,
                $this->records->lateness($batch),
                $local($batch->strained_at),
                $local($batch->bottled_at),
                $batch->bottles()->where('state', BottleState::IN)->whereRaw('left_ml < filled_ml / 2')->exists(),
            ),
            ...$evidence->ofTheLots($this->lots($batch)),
        ];
    }

    /** How far and how long its last sessions were over the ceiling. */
    private function over(Batch $batch): ?string
    {
        $over = null;
        $jars = StoveJar::query()
            ->where('batch_id', $batch->id)
            ->whereHas('session', fn ($query) => $query->where('speed', 1))
            ->orderByDesc('id')
            ->limit(self::SESSIONS)
            ->with(['session.probes.probe'])
            ->get();
        foreach ($jars as $jar) {
            $over = $this->readings->overCeiling($jar->session) ?? $over;
        }

        return $over;
    }

    /** @return list<array{lot: Lot, at: \DateTimeImmutable, checked: bool}> what it took from Stores, in order */
    private function lots(Batch $batch): array
    {
        $zone = $this->kitchens->now()->getTimezone();

        return array_values(
            LotMove::query()
                ->where('batch_id', $batch->id)
                ->whereIn('kind', ['taken', 'topped'])
                ->where('amount', '<', 0)
                ->with('lot')
                ->orderBy('id')
                ->get()
                ->map(
                    fn (LotMove $move) => [
                        'lot' => $move->lot->core($zone),
                        'at' => $this->kitchens->local($move->happened_at),
                        'checked' => $move->lot->checked_at !== null,
                    ],
                )
                ->all(),
        );
    }
}
