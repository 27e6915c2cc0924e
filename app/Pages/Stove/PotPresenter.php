<?php

namespace App\Pages\Stove;

use App\Actions\Stove\Forecast;
use App\Actions\Stove\SetUp;
use App\Actions\Stove\TakeReadings;
use App\Actions\Stove\Tend;
use App\House\KitchenFactory;
use App\House\Times;
use App\Live\LiveToken;
use App\Models\Probe;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Responses\Stove\BathJar;
use App\Responses\Stove\BathView;
use App\Responses\Stove\ChartMark;
use App\Responses\Stove\CookerSetting;
use App\Responses\Stove\StoveAlarm;
use App\Responses\Stove\StoveCard;
use App\Responses\Stove\StoveDone;
use App\Responses\Stove\StoveJarView;
use App\Responses\Stove\StoveView;
use App\Responses\Stove\StoveWater;
use App\Responses\Stove\WarmthChart;
use App\Responses\Stove\WarmthScale;
use App\Responses\Stove\WarmthTick;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\Unit;
use Kettle\Recipe\Kitchen;
use Kettle\Time\Dates;
use Kettle\Vessel\Cooker;
use Kettle\Warmth\Band;
use Kettle\Warmth\StoveLog;
use Kettle\Warmth\StoveWatch;

/** A warm pot in a cook's words, and as it is drawn. */
final class PotPresenter
{
    public const POINTS = 240;

    /** Lines of its logbook shown. */
    private const LINES = 40;

    /** A warmth that moves less in ten minutes is steady, degrees C. */
    private const STEADY_C = 0.6;

    private ?Kitchen $kitchen = null;

    public function __construct(
        private readonly KitchenFactory $kitchens,
        private readonly TakeReadings $readings,
        private readonly SetUp $setUp,
        private readonly Times $times,
        private readonly CookerPresenter $cookers,
        private readonly Forecast $forecast,
    ) {}

    public function card(StoveSession $session): StoveCard
    {
        $standing = $session->firstProbe();
        $log = $this->log($session, $standing);
        $last = $log->hours()->last();
        $jars = $session->jars->map(fn (StoveJar $jar) => $this->jar($session, $jar, $log))->all();
        $slowest =
            $jars === []
                ? null
                : array_reduce(
                    $jars,
                    fn (?StoveJarView $least, StoveJarView $jar) => $least === null || $jar->share < $least->share ? $jar : $least,
                );
        $alarms = $session->state === StoveSession::ENDED ? [] : $this->alarms($session, $standing, $log);

        return new StoveCard(
            $session->uid,
            $this->title($session),
            implode(', ', $session->jars->map(fn (StoveJar $jar) => $jar->batch->herb_name)->all()),
            $session->state,
            $this->state($session),
            $last === null ? null : $this->warmth($last[1]),
            $slowest->share ?? 0.0,
            $slowest === null ? '' : $slowest->had_text.' of '.$slowest->planned_text,
            $alarms[0] ?? null,
            $session->speed > 1,
        );
    }

    public function view(StoveSession $session): StoveView
    {
        $standing = $session->firstProbe();
        $log = $this->log($session, $standing);
        $last = $log->hours()->last();
        $ended = $session->state === StoveSession::ENDED;
        $now = $session->now();

        return new StoveView(
            id: $session->uid,
            version: $session->version,
            state: $session->state,
            title: $this->title($session),
            cooker: $session->cooker?->uid,
            setting: $session->setting,
            setting_text: $this->kitchens->words()->of(Cooker::on($session->setting)),
            settings: $this->settings($session),
            trial: $session->speed > 1,
            speed: $session->speed,
            lid: ($session->set_up['lid'] ?? false) === true,
            warmth_text: $last === null ? null : $this->number($last[1]),
            warmth_unit: $this->kitchen()->fahrenheit ? '°F' : '°C',
            warmth_c: $last === null ? null : round($last[1], 2),
            trend_text: $this->trend($session, $standing, $last),
            by_eye: $standing?->probe->kind === Probe::HAND,
            probe: $standing === null ? null : $this->cookers->probe($standing->probe, ! $ended),
            scale: $this->scale($session->core(), (float) $session->set_up['room_c']),
            jars: array_values($session->jars->map(fn (StoveJar $jar) => $this->jar($session, $jar, $log))->all()),
            alarms: $ended ? [] : $this->alarms($session, $standing, $log),
            bath: $this->bath($session->set_up, $this->levelMm($session, $log)),
            water: $this->isDry($session) ? null : $this->water($session, $log),
            chart: $this->chart($session, $standing),
            shake_text: $session->state === StoveSession::ON && ($every = $this->shakeEvery($session)) !== null
                ? $this->shakeText($session, $every)
                : null,
            over_text: $this->readings->overCeiling($session),
            model_text: $this->forecast->kept($session->set_up, $session->core()),
            done: array_values(
                $session
                    ->events()
                    ->orderByDesc('id')
                    ->limit(self::LINES)
                    ->get()
                    ->map(
                        fn (StoveEvent $event) => new StoveDone($this->done($event), $event->by, $this->times->logged($event->happened_at)),
                    )
                    ->all(),
            ),
            live: '/live?token='.LiveToken::for($session->id),
            teaches: $session->speed === 1 && $session->cooker !== null && $log->hours()->count() >= 6,
        );
    }

    /** @param  array<string, mixed>  $setUp */
    public function bath(array $setUp, float $nowMm): BathView
    {
        $cooker = $setUp['cooker'];

        return new BathView(
            $cooker['shape'],
            (float) $cooker['length_mm'],
            (float) $cooker['width_mm'],
            (float) $cooker['height_mm'],
            (float) $setUp['full_mm'],
            (float) $setUp['low_mm'],
            round($nowMm, 1),
            AmountWriter::plain((float) $setUp['full_ml'], Kind::Volume),
            array_map(
                fn (array $jar) => new BathJar(
                    $jar['called'],
                    (float) $jar['x'],
                    (float) $jar['y'],
                    (float) $jar['d'],
                    (float) $jar['height'],
                    (float) $jar['level'],
                    (float) $jar['bed'],
                ),
                array_values($setUp['jars']),
            ),
        );
    }

    public function scale(Band $band, float $roomC): WarmthScale
    {
        $low = floor(($roomC - 8) / 5) * 5;
        $high = ceil(($band->ceiling + 12) / 5) * 5;
        $ticks = [];
        $fahrenheit = $this->kitchen()->fahrenheit;
        $unit = Unit::make('°F');
        // Marks at whole tens of the cook's own degrees.
        [$from, $to, $step] = $fahrenheit ? [$unit->fromBase($low), $unit->fromBase($high), 20] : [$low, $high, 10];
        for ($mark = ceil($from / $step) * $step; $mark <= $to; $mark += $step) {
            $ticks[] = new WarmthTick(round($fahrenheit ? $unit->toBase($mark) : $mark, 3), (string) round($mark));
        }
        $top = min($band->ceiling, $band->target + ($band->target - $band->low));

        return new WarmthScale(
            $low,
            $high,
            $ticks,
            $band->low,
            round($top, 2),
            $band->ceiling,
            $this->number($band->low, 0).' to '.$this->warmth($top),
            'ceiling '.$this->number($band->ceiling, 0),
        );
    }

    public function warmth(float $celsius): string
    {
        return $this->kitchen()->warmth($celsius);
    }

    public function number(float $celsius, int $places = 1): string
    {
        return number_format($this->kitchen()->fahrenheit ? Unit::make('°F')->fromBase($celsius) : $celsius, $places, '.', '');
    }

    public function title(StoveSession $session): string
    {
        $jars = array_sum($session->jars->map(fn (StoveJar $jar) => $jar->count)->all());
        $numbers = [1 => 'One jar', 2 => 'Two jars', 3 => 'Three jars', 4 => 'Four jars', 5 => 'Five jars', 6 => 'Six jars'];

        return ($numbers[$jars] ?? $jars.' jars').' in the '.$session->set_up['cooker']['called'];
    }

    private function state(StoveSession $session): string
    {
        return match ($session->state) {
            StoveSession::ON => $this->kitchens->words()->of(Cooker::on($session->setting)).
                ' since '.
                $this->times->clock($session->switched_at),
            StoveSession::PAUSED => 'off since '.$this->times->clock($session->switched_at),
            default => 'ended '.$this->times->due($session->ended_at ?? $session->switched_at),
        };
    }

    /** @return list<CookerSetting> */
    private function settings(StoveSession $session): array
    {
        /** @var array{settings: list<array{name: string, watts: float|int}>} $cooker */
        $cooker = $session->set_up['cooker'];

        return array_map(fn (array $each) => new CookerSetting($each['name'], round($each['watts']).' W'), $cooker['settings']);
    }

    private function log(StoveSession $session, ?StoveProbe $standing): StoveLog
    {
        return $standing === null
            ? StoveLog::of($session->core(), 0.0, 0.0)
            : $this->readings->log($session, $standing->probe, $standing->gathered);
    }

    private function jar(StoveSession $session, StoveJar $jar, StoveLog $log): StoveJarView
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
                default => 'done '.$this->when($session, $session->now() + (int) $in),
            },
            out: $jar->out_at !== null,
        );
    }

    /** @return list<StoveAlarm> */
    private function alarms(StoveSession $session, ?StoveProbe $standing, StoveLog $log): array
    {
        $now = $session->now();
        $measured = $log->hours()->last() !== null;
        $alarms = (new StoveWatch($session->core(), $this->warmth(...)))->alarms(
            [
                'now' => $now,
                'on' => $session->state === StoveSession::ON,
                'switched_at' => $session->own($session->switched_at),
                'shaken_at' => $session->own($session->shaken_at),
                'dry' => $this->isDry($session),
                'shake_every_s' => $this->shakeEvery($session),
                'by_eye' => $standing === null || $standing->probe->kind === Probe::HAND,
                'water_ml' => $measured && ! $this->isDry($session) ? (float) $session->filled_ml - $log->lostSinceFill($now) * 1000 : null,
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
                            'had_h' => (float) $jar->had_h + (float) ($jar->hours ?? ($gathered['hours'] ?? 0)),
                            'planned_h' => (float) $jar->planned_h,
                            'out' => $jar->out_at !== null,
                        ];
                    })
                    ->all(),
            ),
        );

        return array_map(fn (array $alarm) => new StoveAlarm($alarm['id'], $alarm['rank'], $alarm['says']), $alarms);
    }

    private function isDry(StoveSession $session): bool
    {
        return ($session->set_up['dry'] ?? false) === true;
    }

    private function water(StoveSession $session, StoveLog $log): StoveWater
    {
        $rate = $log->rate() * 1000;
        $left = (float) $session->filled_ml - $log->lostSinceFill($session->now()) * 1000;
        $over = $left - (float) $session->set_up['low_ml'];

        return new StoveWater(
            'about '.
                AmountWriter::plain(max(0.0, $left), Kind::Volume).
                ' of '.
                AmountWriter::plain((float) $session->set_up['full_ml'], Kind::Volume),
            $rate <= 0 ? '' : sprintf('Loses %s an hour at this warmth.', AmountWriter::plain(round($rate * 3600), Kind::Volume)),
            $rate <= 0 || $session->state === StoveSession::ENDED
                ? null
                : ($over <= 0 ? 'Top up now' : 'Top up by '.$this->until($session, $session->now() + (int) ($over / $rate))).
                    ', with about '.
                    AmountWriter::plain(
                        round(
                            max(
                                0.0,
                                (float) $session->set_up['full_ml'] - max($over <= 0 ? $left : 0.0, (float) $session->set_up['low_ml']),
                            ),
                            -1,
                        ),
                        Kind::Volume,
                    ).
                    ', hot from the kettle',
        );
    }

    private function levelMm(StoveSession $session, StoveLog $log): float
    {
        return $this->setUp->levelMm($session->set_up, (float) $session->filled_ml - $log->lostSinceFill($session->now()) * 1000);
    }

    private function chart(StoveSession $session, ?StoveProbe $standing): WarmthChart
    {
        $from = $session->started_at->getTimestamp();
        $now = $session->now();
        $model = array_values(array_filter(is_array($session->set_up['model'] ?? null) ? $session->set_up['model'] : [], 'is_array'));
        $modelEnd = $model === [] ? $from : $from + (int) $model[count($model) - 1][0];
        $to = max($now + 600, $session->state === StoveSession::ON ? min($modelEnd, $from + 14 * 3600) : $now);
        $points =
            $standing === null ? [] : TakeReadings::thinned($session->id, $standing->probe_id, $from, max($now, $from + 1), self::POINTS);
        $marks = [];
        foreach (
            $session
                ->events()
                ->whereIn('kind', ['paused', 'on', 'topped_up', 'setting', 'lid_on', 'lid_off'])
                ->orderBy('id')
                ->limit(60)
                ->get() as $event
        ) {
            $marks[] = new ChartMark($session->own($event->happened_at), $this->done($event));
        }

        return new WarmthChart(
            $from,
            $to,
            $now,
            $points,
            array_values(
                array_map(
                    fn (array $point) => [(float) ($from + $point[0]), (float) $point[1]],
                    array_filter($model, fn (array $point) => $from + $point[0] <= $to),
                ),
            ),
            $marks,
            $this->hoursOf($from, $to),
        );
    }

    /** @return list<ChartMark> full hours of the house's clock, some six of them */
    public function hoursOf(int $from, int $to): array
    {
        $every = 3600;
        foreach ([1, 2, 3, 4, 6, 12, 24, 48, 96] as $hours) {
            $every = $hours * 3600;
            if (($to - $from) / $every <= 7) {
                break;
            }
        }
        $zone = $this->kitchen()->now->getTimezone();
        $offset = $zone->getOffset(new \DateTimeImmutable('@'.$from));
        $marks = [];
        for ($at = (int) ceil(($from + $offset) / $every) * $every - $offset; $at <= $to; $at += $every) {
            $local = (new \DateTimeImmutable('@'.$at))->setTimezone($zone);
            $marks[] = new ChartMark($at, $local->format($every >= 86400 ? 'D j' : 'H:i'));
        }

        return $marks;
    }

    /** @param  array{int, float}|null  $last */
    private function trend(StoveSession $session, ?StoveProbe $standing, ?array $last): string
    {
        if ($standing === null || $last === null) {
            return $standing?->probe->kind === Probe::HAND ? 'nothing read yet' : 'waiting for the first reading';
        }
        $silent = $session->now() - $last[0];
        if ($standing->probe->kind === Probe::HAND) {
            return 'read '.($silent < 90 ? 'just now' : AmountWriter::span($silent / 3600).' ago');
        }
        if ($silent > 120) {
            return 'last heard '.AmountWriter::span($silent / 3600).' ago';
        }
        $before = DB::table('readings')
            ->where('stove_session_id', $session->id)
            ->where('probe_id', $standing->probe_id)
            ->whereBetween('at', [$last[0] - 700, $last[0] - 500])
            ->avg('centi_c');
        if ($before === null) {
            return 'just begun';
        }
        $change = $last[1] - (float) $before / 100;
        $said = $this->kitchen()->fahrenheit ? number_format(abs($change) * 1.8, 1).' °F' : number_format(abs($change), 1).' °C';

        return abs($change) < self::STEADY_C ? 'steady' : ($change > 0 ? 'rising ' : 'falling ').$said.' in ten minutes';
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

    private function done(StoveEvent $event): string
    {
        $text = fn (string $key): string => is_string($event->data[$key] ?? null) ? $event->data[$key] : '';

        return match ($event->kind) {
            'started' => 'Jars in, switched to '.$text('setting'),
            'paused' => 'Switched off',
            'on' => 'On again, '.$text('setting'),
            'topped_up' => 'Water topped up'.
                (is_numeric($event->data['ml'] ?? null) && $event->data['ml'] > 0
                    ? ', '.AmountWriter::plain((float) $event->data['ml'], Kind::Volume)
                    : ''),
            'shaken' => 'Shaken and wiped',
            'setting' => 'Switched to '.$text('setting'),
            'lid_on' => 'Lid on',
            'lid_off' => 'Lid off',
            'jar_out' => 'Taken out: '.$this->kitchens->words()->thing($event->data['herb'] ?? ''),
            'learned' => 'The pot was learned from this',
            default => 'All out, ended',
        };
    }

    private function clock(StoveSession $session, int $at): string
    {
        return $this->times->clock(Carbon::createFromTimestamp($at));
    }

    /** "16:50", or with its day when that is another. */
    private function until(StoveSession $session, int $at): string
    {
        $moment = Carbon::createFromTimestamp($at);

        return $this->times->daysBetween(Carbon::createFromTimestamp($session->now()), $moment) === 0
            ? $this->times->clock($moment)
            : Dates::say($this->kitchens->local($moment), 'day_and_time');
    }

    private function when(StoveSession $session, int $at): string
    {
        $moment = Carbon::createFromTimestamp($at);

        return $this->times->daysBetween(Carbon::createFromTimestamp($session->now()), $moment) === 0
            ? 'about '.$this->times->clock($moment)
            : $this->times->due($moment);
    }

    private function kitchen(): Kitchen
    {
        return $this->kitchen ??= $this->kitchens->plain();
    }

    /** When the jars are shaken next; once that has gone by, that they are now. */
    private function shakeText(StoveSession $session, int $every): string
    {
        $due = $session->own($session->shaken_at) + $every;

        return $due <= $session->now() ? 'now: it was due at '.$this->clock($session, $due) : 'next at '.$this->clock($session, $due);
    }
}
