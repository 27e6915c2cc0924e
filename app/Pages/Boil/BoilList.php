<?php

namespace App\Pages\Boil;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Boil;
use App\Responses\Boil\BoilCard;
use App\Responses\Boil\Boils;
use Kettle\Boiling\Stage;
use Kettle\Measure\Kind;

/** Pots that are boiled down, for lists. */
final readonly class BoilList
{
    private const LISTED = 12;

    public function __construct(private KitchenFactory $kitchens, private Times $times, private PotWords $words) {}

    public function all(): Boils
    {
        return new Boils($this->open(), $this->here());
    }

    /** @return list<BoilCard> with what is next at each */
    public function open(): array
    {
        return array_values(
            Boil::query()
                ->whereIn('stage', [Stage::Planned, Stage::On, Stage::Off])
                ->with(['entries' => fn ($query) => $query->orderBy('id')])
                ->orderByDesc('begun_at')
                ->orderByDesc('id')
                ->limit(self::LISTED)
                ->get()
                ->map(fn (Boil $boil) => $this->card($boil, $this->words->next($boil), $boil->stage === Stage::On))
                ->all(),
        );
    }

    /** @return list<BoilCard> the soonest to go off first */
    public function here(): array
    {
        $today = $this->kitchens->now()->format('Y-m-d');
        $writer = $this->kitchens->plain()->writer();

        return array_values(
            Boil::query()
                ->where('stage', Stage::Made)
                ->orderByRaw('best_before is null, best_before')
                ->orderBy('id')
                ->limit(self::LISTED)
                ->get()
                ->map(function (Boil $boil) use ($today, $writer): BoilCard {
                    $left = $writer->plain((float) $boil->left, $boil->plan->byWeight ? Kind::Mass : Kind::Volume);
                    $past = $boil->best_before !== null && $boil->best_before->format('Y-m-d') < $today;
                    $until = match (true) {
                        $boil->best_before === null => ', to be cooked',
                        $past => ', past its day, '.$this->times->date($boil->best_before),
                        default => ', until '.$this->times->date($boil->best_before),
                    };

                    return $this->card($boil, $left.($boil->stands === '' ? '' : ", {$boil->stands}").$until, $past);
                })
                ->all(),
        );
    }

    private function card(Boil $boil, string $says, bool $urgent): BoilCard
    {
        return new BoilCard($boil->uid, $boil->code, $boil->name, $boil->stage->value, $says, $urgent);
    }
}
