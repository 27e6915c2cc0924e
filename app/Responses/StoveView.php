<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A pot that is warm, live. */
#[OA\Schema(schema: 'StoveView')]
final readonly class StoveView
{
    /**
     * @param  list<CookerSetting>  $settings
     * @param  list<StoveJarView>  $jars
     * @param  list<StoveAlarm>  $alarms
     * @param  list<string>  $model_text
     * @param  list<StoveDone>  $done
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public int $version,
        #[OA\Property(enum: ['on', 'paused', 'ended'])] public string $state,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $cooker,
        #[OA\Property] public string $setting,
        #[OA\Property] public string $setting_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CookerSetting::class))] public array $settings,
        #[OA\Property] public bool $trial,
        #[OA\Property] public int $speed,
        #[OA\Property] public bool $lid,
        #[OA\Property] public ?string $warmth_text,
        #[OA\Property] public string $warmth_unit,
        #[OA\Property] public ?float $warmth_c,
        #[OA\Property] public string $trend_text,
        #[OA\Property] public bool $by_eye,
        #[OA\Property] public ?ProbeView $probe,
        #[OA\Property] public WarmthScale $scale,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveJarView::class))] public array $jars,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveAlarm::class))] public array $alarms,
        #[OA\Property] public BathView $bath,
        #[OA\Property] public ?StoveWater $water,
        #[OA\Property] public WarmthChart $chart,
        #[OA\Property] public ?string $shake_text,
        #[OA\Property] public ?string $over_text,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $model_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoveDone::class))] public array $done,
        #[OA\Property] public string $live,
        #[OA\Property] public bool $teaches,
    ) {}
}
