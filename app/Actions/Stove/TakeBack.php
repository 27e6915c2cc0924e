<?php

namespace App\Actions\Stove;

use App\Models\Probe;
use App\Models\StoveEvent;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\DiaryException;
use Kettle\Reason\RefusedException;
use Kettle\Warmth\WarmthException;

/**
 * Takes back what was written down by mistake at a warm pot: a warmth read by eye, its last shaking or topping up, and the
 * last that was switched there, ended too. What was taken back stays in the pot's logbook, beside the line that says so.
 */
final readonly class TakeBack
{
    /** What rests on none of the others: of each the last can be taken back. */
    public const DONE = ['topped_up', 'shaken'];

    /** The line that takes one of them back. */
    public const BACK = 'done_back';

    public function __construct(private TakeReadings $readings, private Switching $switching, private PlanDiary $diary) {}

    /**
     * @param  string  $entry as ofReading() and ofDone() write it
     *
     * @throws RefusedException when it is none of this pot, or can no longer be taken back
     */
    public function __invoke(StoveSession $session, string $entry): void
    {
        [$what, $which] = [...explode('-', $entry, 2), ''];
        if (preg_match('/^\d{1,12}$/D', $which) !== 1) {
            throw WarmthException::notFromHere();
        }
        DB::transaction(function () use ($session, $what, $which): void {
            $locked = StoveSession::query()->whereKey($session->id)->lockForUpdate()->with('probes.probe')->firstOrFail();
            // Once it is over only that it is over can be taken back.
            if ($locked->state === StoveSession::ENDED && $what !== 'done') {
                throw new DiaryException('not_open', 'This is over: what was counted is in the logbooks of its jars.');
            }
            $switched = match ($what) {
                'read' => $this->reading($locked, (int) $which),
                'done' => $this->done($locked, (int) $which),
                default => throw WarmthException::notFromHere(),
            };
            $locked->version++;
            $locked->save();
            $switched && $locked->speed === 1 && ($this->diary)();
        });
        $session->refresh();
    }

    /** @param  int  $at second of the session's own time */
    public static function ofReading(int $at): string
    {
        return 'read-'.$at;
    }

    public static function ofDone(StoveEvent $event): string
    {
        return 'done-'.$event->id;
    }

    /** From when on readings can be taken back: what was gathered before it was switched off went to the logbooks, s. */
    public static function since(StoveSession $session): int
    {
        return $session->own($session->switched_at);
    }

    /**
     * Which of what was done can be taken back: the last of each, and of all that was switched the last, where what stood
     * before it is known; of a pot that is over, that it is.
     *
     * @param  iterable<StoveEvent>  $events the newest first
     * @return list<int> ids
     */
    public static function open(StoveSession $session, iterable $events): array
    {
        $over = $session->state === StoveSession::ENDED;
        $back = self::undone($events);
        $seen = $open = [];
        foreach ($events as $event) {
            $sort = match (true) {
                in_array($event->kind, Switching::KINDS, true) => 'switched',
                in_array($event->kind, self::DONE, true) => $event->kind,
                default => null,
            };
            if ($sort !== null && ! isset($seen[$sort]) && ! in_array($event->id, $back, true)) {
                isset($event->data['before']) && (! $over || $event->kind === Switching::ENDED) && ($open[] = $event->id);
                $seen[$sort] = true;
            }
        }

        return $open;
    }

    /**
     * @param  iterable<StoveEvent>  $events
     * @return list<int> ids of what was taken back by them
     */
    public static function undone(iterable $events): array
    {
        $back = [];
        foreach ($events as $event) {
            foreach ($event->kind === self::BACK ? ['event', 'with'] : [] as $which) {
                $of = $event->data[$which] ?? null;
                is_int($of) && ($back[] = $of);
            }
        }

        return $back;
    }

    /** @return false for nothing was switched */
    private function reading(StoveSession $session, int $at): bool
    {
        $standing = $session->probes->first(fn (StoveProbe $each) => $each->probe->kind === Probe::HAND);
        $row = DB::table('readings')
            ->where('stove_session_id', $session->id)
            ->where('probe_id', $standing->probe_id ?? 0)
            ->where('at', $at);
        $centi = $at < self::since($session) ? null : $row->value('centi_c');
        if ($standing === null || ! is_int($centi)) {
            throw WarmthException::notFromHere();
        }
        $row->delete();
        $this->readings->again($session, $standing);
        StartSession::note($session, 'read_back', ['at' => $at, 'c' => $centi / 100]);

        return false;
    }

    /** @return bool whether it was switched, so that the days to come are placed anew */
    private function done(StoveSession $session, int $id): bool
    {
        $events = $session->events()->orderByDesc('id')->get();
        $event = in_array($id, self::open($session, $events), true) ? $events->firstWhere('id', $id) : null;
        if ($event === null) {
            throw WarmthException::notFromHere();
        }
        /** @var array{at: string, ml?: float|int, entries?: list<array{string, string}>, with?: int} $before */
        $before = $event->data['before'];
        $switched = in_array($event->kind, Switching::KINDS, true);
        if ($switched) {
            $this->switching->back($session, $event);
        } elseif ($event->kind === 'topped_up') {
            $session->filled_at = Carbon::parse($before['at']);
            $session->filled_ml = (string) ($before['ml'] ?? 0);
            foreach ($session->probes as $standing) {
                $this->readings->again($session, $standing);
            }
        } else {
            // Switched on again since then, it counts from there.
            if ($session->shaken_at <= $event->happened_at) {
                $session->shaken_at = Carbon::parse($before['at']);
            }
            foreach ($before['entries'] ?? [] as [$batch, $entry]) {
                $this->switching->strikeOut($batch, $entry);
            }
        }
        $said = array_intersect_key($event->data, ['setting' => true, 'herb' => true]);
        $with = isset($before['with']) ? ['with' => $before['with']] : [];
        StartSession::note($session, self::BACK, ['event' => $event->id, 'kind' => $event->kind] + $said + $with);

        return $switched;
    }
}
