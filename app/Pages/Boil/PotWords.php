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

    public function next(Boil $boil, Level $level): string
    {
        $state = $this->logbook->state($boil);
        $now = $this->kitchens->now();

        return $this->of($state, $level, Signs::of($state, $now, $this->tables));
    }

    public function of(BoilState $state, Level $level, ?Signs $signs): string
    {
        $from = $level->sessions[0]->from ?? null;
        $soon = $from !== null && $from->getTimestamp() - $this->kitchens->now()->getTimestamp() < self::SOON_S;
        if ($state->stage === Stage::Planned) {
            return match (true) {
                $from === null || $soon => 'Put it over the flame.',
                $level->waits => 'Every burner is taken. Put it over the flame '.$this->times->due($from).'.',
                default => 'Put it over the flame '.$this->times->due($from).'.',
            };
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
            return match (true) {
                $from === null => 'Put it over the flame again when somebody is by.',
                $soon => 'On again, while somebody is by.',
                $level->waits => 'Every burner is taken. On again '.$this->times->due($from).'.',
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
