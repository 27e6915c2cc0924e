<?php

namespace App\Responses\Stove;

use App\Responses\Shape;

/** What a pot will do, before it is switched on: a model, with ranges. */
final readonly class PotOutlook extends Shape
{
    /**
     * @param  list<OutlookLine>  $lines
     * @param  list<StoveAlarm>  $warnings
     * @param  list<string>  $instead settings that keep under the ceiling, where this one does not
     */
    public function __construct(
        public BathView $bath,
        public array $lines,
        public array $warnings,
        public array $instead,
        public string $stands_text,
        public string $pour_text,
        public string $model,
        public WarmthChart $chart,
        public WarmthScale $scale,
    ) {}
}
