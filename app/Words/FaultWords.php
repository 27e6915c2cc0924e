<?php

namespace App\Words;

use App\Actions\Batches\Records;
use App\House\Kitchens;
use App\Http\Shapes\FaultCause;
use App\Http\Shapes\FaultsFound;
use App\Http\Shapes\FaultSign;
use App\Http\Shapes\FaultSigns;
use App\Models\Batch;
use App\Models\LotMove;
use App\Models\StoveJar;
use Illuminate\Support\Carbon;
use Kettle\Batch\BottleState;
use Kettle\Batch\Evidence;
use Kettle\Fault\FaultFinder;
use Kettle\Recipe\Bench;
use Kettle\Stores\Lot;

/** What the records of a batch say for and against each fault. */
final readonly class FaultWords
{
    private const SESSIONS = 6;

    public function __construct(
        private Bench $bench,
        private Records $records,
        private Kitchens $kitchens,
        private StoveWords $stove,
        private FaultFinder $finder,
    ) {
    }

    public function signs(): FaultSigns
    {
        return new FaultSigns(array_map(fn (array $sign) => new FaultSign($sign['id'], $sign['says'], $sign['discard']), $this->finder->signs()));
    }

    /** @param  list<string>  $signs */
    public function found(array $signs, ?Batch $batch): FaultsFound
    {
        $found = $this->finder->find($signs, $batch === null ? [] : $this->facts($batch));

        return new FaultsFound($found['keep'], $found['says'], array_map(fn (array $cause) => new FaultCause(
            $cause['id'], $cause['name'], $cause['likely'], $cause['for'], $cause['against'], $cause['test'], $cause['do'], $cause['keep'],
        ), $found['causes']));
    }

    /** @return array<string, array<string, string>> by fact, the words it is said with */
    public function facts(Batch $batch): array
    {
        $evidence = new Evidence($this->kitchens->plain(), $this->bench->cupboard());
        $record = $this->records->of($batch);
        $local = fn (?Carbon $moment): ?\DateTimeImmutable => $moment === null ? null : $this->kitchens->local($moment);

        return [
            ...$evidence->ofTheHerb($batch->plan, $record->log),
            ...$evidence->ofTheOils($batch->plan, $batch->keptAs(), $batch->purpose),
            ...$evidence->ofTheWarmth($batch->plan, $record->method(), $this->records->course($batch), $this->over($batch)),
            ...$evidence->ofTheDays(
                $batch->plan, $this->records->lateness($batch), $local($batch->strained_at), $local($batch->bottled_at),
                $batch->bottles()->where('state', BottleState::IN)->whereRaw('left_ml < filled_ml / 2')->exists(),
            ),
            ...$evidence->ofTheLots($this->lots($batch)),
        ];
    }

    /** How far its last sessions at the Stove were over the ceiling. */
    private function over(Batch $batch): ?string
    {
        $over = null;
        $jars = StoveJar::query()->where('batch_id', $batch->id)->whereHas('session', fn ($query) => $query->where('speed', 1))->orderByDesc('id')->limit(self::SESSIONS)
            ->with(['session.jars.batch', 'session.probes.probe', 'session.cooker'])->get();
        foreach ($jars as $jar) {
            $over = $this->stove->view($jar->session)->over_text ?? $over;
        }

        return $over;
    }

    /** @return list<array{lot: Lot, at: \DateTimeImmutable, checked: bool}> what it took from Stores, in order */
    private function lots(Batch $batch): array
    {
        $zone = $this->kitchens->now()->getTimezone();

        return array_values(LotMove::query()->where('batch_id', $batch->id)->where('kind', 'taken')->with('lot')->orderBy('id')->get()
            ->map(fn (LotMove $move) => ['lot' => $move->lot->core($zone), 'at' => $this->kitchens->local($move->happened_at), 'checked' => $move->lot->checked_at !== null])->all());
    }
}
