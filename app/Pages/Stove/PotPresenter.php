<?php

namespace App\Pages\Stove;

use App\Actions\Stove\Forecast;
use App\Actions\Stove\SetUp;
use App\Actions\Stove\TakeReadings;
use App\House\KitchenFactory;
use App\House\Times;
use App\Live\LiveToken;
use App\Models\Probe;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Responses\Stove\BathJar;
use App\Responses\Stove\BathView;
use App\Responses\Stove\CookerSetting;
use App\Responses\Stove\StoveCard;
use App\Responses\Stove\StoveJarView;
use App\Responses\Stove\StoveView;
use App\Responses\Stove\StoveWater;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Vessel\Cooker;
use Kettle\Warmth\StoveLog;

/**
 * A warm pot in a cook's words, and as it is drawn.
 *
 * @phpstan-import-type KeptSetUp from StoveSession
 */
final class PotPresenter
{
    public function __construct(
        private readonly KitchenFactory $kitchens,
        private readonly TakeReadings $readings,
        private readonly SetUp $setUp,
        private readonly Times $times,
        private readonly CookerPresenter $cookers,
        private readonly Forecast $forecast,
        private readonly Warmths $warmths,
        private readonly PotJars $jars,
        private readonly PotChart $chart,
        private readonly PotTimes $at,
        private readonly PotLines $lines,
    ) {}

    public function card(StoveSession $session): StoveCard
    {
        $standing = $session->firstProbe();
        $log = $this->log($session, $standing);
        $last = $log->hours()->last();
        $jars = $session->jars->map(fn (StoveJar $jar) => $this->jars->view($session, $jar, $log))->all();
        $slowest =
            $jars === []
                ? null
                : array_reduce(
                    $jars,
                    fn (?StoveJarView $least, StoveJarView $jar) => $least === null || $jar->share < $least->share ? $jar : $least,
                );
        $alarms = $session->state === StoveSession::ENDED ? [] : $this->jars->alarms($session, $standing, $log);

        return new StoveCard(
            $session->uid,
            $this->title($session),
            implode(', ', $session->jars->map(fn (StoveJar $jar) => $jar->batch->herb_name)->all()),
            $session->state,
            $this->state($session),
            $last === null ? null : $this->warmths->warmth($last[1]),
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
        $undone = $this->lines->undone($session);

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
            warmth_text: $last === null ? null : $this->warmths->number($last[1]),
            warmth_unit: $this->warmths->unit(),
            warmth_c: $last === null ? null : round($last[1], 2),
            trend_text: $this->chart->trend($session, $standing, $last),
            by_eye: $standing?->probe->kind === Probe::HAND,
            probe: $standing === null ? null : $this->cookers->probe($standing->probe, ! $ended),
            scale: $this->warmths->scale($session->core(), (float) $session->set_up['room_c']),
            jars: array_values($session->jars->map(fn (StoveJar $jar) => $this->jars->view($session, $jar, $log))->all()),
            alarms: $ended ? [] : $this->jars->alarms($session, $standing, $log),
            bath: $this->bath($session->set_up, $this->levelMm($session, $log)),
            water: PotJars::isDry($session) ? null : $this->water($session, $log),
            chart: $this->chart->view($session, $standing, $undone),
            shake_text: $this->jars->shaken($session),
            over_text: $this->readings->overCeiling($session),
            model_text: $this->forecast->kept($session->set_up, $session->core()),
            done: $this->lines->done($session, $undone),
            read: $this->lines->read($session, $standing),
            live: '/live?token='.LiveToken::for($session->id),
            teaches: $session->speed === 1 && $session->cooker !== null && $log->hours()->count() >= 6,
        );
    }

    /** @param  KeptSetUp  $setUp */
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
                $setUp['jars'],
            ),
        );
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
        $cooker = $session->set_up['cooker'];

        return array_map(fn (array $each) => new CookerSetting($each['name'], round($each['watts']).' W'), $cooker['settings']);
    }

    private function log(StoveSession $session, ?StoveProbe $standing): StoveLog
    {
        return $standing === null
            ? StoveLog::of($session->core(), 0.0, 0.0)
            : $this->readings->log($session, $standing->probe, $standing->gathered);
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
                : ($over <= 0 ? 'Top up now' : 'Top up by '.$this->at->until($session, $session->now() + (int) ($over / $rate))).
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
}
