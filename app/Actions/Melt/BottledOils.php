<?php

namespace App\Actions\Melt;

use App\Actions\Batches\LotsUsed;
use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Bottle;
use Kettle\Batch\BatchState;
use Kettle\Batch\BottleState;
use Kettle\Batch\PlannedHerb;
use Kettle\Diary\Stage;
use Kettle\Diary\Timetable;
use Kettle\Material\Cupboard;
use Kettle\Melt\Infused;
use Kettle\Time\Later;

/** The house's own oils, bottled or standing yet, as the Melt takes them. */
final readonly class BottledOils
{
    /** Of one product; nobody pours together more. */
    private const MOST = 12;

    public function __construct(private Records $records, private KitchenFactory $kitchens, private Cupboard $cupboard) {}

    /**
     * Those that were asked for, also such as stand yet, are past their day or thrown away: what they are is told.
     *
     * @param  list<string>  $uids
     * @return array<string, Infused> by the batch's uid
     */
    public function named(array $uids): array
    {
        if ($uids === []) {
            return [];
        }
        $batches = Batch::query()
            ->whereIn('uid', array_slice($uids, 0, self::MOST))
            ->with(['entries', 'bottles'])
            ->get();
        $infused = [];
        foreach ($batches as $batch) {
            $infused[$batch->uid] = $this->of($batch);
        }

        return $infused;
    }

    private function of(Batch $batch): Infused
    {
        $state = $this->records->state($batch);
        $zone = $this->kitchens->now()->getTimezone();
        $said = self::said($batch);
        $cost = $batch->plan->figureOrNull('cost_per_100');

        return new Infused(
            $batch->uid,
            $this->kitchens->words()->thing($said),
            $batch->plan->blend($this->cupboard),
            $batch->code,
            array_map(
                fn (PlannedHerb $herb) => ['plant' => $herb->plant($this->cupboard), 'state' => $herb->state],
                $batch->plan->herbsInIt(),
            ),
            (self::stands($batch) ? $state->pouredMl : null) ?? self::left($batch),
            new \DateTimeImmutable($batch->best_before->format('Y-m-d'), $zone),
            $cost === null ? null : $cost / 100,
            LotsUsed::allergens($batch),
            LotsUsed::areFood($batch),
            $state->keeping->coldOnly || $batch->use_by !== null,
            $batch->stage === Stage::Discarded ? Infused::DISCARDED : Infused::SOUND,
            $said,
            self::stands($batch) ? $this->from($state) : null,
        );
    }

    /** Whether it is on its way into its bottles. */
    private static function stands(Batch $batch): bool
    {
        return ! in_array($batch->stage, [Stage::Bottled, Stage::Discarded], true);
    }

    /** When it will be in its bottles: by its timetable, and not before there is time for that from now. */
    private function from(BatchState $state): \DateTimeImmutable
    {
        $now = $this->kitchens->now();

        return max(
            $state->progress->timetable->bottledAt()->setTimezone($now->getTimezone()),
            Later::minutes($now, Timetable::bottlingMin()),
        );
    }

    /** @return array{infused: list<mixed>} "calendula oil of 6 November" as a sentence keeps it */
    public static function said(Batch $batch): array
    {
        return ['infused' => [$batch->herbs, ['day_of_year' => ($batch->bottled_at ?? $batch->strain_at)->format('Y-m-d')]]];
    }

    /** mL in its bottles; of one that stands yet, as much as came out of the cloth, or is expected to. */
    public static function left(Batch $batch): float
    {
        if (self::stands($batch)) {
            return (float) ($batch->strained_ml ?? $batch->plan->figure('yield_volume'));
        }

        return array_sum(
            $batch->bottles->map(fn (Bottle $bottle) => $bottle->state === BottleState::IN ? (float) $bottle->left_ml : 0.0)->all(),
        );
    }
}
