<?php

namespace App\Actions\Boil;

use App\House\KitchenFactory;
use App\Models\Boil;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Collection;
use Kettle\Boiling\Level;
use Kettle\Boiling\SharedStove;
use Kettle\Boiling\Stage;
use Kettle\Diary\Availability;

/** The pots of the house that stand at its stove, each with its days as they share the burners there are. */
final readonly class StoveOfHouse
{
    /** So many are laid; a house with more at once has them laid as these are done. */
    private const POTS = 24;

    public function __construct(private BoilLogbook $logbook, private KitchenFactory $kitchens, private CurrentHouse $current) {}

    /**
     * How far some pots are.
     *
     * @param  Collection<int, Boil>  $boils with their entries
     * @return array<int, Level> by their rows
     */
    public function levels(Collection $boils): array
    {
        $levels = $boils->contains(fn (Boil $boil) => $boil->stage->isOpen()) ? $this->laid($boils) : [];
        foreach ($boils as $boil) {
            $levels[$boil->id] ??= $this->shared([])->lay([$this->logbook->state($boil)])[0];
        }

        return $levels;
    }

    /** When somebody is by and a burner is free for one more, that is yet to be begun. */
    public function free(): Availability
    {
        return $this->current->house()->burners === null
            ? $this->kitchens->availability()
            : $this->shared($this->kitchens->flames())->free($this->laid(new Collection()));
    }

    /**
     * @param  Collection<int, Boil>  $known with their entries
     * @return array<int, Level> of every open pot where they share burners, else of those that are known
     */
    private function laid(Collection $known): array
    {
        $counted = $this->current->house()->burners !== null;
        if ($counted) {
            $known = $known->merge(
                Boil::query()
                    ->whereIn('stage', Stage::open())
                    ->whereNotIn('id', $known->pluck('id'))
                    ->with(['entries' => fn ($query) => $query->orderBy('id')])
                    ->orderBy('id')
                    ->limit(self::POTS)
                    ->get(),
            );
        }
        $states = [];
        foreach ($known->sortBy('id') as $boil) {
            $state = $this->logbook->state($boil);
            if ($state->stage->isOpen()) {
                $states[$boil->id] = $state;
            }
        }

        return $this->shared($counted ? $this->kitchens->flames() : [])->lay($states);
    }

    /** @param  list<\Kettle\Time\Interval>  $flames */
    private function shared(array $flames): SharedStove
    {
        return new SharedStove($this->current->house()->burners, $flames, $this->kitchens->now(), $this->kitchens->availability());
    }
}
