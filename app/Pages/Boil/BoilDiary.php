<?php

namespace App\Pages\Boil;

use App\Actions\Boil\BoilLogbook;
use App\Actions\Boil\StoveOfHouse;
use App\Models\Boil;
use Kettle\Boiling\Stage;
use Kettle\Time\Interval;

/** The whiles of flame to come of pots that are begun. */
final readonly class BoilDiary
{
    private const POTS = 12;

    public function __construct(private StoveOfHouse $stove, private BoilLogbook $logbook) {}

    /** @return list<array{boil: Boil, while: Interval, on: bool}> whether it is over the flame now */
    public function coming(): array
    {
        $coming = [];
        $boils = Boil::query()
            ->whereIn('stage', Stage::open())
            ->with(['entries' => fn ($query) => $query->orderBy('id')])
            ->orderBy('id')
            ->limit(self::POTS)
            ->get();
        $levels = $this->stove->levels($boils);
        foreach ($boils as $boil) {
            // Not begun yet, nobody is asked to be at home for it, but where somebody gave it a day.
            if ($boil->stage === Stage::Planned && $this->logbook->state($boil)->notBefore === null) {
                continue;
            }
            foreach ($levels[$boil->id]->sessions as $i => $while) {
                $coming[] = ['boil' => $boil, 'while' => $while, 'on' => $i === 0 && $boil->stage === Stage::On];
            }
        }

        return $coming;
    }
}
