<?php

namespace App\Pages\Boil;

use App\Actions\Boil\BoilLogbook;
use App\House\KitchenFactory;
use App\Models\Boil;
use Kettle\Boiling\Level;
use Kettle\Boiling\Stage;
use Kettle\Time\Interval;

/** The whiles of flame to come of pots that are begun. */
final readonly class BoilDiary
{
    private const POTS = 12;

    public function __construct(private BoilLogbook $logbook, private KitchenFactory $kitchens) {}

    /** @return list<array{boil: Boil, while: Interval, on: bool}> whether it is over the flame now */
    public function coming(): array
    {
        $now = $this->kitchens->now();
        $coming = [];
        $boils = Boil::query()
            ->whereIn('stage', [Stage::On, Stage::Off])
            ->with(['entries' => fn ($query) => $query->orderBy('id')])
            ->orderBy('id')
            ->limit(self::POTS)
            ->get();
        foreach ($boils as $boil) {
            $sessions = Level::of($this->logbook->state($boil), $now, $this->kitchens->availability())->sessions;
            foreach ($sessions as $i => $while) {
                $coming[] = ['boil' => $boil, 'while' => $while, 'on' => $i === 0 && $boil->stage === Stage::On];
            }
        }

        return $coming;
    }
}
