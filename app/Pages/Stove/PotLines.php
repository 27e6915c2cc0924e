<?php

namespace App\Pages\Stove;

use App\Actions\Stove\TakeBack;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Probe;
use App\Models\StoveEvent;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Responses\Stove\StoveDone;
use App\Responses\Stove\StoveRead;
use Illuminate\Support\Facades\DB;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/** What was done at a pot and read in it, a line each, with what can be taken back. */
final readonly class PotLines
{
    /** Lines of its logbook shown. */
    private const LINES = 40;

    /** Warmths shown beside the field they are typed into: a slip is seen at once, or at the next look. */
    private const READ = 4;

    public function __construct(private KitchenFactory $kitchens, private Times $times, private Warmths $warmths, private PotTimes $at) {}

    /**
     * @param  list<int>  $undone ids of what was taken back
     * @return list<StoveDone> the newest first
     */
    public function done(StoveSession $session, array $undone): array
    {
        $events = $session->events()->orderByDesc('id')->limit(self::LINES)->get();
        $open = TakeBack::open($session, $events);

        return array_values(
            $events
                ->map(
                    fn (StoveEvent $event) => new StoveDone(
                        $this->text($event),
                        $event->by,
                        $this->times->logged($event->happened_at),
                        in_array($event->id, $open, true) ? TakeBack::ofDone($event) : null,
                        in_array($event->id, $undone, true),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<StoveRead> warmths read by eye that can be taken back, the newest first */
    public function read(StoveSession $session, ?StoveProbe $standing): array
    {
        if ($standing === null || $standing->probe->kind !== Probe::HAND || $session->state === StoveSession::ENDED) {
            return [];
        }
        $read = [];
        $rows = DB::table('readings')
            ->where('stove_session_id', $session->id)
            ->where('probe_id', $standing->probe_id)
            ->where('at', '>=', TakeBack::since($session))
            ->orderByDesc('at')
            ->limit(self::READ)
            ->pluck('centi_c', 'at');
        /** @var int $centi */
        foreach ($rows as $at => $centi) {
            $read[] = new StoveRead(TakeBack::ofReading((int) $at), $this->warmths->reading($centi / 100), $this->at->clock((int) $at));
        }

        return $read;
    }

    /** @return list<int> ids of what was taken back */
    public function undone(StoveSession $session): array
    {
        return TakeBack::undone($session->events()->where('kind', TakeBack::BACK)->get());
    }

    public function text(StoveEvent $event): string
    {
        $text = fn (string $key): string => is_string($event->data[$key] ?? null) ? $event->data[$key] : '';
        $number = fn (string $key): ?float => is_int($event->data[$key] ?? null) || is_float($event->data[$key] ?? null)
            ? (float) $event->data[$key]
            : null;

        return $this->line($event->kind, $text, $number, $event->data['herb'] ?? '');
    }

    /**
     * @param  \Closure(string): string  $text of what is kept of it
     * @param  \Closure(string): ?float  $number
     */
    private function line(string $kind, \Closure $text, \Closure $number, mixed $herb): string
    {
        return match ($kind) {
            'started' => 'Jars in, switched to '.$text('setting'),
            'paused' => 'Switched off',
            'on' => 'On again, '.$text('setting'),
            'topped_up' => 'Water topped up'.($number('ml') > 0 ? ', '.AmountWriter::plain((float) $number('ml'), Kind::Volume) : ''),
            'shaken' => 'Shaken and wiped',
            'setting' => 'Switched to '.$text('setting'),
            'lid_on' => 'Lid on',
            'lid_off' => 'Lid off',
            'jar_out' => 'Taken out: '.$this->kitchens->words()->thing($herb),
            'learned' => 'The pot was learned from this',
            'read_back' => sprintf(
                'Taken back: %s, read at %s',
                $this->warmths->reading($number('c') ?? 0.0),
                $this->at->clock((int) $number('at')),
            ),
            TakeBack::BACK => 'Taken back: '.lcfirst($this->line($text('kind'), $text, $number, $herb)),
            default => 'All out, ended',
        };
    }
}
