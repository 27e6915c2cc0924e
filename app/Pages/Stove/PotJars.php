<?php

namespace App\Pages\Stove;

use App\Actions\Stove\Tend;
use App\House\Times;
use App\Models\Probe;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Responses\Stove\StoveAlarm;
use App\Responses\Stove\StoveJarView;
use Kettle\Measure\AmountWriter;
use Kettle\Warmth\StoveLog;
use Kettle\Warmth\StoveWatch;

/** The jars in a warm pot: the hours they had, when they are done, what to see to. */
final readonly class PotJars
{
    public function __construct(private Warmths $warmths, private PotTimes $at, private Times $times) {}

    public function view(StoveSession $session, StoveJar $jar, StoveLog $log): StoveJarView
    {
        $gathered = Tend::gathered($session, $jar);
        $here = $jar->hours !== null ? (float) $jar->hours : (is_numeric($gathered['hours'] ?? null) ? (float) $gathered['hours'] : 0.0);
        $had = (float) $jar->had_h + $here;
        $planned = (float) $jar->planned_h;
        $left = max(0.0, $planned - $had);
        $in = StoveWatch::doneIn($log, $left);

        return new StoveJarView(
            batch: $jar->batch->uid,
            code: $jar->batch->code,
            herb: $jar->batch->herb_name,
            jar: ($jar->count > 1 ? $jar->count.' × ' : '').preg_replace('/^\d+ × /', '', $jar->batch->shelf->jar),
            had_text: AmountWriter::clockSpan($had),
            planned_text: AmountWriter::clockSpan($planned),
            share: $planned > 0 ? round(min(1.0, $had / $planned), 4) : 0.0,
            done_text: match (true) {
                $jar->out_at !== null => 'taken out '.$this->times->due($jar->out_at),
                $left <= 0 => 'has its hours',
                $session->state === StoveSession::PAUSED => AmountWriter::clockSpan($left).' still to come',
                $in === null => 'no hours are gathered at this warmth',
                default => 'done '.$this->at->when($session, $session->now() + (int) $in),
            },
            out: $jar->out_at !== null,
        );
    }

    /** @return list<StoveAlarm> */
    public function alarms(StoveSession $session, ?StoveProbe $standing, StoveLog $log): array
    {
        $now = $session->now();
        $measured = $log->hours()->last() !== null;
        $alarms = (new StoveWatch($session->core(), $this->warmths->warmth(...)))->alarms(
            [
                'now' => $now,
                'on' => $session->state === StoveSession::ON,
                'switched_at' => $session->own($session->switched_at),
                'shaken_at' => $session->own($session->shaken_at),
                'dry' => self::isDry($session),
                'shake_every_s' => $this->shakeEvery($session),
                'by_eye' => $standing === null || $standing->probe->kind === Probe::HAND,
                'water_ml' => $measured && ! self::isDry($session) ? (float) $session->filled_ml - $log->lostSinceFill($now) * 1000 : null,
                'low_ml' => (float) $session->set_up['low_ml'],
                'loses_ml_s' => $log->rate() * 1000,
            ],
            $log,
            array_values(
                $session->jars
                    ->map(function (StoveJar $jar) use ($session): array {
                        $gathered = Tend::gathered($session, $jar);

                        return [
                            'called' => $jar->batch->herb_name,
                            'had_h' => (float) $jar->had_h +
                                (float) ($jar->hours ?? (is_numeric($gathered['hours'] ?? null) ? $gathered['hours'] : 0)),
                            'planned_h' => (float) $jar->planned_h,
                            'out' => $jar->out_at !== null,
                        ];
                    })
                    ->all(),
            ),
        );

        return array_map(fn (array $alarm) => new StoveAlarm($alarm['id'], $alarm['rank'], $alarm['says']), $alarms);
    }

    private function shakeEvery(StoveSession $session): ?int
    {
        $every = null;
        foreach ($session->jars as $jar) {
            $hours = $jar->batch->plan->method->shakeEveryH;
            $every = $jar->out_at === null && $hours !== null ? min($every ?? INF, $hours * 3600) : $every;
        }

        return $every === null ? null : (int) max(300, $every);
    }

    /** When the jars are shaken next; once that has gone by, that they are now. Null where none are. */
    public function shaken(StoveSession $session): ?string
    {
        $every = $session->state === StoveSession::ON ? $this->shakeEvery($session) : null;
        if ($every === null) {
            return null;
        }
        $due = $session->own($session->shaken_at) + $every;

        return $due <= $session->now() ? 'now: it was due at '.$this->at->clock($due) : 'next at '.$this->at->clock($due);
    }

    public static function isDry(StoveSession $session): bool
    {
        return ($session->set_up['dry'] ?? false) === true;
    }
}
