<?php

namespace App\Responses\Stove;

use App\Responses\Shape;

/** A pot that is warm, live. */
final readonly class StoveView extends Shape
{
    /**
     * @param  list<CookerSetting>  $settings
     * @param  list<StoveJarView>  $jars
     * @param  list<StoveAlarm>  $alarms
     * @param  list<string>  $model_text
     * @param  list<StoveDone>  $done
     * @param  list<StoveRead>  $read
     * @param  'on'|'paused'|'ended'  $state
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $state,
        public string $title,
        public ?string $cooker,
        public string $setting,
        public string $setting_text,
        public array $settings,
        public bool $trial,
        public int $speed,
        public bool $lid,
        public ?string $warmth_text,
        public string $warmth_unit,
        public ?float $warmth_c,
        public string $trend_text,
        public bool $by_eye,
        public ?ProbeView $probe,
        public WarmthScale $scale,
        public array $jars,
        public array $alarms,
        public BathView $bath,
        public ?StoveWater $water,
        public WarmthChart $chart,
        public ?string $shake_text,
        public ?string $over_text,
        public array $model_text,
        public array $done,
        public array $read,
        public string $live,
        public bool $teaches,
    ) {}
}
