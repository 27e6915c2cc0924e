<?php

namespace App\Actions\Houses;

use App\Actions\Almanac\SaveOwn;
use App\Actions\Batches\BatchProjector;
use App\Actions\Stove\PlanDiary;
use App\Actions\Transfers\Choices;
use App\Actions\Transfers\HouseSchema;
use App\Actions\Transfers\HouseSource;
use App\Actions\Transfers\JsonSource;
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
 *     thermometer?: ?string, in_at: string, out_at?: ?string}
 * @phpstan-type EventRow array{kind: string, data: array<mixed>, kept?: array<mixed>, by: ?string, happened_at: string}
 * @phpstan-type SessionRow array{id: string, cooker?: ?string, set_up: array{water_ml: float|int}, setting: string,
 *     band: array<mixed>, started_at: string, ended_at?: ?string, last_at?: string,
 *     thermometers?: list<string>, jars: list<SessionJarRow>, events: list<EventRow>,
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
 * @phpstan-type ThermometerRow array{id: string, called: string, kind: string, retired: bool}
 * @phpstan-type ReadingsRow array{session: string, thermometer: string, readings: list<array{int, float}>}
 * @phpstan-type CalendarRow array{id: string, called: string, busy: list<AbsenceRow>}
 * @phpstan-type HouseFile array{jars: iterable<SizeRow>, bottles: iterable<SizeRow>, batches: iterable<BatchRow>,
 *     lots: iterable<LotRow>, recipes: iterable<RecipeRow>, almanac: iterable<array{kind: string, key: string, note: string, by: string}>,
 *     cookers: iterable<CookerRow>, sessions: iterable<SessionRow>, absences: iterable<AbsenceRow>, weather: iterable<DayRow>,
 *     photos: iterable<PhotoRow>, makings: iterable<MakingRow>, boils: iterable<BoilRow>, wanted: iterable<WantedRow>,
 *     own: iterable<array<string, mixed>>, thermometers: iterable<ThermometerRow>, readings: iterable<ReadingsRow>,
 *     calendars: iterable<CalendarRow>}
 */
final readonly class ImportHouse
{
    private const SECTIONS = [
        'own',
        'jars',
        'bottles',
        'batches',
        'makings',
        'boils',
        'lots',
        'recipes',
        'cookers',
        'thermometers',
        'sessions',
        'readings',
        'absences',
        'calendars',
        'weather',
        'photos',
        'wanted',
        'almanac',
    ];

    private const SETTINGS = [
        'name',
        'time_zone',
        'measures',
        'wake',
        'bed',
        'drops_per_ml',
        'currency',
        'hour_rate',
        'room_c',
        'burners',
        'things',
        'latitude',
        'longitude',
        'height_m',
        'facing',
        'home',
    ];

    public function __construct(
        private BatchProjector $fold,
        private CurrentHouse $current,
        private ImportVessels $vessels,
        private ImportBatches $batches,
        private ImportStores $stores,
        private ImportStove $stove,
        private ImportMakings $makings,
        private ImportBoils $boils,
        private PlanDiary $diary,
        private HouseSchema $schema,
        private SaveOwn $saveOwn,
    ) {}

    /** @throws ImportException */
    public function __invoke(string $json): Imported
    {
        return $this->from(JsonSource::read($json, $this->schema), new Choices());
    }

    /**
     * @param  \Closure(): void|null  $folded called for each batch that was worked out anew
     *
     * @throws ImportException
     */
    public function from(HouseSource $source, Choices $choices, ?\Closure $folded = null): Imported
    {
        try {
            return DB::transaction(fn () => $this->take($source, $choices, $folded ?? fn () => null));
        } catch (UniqueConstraintViolationException) {
            throw ImportException::notOurs('the logbooks', 'two lines have the same id');
        } catch (InvalidFormatException) {
            throw ImportException::notOurs('the logbooks', 'a moment is not one of the calendar');
        } catch (QueryException $thrown) {
            // What the database could not do is not what the file said: class 22 is of values, 23 of what they may be together.
            if (preg_match('/^2[23]/', (string) $thrown->getCode()) !== 1) {
                throw $thrown;
            }
            throw ImportException::notOurs('the batches', 'a value is out of what the records can hold');
        }
    }

    /** @param  \Closure(): void  $folded */
    private function take(HouseSource $source, Choices $choices, \Closure $folded): Imported
    {
        $house = House::query()
            ->whereKey($this->current->house()->id)
            ->lockForUpdate()
            ->firstOrFail();
        if ($choices->settings) {
            $this->settings($house, $source->head()['house']);
        }
        /** @var HouseFile $rows */
        $rows = array_combine(self::SECTIONS, array_map($source->rows(...), self::SECTIONS));
        // First: lots, plans and recipes know them by their ids.
        $this->own($rows['own']);
        $jars = $this->vessels->jars($rows['jars']);
        $bottles = $this->vessels->bottles($rows['bottles']);
        [$batches, $entries, $here, $changed] = $this->batches->rows($rows['batches']);
        [$makings, $remade] = $this->makings->rows($rows['makings']);
        $boils = ($this->boils)($rows['boils']);
        $lots = $this->stores->lots($rows['lots']);
        $recipes = $this->stores->recipes($rows['recipes']);
        $stove = ($this->stove)($rows, $choices);
        // Folded when their lots are here too, and when somebody is away: a batch keeps as long as what it was made
        // from, and its tasks go round the absences.
        foreach ($changed as $id) {
            $this->fold->refresh(Batch::query()->findOrFail($id));
            $folded();
        }
        $this->makings->fold($remade);
        $makings += $this->makings->wanted($rows['wanted']);
        $notes = $this->notes($rows['almanac']);
        $batches + $entries > 0 && ($this->diary)(Said::of('moved.house-taken-in'));
        $settings = $choices->settings ? ' The house’s settings are as they were there.' : '';

        return new Imported(
            $batches,
            $entries,
            $jars,
            $bottles,
            $here,
            $lots,
            $recipes,
            $batches + $entries + $jars + $bottles + $lots + $recipes + $stove + $notes + $makings + $boils + count($remade) === 0
                ? 'Everything in that file is here already; '.
                    ($settings === '' ? 'nothing was changed.' : 'nothing of it was changed.'.$settings)
                : sprintf(
                    'Taken in: %d batches with %d lines of their logbooks, %d jar sizes, %d bottle sizes, %d '.
                        'lots, %d recipes, %d products, %d pots boiled down, %d things of the stove. %d batches were here already.%s',
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
                    $settings,
                ),
        );
    }

    /** @param  array<string, mixed>  $settings as the file's head has them */
    private function settings(House $house, array $settings): void
    {
        $house->update([...array_intersect_key($settings, array_flip(self::SETTINGS)), 'version' => $house->version + 1]);
        // What reads the house from here on reads it as it is now.
        $this->current->house()->refresh();
    }

    /**
     * The house's own words about things in the Almanac; where it has some already, those stay.
     *
     * @param  iterable<array{kind: string, key: string, note: string, by: string}>  $rows
     */
    private function notes(iterable $rows): int
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

    /** @param  iterable<array<string, mixed>>  $things those that are here already stay as they are */
    private function own(iterable $things): void
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
