<?php

namespace App\Pages\Boil;

use App\Actions\Boil\BoilLogbook;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Boil;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\Level;
use Kettle\Boiling\Signs;
use Kettle\Boiling\Stage;
use Kettle\Decoction\Doneness;
use Kettle\Material\Tables;

/** What is to be done next at a pot, in a sentence. */
final readonly class PotWords
{
    /** What is sooner is now, s. */
    private const SOON_S = 600;

    public function __construct(
        private BoilLogbook $logbook,
        private KitchenFactory $kitchens,
        private Times $times,
        private Tables $tables,
    ) {}

    public function next(Boil $boil): string
    {
        $state = $this->logbook->state($boil);
        $now = $this->kitchens->now();

        return $this->of($state, Level::of($state, $now, $this->kitchens->availability()), Signs::of($state, $now, $this->tables));
    }

    public function of(BoilState $state, Level $level, ?Signs $signs): string
    {
        if ($state->stage === Stage::Planned) {
            return 'Put it over the flame.';
        }
        if (! $state->stage->isOpen()) {
            return '';
        }
        if ($signs !== null && $signs->done->verdict !== Doneness::NOT_YET) {
            return 'Off the flame, and strain it warm.';
        }
        $gone = $level->leftMl !== null && $level->leftMl < 1.0;
        if ($gone) {
            return $state->plan->signs
                ? 'It should be down to its mark: look at the signs.'
                : 'It should be down to its mark: measure it, and strain it.';
        }
        $done = $level->doneAt['value'];
        if ($state->stage === Stage::Off) {
            $from = $level->sessions[0]->from ?? null;

            return match (true) {
                $from === null => 'Put it over the flame again when somebody is by.',
                $from->getTimestamp() - $this->kitchens->now()->getTimestamp() < self::SOON_S => 'On again, while somebody is by.',
                default => 'On again '.$this->times->due($from).'.',
            };
        }
        $session = $level->sessions[0] ?? null;
        if ($done !== null && count($level->sessions) === 1) {
            return 'Done about '.$this->times->clock($done).': stay by it then.';
        }

        return $session === null
            ? 'Take it off the flame and cover it when nobody is by.'
            : 'Off and covered by '.$this->times->clock($session->to).'.';
    }
}
