<?php

namespace App\Pages\Melt;

use App\Actions\Melt\BoiledPots;
use App\Actions\Melt\BottledOils;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\Boil;
use App\Pages\Almanac\MeltEntries;
use App\Responses\Bench\OilChoice;
use App\Responses\Choice;
use App\Responses\Melt\BottledChoice;
use App\Responses\Melt\MeltChoices;
use App\Responses\Melt\MeltHeed;
use App\Responses\Melt\PartChoice;
use App\Responses\Melt\ProductChoice;
use Kettle\Boiling\Stage as BoilStage;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Material\Addition;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\EssentialOil;
use Kettle\Material\Heed;
use Kettle\Material\Row;
use Kettle\Material\Tables;
use Kettle\Material\Wax;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Product;

/** What there is to choose from at the Melt. */
final readonly class MeltPage
{
    /** Bottled oils that are listed, the last bottled first. */
    private const BOTTLED = 60;

    public function __construct(
        private Tables $tables,
        private Cupboard $cupboard,
        private KitchenFactory $kitchens,
        private Times $times,
        private BoiledPots $boils,
    ) {}

    public function choices(): MeltChoices
    {
        $table = MeltTable::of($this->tables);
        $waxes = fn (string $kind): array => array_values(
            array_map(
                fn (Wax $wax) => new PartChoice($wax->id, $wax->name, $wax->note, $wax->kind),
                array_filter($this->cupboard->offered($this->cupboard->waxes()), fn (Wax $wax) => $wax->kind === $kind),
            ),
        );

        return new MeltChoices(
            array_map(
                fn (Product $each) => new ProductChoice(
                    $each->id,
                    $each->name,
                    $each->note,
                    $each->vessel,
                    $each->vesselMl,
                    $each->usualMl,
                    $each->usualCount,
                    $each->firmness !== null,
                    $each->wax !== null,
                    $each->has(Product::KITCHEN),
                    $each->has(Product::WATER),
                    $each->has(Product::TAKES_LEAF),
                ),
                array_values($table->products()),
            ),
            array_map(
                fn (Carrier $oil) => new OilChoice($oil->id, $oil->name, $oil->note),
                array_values($this->cupboard->offered($this->cupboard->carriers())),
            ),
            $this->bottled(),
            $waxes('wax'),
            $waxes('butter'),
            [
                ...$waxes('additive'),
                ...array_map(
                    fn (Addition $each) => new PartChoice($each->id, $each->name, $each->note, $each->kind),
                    array_values($this->cupboard->additions()),
                ),
                ...$this->boiled(),
            ],
            array_map(
                fn (EssentialOil $oil) => new PartChoice($oil->id, $oil->name, MeltEntries::limit($oil), $oil->solid ? 'solid' : 'drops'),
                array_values($this->cupboard->offered($this->cupboard->essentialOils())),
            ),
            array_map(fn (array $band) => new Choice($band['id'], $band['name']), $table->firmness()->bands),
            array_values(array_map(fn (Row $row) => new Choice($row->text('id'), $row->text('name')), $table->rules->rows('people'))),
            array_values(
                array_map(
                    fn (Heed $heed) => new MeltHeed($heed->id, $heed->name, $this->barred($heed)),
                    array_filter($this->cupboard->heeds(), fn (Heed $heed) => $heed->person === ''),
                ),
            ),
        );
    }

    /** @return list<string> ids */
    private function barred(Heed $heed): array
    {
        return array_keys([
            ...array_filter($this->cupboard->carriers(), $heed->barsOil(...)),
            ...array_filter($this->cupboard->waxes(), fn (Wax $wax) => $heed->barsPart($wax->allergens, $wax->foodGradeExists)),
            ...array_filter($this->cupboard->additions(), fn (Addition $each) => $heed->barsPart($each->allergens, $each->foodGradeExists)),
        ]);
    }

    /** @return list<BottledChoice> oils of the house that still hold something, and may be used; then those that stand yet */
    private function bottled(): array
    {
        $there = array_values(
            Batch::query()
                ->where('stage', Stage::Bottled)
                ->where('best_before', '>=', $this->kitchens->now()->format('Y-m-d'))
                ->whereHas('bottles', fn ($bottles) => $bottles->where('state', 'in'))
                ->with('bottles')
                ->orderByDesc('bottled_at')
                ->limit(self::BOTTLED)
                ->get()
                ->map(fn (Batch $batch) => $this->choice($batch, null))
                ->all(),
        );
        $standing = Batch::query()
            ->whereNotIn('stage', [Stage::Bottled, Stage::Discarded])
            ->with(['tasks' => fn ($tasks) => $tasks->where('step', Step::Bottle)])
            ->orderBy('strain_at')
            ->limit(self::BOTTLED)
            ->get()
            ->map(fn (Batch $batch) => $this->choice($batch, $this->times->day($batch->tasks->first()->due_at ?? $batch->strain_at)));

        return [...$there, ...array_values($standing->all())];
    }

    /** @return list<PartChoice> decoctions and extracts of the house that may be used, the soonest to go off first */
    private function boiled(): array
    {
        $choices = [];
        foreach (
            Boil::query()
                ->where('stage', BoilStage::Made)
                ->where('best_before', '>=', $this->kitchens->now()->format('Y-m-d'))
                ->orderBy('best_before')
                ->orderBy('id')
                ->limit(self::BOTTLED)
                ->get() as $boil
        ) {
            $of = $this->boils->of($boil);
            if ($of !== null && $of->leftG !== null) {
                $left = $this->kitchens->words()->thing(['g' => $of->leftG]);
                $until = $boil->best_before === null ? '' : ', until '.$this->times->date($boil->best_before);
                $choices[] = new PartChoice(
                    'boil.'.$of->id,
                    $of->called,
                    "{$of->code}: {$left}{$until}",
                    $this->cupboard->addition($of->as)->kind,
                );
            }
        }

        return $choices;
    }

    private function choice(Batch $batch, ?string $from): BottledChoice
    {
        $words = $this->kitchens->words();

        return new BottledChoice(
            $batch->uid,
            $words->thing(BottledOils::said($batch)),
            $batch->code,
            $batch->oils_name,
            $words->thing(['mL' => BottledOils::left($batch)]),
            $this->times->date($batch->best_before),
            $batch->purpose === 'kitchen',
            $from,
        );
    }
}
