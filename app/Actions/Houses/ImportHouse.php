<?php

namespace App\Actions\Houses;

use App\Actions\Almanac\SaveOwn;
use App\Actions\Batches\BatchProjector;
use App\Actions\Melt\MakingDocument;
use App\Actions\Stove\PlanDiary;
use App\House\KitchenFactory;
use App\Models\AlmanacNote;
use App\Models\Batch;
use App\Models\House;
use App\Models\OwnThing;
use App\Models\Tenancy\CurrentHouse;
use Carbon\Exceptions\InvalidFormatException;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Kettle\Material\OwnException;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/**
 * Takes an exported house into the current one: all of it or nothing. What is here already, by id,
 * is left alone; lines of a logbook that are not here yet are added. People are not taken in.
 *
 * What its schema holds a file to:
 *
 * @phpstan-type SizeRow array{id: string, retired: bool, called: string, kind?: string, brim_ml?: float|int,
 *     height_mm?: float|int, capacity_ml?: float|int}
 * @phpstan-type LineRow array{id: string, by: string, kind: string, data: array<mixed>, kept?: array<mixed>, note: ?string,
 *     corrects: ?string, happened_at: string, recorded_at: string}
 * @phpstan-type PlanRow array{method: array{id: string}, oils: list<array{id: string, share: float|int}>,
 *     figures: array<string, array<string, mixed>>}
 * @phpstan-type BatchRow array{id: string, code: string, herb_name: string, oils_name: string, origin: ?string,
 *     wish: array<mixed>, repeats: ?string, label?: array<mixed>|null, start_at: string, plan: PlanRow,
 *     kept?: array{herbs: array<mixed>, oils: array<mixed>, plan: PlanRow}, log: list<LineRow>}
 * @phpstan-type MoveRow array{id: string, by: string, happened_at: string, kind: string, amount: float|int, note: ?string,
 *     batch: ?string, making?: ?string, boil?: ?string}
 * @phpstan-type CheckRow array{id: string, by: string, happened_at: string, verdict: string, says: string,
 *     kept?: array<mixed>, answers: array<mixed>}
 * @phpstan-type LotRow array{id: string, retired: bool, moves: list<MoveRow>, checks: list<CheckRow>}
 * @phpstan-type VersionRow array{number: int, name: string, says: ?string, kept?: array<mixed>, made_at: string}
 * @phpstan-type RecipeRow array{id: string, retired: bool, versions: non-empty-list<VersionRow>}
 * @phpstan-type CookerRow array{id: string, retired: bool, called: string, length_mm: float|int, height_mm: float|int}
 * @phpstan-type SessionJarRow array{batch: string, count: int, planned_h: float|int, had_h: float|int, hours?: float|int|null,
 *     in_at: string, out_at?: ?string}
 * @phpstan-type EventRow array{kind: string, data: array<mixed>, kept?: array<mixed>, by: ?string, happened_at: string}
 * @phpstan-type SessionRow array{id: string, cooker?: ?string, set_up: array{water_ml: float|int}, setting: string,
 *     band: array<mixed>, started_at: string, ended_at?: ?string, jars: list<SessionJarRow>, events: list<EventRow>,
 *     readings: list<array{int, float}>}
 * @phpstan-type AbsenceRow array{id: string, called: string, from: string, to: string}
 * @phpstan-type DayRow array{day: string, cloud: ?float, low_c: ?float, high_c: ?float}
 * @phpstan-type PhotoRow array{id: string, batch: string, jpeg: string}
 * @phpstan-type MakingRow array{id: string, code: string, product: string, begun_at: string, wish: array<mixed>,
 *     label?: array<mixed>|null, kept: array{plan: array<mixed>, plants: array<mixed>}, log: list<LineRow>}
 * @phpstan-type BoilRow array{id: string, code: string, kind: string, begun_at: string, wish: array<mixed>, plan: array<mixed>,
 *     label?: array<string, mixed>|null,
 *     log: list<LineRow>}
 * @phpstan-type WantedRow array{id: string, wish: array<string, mixed>, ready_by: string, making?: ?string, closed_at?: ?string}
 * @phpstan-type HouseFile array{jars: list<SizeRow>, bottles: list<SizeRow>, batches: list<BatchRow>, lots?: list<LotRow>,
 *     recipes?: list<RecipeRow>, almanac?: list<array{kind: string, key: string, note: string, by: string}>,
 *     cookers?: list<CookerRow>, sessions?: list<SessionRow>, absences?: list<AbsenceRow>, weather?: list<DayRow>,
 *     photos?: list<PhotoRow>, makings?: list<MakingRow>, boils?: list<BoilRow>, wanted?: list<WantedRow>,
 *     own?: list<array<string, mixed>>}
 */
final readonly class ImportHouse
{
    public function __construct(
        private BatchProjector $fold,
        private CurrentHouse $current,
        private ImportVessels $vessels,
        private ImportBatches $batches,
        private ImportStores $stores,
        private ImportStove $stove,
        private ImportMakings $makings,
        private ImportBoils $boils,
        private MakingDocument $documents,
        private PlanDiary $diary,
        private KitchenFactory $kitchens,
        private Planning $planning,
        private SaveOwn $saveOwn,
    ) {}

    /** @throws ImportException */
    public function __invoke(string $json): Imported
    {
        $document = json_decode($json, false, 64);
        if (! ($document instanceof \stdClass)) {
            throw ImportException::broken();
        }
        $this->validate($document);
        /** @var HouseFile $house */
        $house = json_decode($json, true, 64);
        $this->validateKept($document, $house);

        try {
            return $this->take($house);
        } catch (UniqueConstraintViolationException) {
            throw ImportException::notOurs('the logbooks', 'two lines have the same id');
        } catch (InvalidFormatException) {
            throw ImportException::notOurs('the logbooks', 'a moment is not one of the calendar');
        } catch (QueryException) {
            throw ImportException::notOurs('the batches', 'a value is out of what the records can hold');
        }
    }

    /** @param  HouseFile  $house */
    private function take(array $house): Imported
    {
        return DB::transaction(function () use ($house): Imported {
            House::query()
                ->whereKey($this->current->house()->id)
                ->lockForUpdate()
                ->first();
            // First: lots, plans and recipes know them by their ids.
            $this->own($house['own'] ?? []);
            $jars = $this->vessels->jars($house['jars']);
            $bottles = $this->vessels->bottles($house['bottles']);
            [$batches, $entries, $here, $changed] = $this->batches->rows($house['batches']);
            [$makings, $remade] = $this->makings->rows($house['makings'] ?? []);
            $boils = ($this->boils)($house['boils'] ?? []);
            $lots = $this->stores->lots($house['lots'] ?? []);
            $recipes = $this->stores->recipes($house['recipes'] ?? []);
            $stove = ($this->stove)($house);
            // Folded when their lots are here too, and when somebody is away: a batch keeps as long as what it was made
            // from, and its tasks go round the absences.
            foreach ($changed as $id) {
                $this->fold->refresh(Batch::query()->findOrFail($id));
            }
            $this->makings->fold($remade);
            $makings += $this->makings->wanted($house['wanted'] ?? []);
            $notes = $this->notes($house['almanac'] ?? []);
            $batches + $entries > 0 && ($this->diary)(Said::of('moved.house-taken-in'));

            return new Imported(
                $batches,
                $entries,
                $jars,
                $bottles,
                $here,
                $lots,
                $recipes,
                $batches + $entries + $jars + $bottles + $lots + $recipes + $stove + $notes + $makings + $boils + count($remade) === 0
                    ? 'Everything in that file is here already; nothing was changed.'
                    : sprintf(
                        'Taken in: %d batches with %d lines of their logbooks, %d jar sizes, %d bottle sizes, %d '.
                            'lots, %d recipes, %d products, %d pots boiled down, %d things of the stove. %d batches were here already.',
                        $batches,
                        $entries,
                        $jars,
                        $bottles,
                        $lots,
                        $recipes,
                        $makings,
                        $boils,
                        $stove,
                        $here,
                    ),
            );
        });
    }

    /**
     * Plans that are kept as data must tell as a plan does.
     *
     * @param  \stdClass  $document as the file has it; the plans in it are told anew
     * @param  HouseFile  $house the same
     */
    private function validateKept(\stdClass $document, array $house): void
    {
        $kitchen = $this->kitchens->plain();
        $any = false;
        /** @var list<\stdClass> $batches */
        $batches = $document->batches;
        foreach ($house['batches'] as $i => $row) {
            if (isset($row['kept'])) {
                $told = $this->planning->told($row['kept']['plan'], $kitchen);
                $batches[$i]->plan = json_decode(json_encode($told, JSON_THROW_ON_ERROR));
                $any = true;
            }
        }
        /** @var list<\stdClass> $makings */
        $makings = $document->makings ?? [];
        foreach ($house['makings'] ?? [] as $i => $row) {
            $makings[$i]->plan = json_decode(json_encode($this->documents->told($row['kept']['plan']), JSON_THROW_ON_ERROR));
            $any = true;
        }
        $any && $this->validate($document);
    }

    private function validate(object $document): void
    {
        $validator = new Validator();
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/house.schema.json')));
        assert(is_object($schema));
        $error = $validator->validate($document, $schema)->error();
        if ($error !== null) {
            // The deepest cause says most.
            while (($cause = $error->subErrors()[0] ?? null) instanceof ValidationError) {
                $error = $cause;
            }
            /** @var list<int|string> $path */
            $path = $error->data()->fullPath();
            $where = implode(' / ', $path);
            throw ImportException::notOurs(
                $where === '' ? 'the beginning' : mb_substr($where, 0, 120),
                lcfirst(mb_substr((new ErrorFormatter())->formatErrorMessage($error), 0, 200)),
            );
        }
    }

    /**
     * The house's own words about things in the Almanac; where it has some already, those stay.
     *
     * @param  list<array{kind: string, key: string, note: string, by: string}>  $rows
     */
    private function notes(array $rows): int
    {
        $here = AlmanacNote::query()
            ->get(['id', 'house_id', 'kind', 'key'])
            ->keyBy(fn (AlmanacNote $note) => $note->kind.'|'.$note->key);
        $added = 0;
        foreach ($rows as $row) {
            if (! $here->has($row['kind'].'|'.$row['key'])) {
                $here->put($row['kind'].'|'.$row['key'], AlmanacNote::query()->create([...$row, 'version' => 1]));
                $added++;
            }
        }

        return $added;
    }

    /** @param  list<array<string, mixed>>  $things those that are here already stay as they are */
    private function own(array $things): void
    {
        $there = OwnThing::query()->pluck('slug')->all();
        foreach ($things as $fields) {
            try {
                in_array($fields['id'] ?? null, $there, true) || $this->saveOwn->add($fields, false);
            } catch (OwnException $refused) {
                $name = is_string($fields['name'] ?? null) ? $fields['name'] : 'without a name';
                throw ImportException::notOurs('the house’s own '.mb_substr($name, 0, 60), lcfirst($refused->getMessage()));
            }
        }
    }
}
