<?php

namespace App\Pages\Boil;

use App\Actions\Boil\BoilLogbook;
use App\Actions\Boil\StoveOfHouse;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Boil;
use App\Responses\Boil\BoilCard;
use App\Responses\Boil\BoilLearned;
use App\Responses\Boil\Boils;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Boiling\Level;
use Kettle\Boiling\Stage;
use Kettle\Measure\Kind;

/** Pots that are boiled down, and what came of them, for lists. */
final readonly class BoilList
{
    private const LISTED = 24;

    /** Of so many pots the rates of so many are told. */
    private const LEARNED_FROM = 8;

    private const LEARNED = 2;

    public function __construct(
        private KitchenFactory $kitchens,
        private Times $times,
        private PotWords $words,
        private BoilLogbook $logbook,
        private StoveOfHouse $stove,
    ) {}

    public function all(): Boils
    {
        $boils = $this->listed([...Stage::open(), Stage::Made]);

        return new Boils(
            $this->atTheStove($boils->filter(fn (Boil $boil) => $boil->stage->isOpen())),
            array_values($boils->reject(fn (Boil $boil) => $boil->stage->isOpen())->map($this->here(...))->all()),
            [],
        );
    }

    /** As all(), and what pots of this house lost in an hour. */
    public function withRates(): Boils
    {
        $all = $this->all();
        $plain = fn (float $ml): string => $this->kitchens->plain()->writer()->plain($ml, Kind::Volume);
        $learned = [];
        $boils = Boil::query()
            ->with(['entries' => fn ($query) => $query->orderBy('id')])
            ->orderByDesc('id')
            ->limit(self::LEARNED_FROM)
            ->get();
        foreach ($boils as $boil) {
            $level = Level::of($this->logbook->state($boil), $this->kitchens->now(), $this->kitchens->availability());
            if ($level->learned && ! $boil->plan->byWeight && count($learned) < self::LEARNED) {
                $pot = $boil->plan->pot;
                $wide = $pot === null ? '' : ', '.round($pot->diameterMm).' mm wide';
                $learned[] = new BoilLearned($plain($level->rate['value']), $boil->code.$wide);
            }
        }

        return new Boils($all->open, $all->here, $learned);
    }

    /** @return list<BoilCard> pots at the stove, with what is next at each */
    public function open(): array
    {
        return $this->atTheStove($this->listed(Stage::open()));
    }

    /** @return list<BoilCard> what wants something now: pots at the stove, and what is past its day */
    public function wanting(): array
    {
        $all = $this->all();

        return [...array_filter($all->here, fn (BoilCard $card) => $card->urgent), ...$all->open];
    }

    /**
     * @param  list<Stage>  $stages
     * @return Collection<int, Boil> the soonest to go off first, and the newest pots
     */
    private function listed(array $stages): Collection
    {
        return Boil::query()
            ->whereIn('stage', $stages)
            ->orderByRaw('best_before is null, best_before')
            ->orderByDesc('begun_at')
            ->orderByDesc('id')
            ->limit(self::LISTED)
            ->get();
    }

    /**
     * @param  Collection<int, Boil>  $boils
     * @return list<BoilCard>
     */
    private function atTheStove(Collection $boils): array
    {
        // What is made has its log behind it.
        $boils->load(['entries' => fn ($query) => $query->orderBy('id')]);
        $levels = $this->stove->levels($boils);

        return array_values(
            $boils
                ->map(fn (Boil $boil) => $this->card($boil, $this->words->next($boil, $levels[$boil->id]), $boil->stage === Stage::On))
                ->all(),
        );
    }

    private function here(Boil $boil): BoilCard
    {
        $left = $this->kitchens
            ->plain()
            ->writer()
            ->plain((float) $boil->left, $boil->plan->byWeight ? Kind::Mass : Kind::Volume);
        $past = $boil->best_before !== null && $boil->best_before->format('Y-m-d') < $this->kitchens->now()->format('Y-m-d');
        $until = match (true) {
            $boil->best_before === null => ', to be cooked',
            $past => ', past its day, '.$this->times->date($boil->best_before),
            default => ', until '.$this->times->date($boil->best_before),
        };

        return $this->card($boil, $left.($boil->stands === '' ? '' : ", {$boil->stands}").$until, $past, $past ? null : $left);
    }

    private function card(Boil $boil, string $says, bool $urgent, ?string $left = null): BoilCard
    {
        return new BoilCard($boil->uid, $boil->code, $boil->name, $boil->kind, $boil->stage->value, $says, $urgent, $left);
    }
}
