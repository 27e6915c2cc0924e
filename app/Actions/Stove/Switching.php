<?php

namespace App\Actions\Stove;

use App\Actions\Batches\StrikeOut;
use App\Models\Batch;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveSession;
use Illuminate\Support\Carbon;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\CookerException;
use Kettle\Warmth\WarmthException;

/**
 * How a pot stood before it was switched, so that a slip of the finger can be taken back: it then stands as it stood,
 * and what went into the logbooks of its jars is struck out there.
 *
 * @phpstan-type Stood array{state: 'ended'|'on'|'paused', setting: string, lid: ?bool, switched_at: string, shaken_at: string,
 *     jars: list<array{id: int, logged_h: string}>, entries?: list<array{string, string}>, with?: int}
 */
final readonly class Switching
{
    /** Each rests on the one before it: only the last of them all can be taken back. */
    public const KINDS = ['paused', 'on', 'setting', 'lid_on', 'lid_off', 'jar_out', self::ENDED];

    public const ENDED = 'ended';

    public function __construct(private StrikeOut $strike) {}

    /** @return Stood before something is switched */
    public static function stands(StoveSession $session): array
    {
        return [
            'state' => $session->state,
            'setting' => $session->setting,
            'lid' => $session->set_up['lid'] ?? null,
            'switched_at' => (string) $session->switched_at->toISOString(),
            'shaken_at' => (string) $session->shaken_at->toISOString(),
            'jars' => array_values(
                $session->jars
                    ->filter(fn (StoveJar $jar) => $jar->out_at === null)
                    ->map(fn (StoveJar $jar) => ['id' => $jar->id, 'logged_h' => $jar->logged_h])
                    ->all(),
            ),
        ];
    }

    /**
     * @param  StoveEvent  $event one of KINDS, the last
     *
     * @throws RefusedException where what came after rests on it
     */
    public function back(StoveSession $session, StoveEvent $event): void
    {
        /** @var Stood $stood */
        $stood = $event->data['before'];
        $logged = array_column($stood['jars'], 'logged_h', 'id');
        $jars = $session->jars()->with('batch')->whereIn('id', array_keys($logged))->get();
        $session->speed === 1 && $this->refuseElsewhere($session, $event, $jars->all());
        foreach ($stood['entries'] ?? [] as [$batch, $entry]) {
            $this->strikeOut($batch, $entry);
        }
        foreach ($jars as $jar) {
            $jar->logged_h = $logged[$jar->id];
            $jar->hours = $jar->out_at = null;
            $jar->save();
        }
        $session->state = $stood['state'];
        $session->setting = $stood['setting'];
        $set = $session->set_up;
        unset($set['lid']);
        $session->set_up = $stood['lid'] === null ? $set : ['lid' => $stood['lid']] + $set;
        $session->switched_at = Carbon::parse($stood['switched_at']);
        // Shaken since it was switched on, it counts from there.
        if ($event->kind === 'on' && $session->shaken_at <= $event->happened_at) {
            $session->shaken_at = Carbon::parse($stood['shaken_at']);
        }
        $session->ended_at = null;
    }

    /**
     * Struck out at the batch itself before, nothing is left to be done.
     *
     * @throws RefusedException where a later step of the batch rests on it
     */
    public function strikeOut(string $batch, string $entry): void
    {
        $of = Batch::query()->where('uid', $batch)->firstOrFail();
        $of->entries()->where('kind', 'undone')->where('corrects', $entry)->exists() || ($this->strike)($of, $entry);
    }

    /**
     * What was put back meanwhile somewhere else, or is no longer a jar that steeps, stays where it is.
     *
     * @param  array<int, StoveJar>  $jars as they stood
     *
     * @throws RefusedException
     */
    private function refuseElsewhere(StoveSession $session, StoveEvent $event, array $jars): void
    {
        foreach ($jars as $jar) {
            $jar->batch->stage === Stage::Steeping || throw DiaryException::nothingToWarm($jar->batch->herb_name);
            $jar->out_at !== null &&
                StoveJar::standing()->where('batch_id', $jar->batch_id)->exists() &&
                throw DiaryException::standsInACooker($jar->batch->herb_name);
        }
        if ($event->kind !== self::ENDED) {
            return;
        }
        $session->cooker?->inUse() === true && throw CookerException::inUse($session->cooker->called);
        foreach ($session->probes as $standing) {
            $standing->probe->stands() && throw WarmthException::standsElsewhere($standing->probe->called);
        }
    }
}
