<?php

namespace App\Pages\Stove;

use App\House\Times;
use App\Models\Cooker;
use App\Models\Probe;
use App\Responses\Stove\CookerSetting;
use App\Responses\Stove\CookerView;
use App\Responses\Stove\ProbeView;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;

/** A cooker or a thermometer, in words. */
final readonly class CookerPresenter
{
    public function __construct(private Tables $tables, private Times $times) {}

    public function cooker(Cooker $cooker, bool $inUse): CookerView
    {
        $methods = Methods::of($this->tables);
        $mm = fn (string $value): string => (string) round((float) $value);

        return new CookerView(
            $cooker->uid,
            $cooker->called,
            $cooker->shape,
            ($cooker->shape === 'round' ? $mm($cooker->length_mm) : $mm($cooker->length_mm).' × '.$mm($cooker->width_mm)).
                ' mm inside, '.
                $mm($cooker->height_mm).
                ' mm deep',
            (float) $cooker->length_mm,
            (float) $cooker->width_mm,
            (float) $cooker->height_mm,
            implode(', ', array_map(fn (string $id) => $methods->method($id)->name, $cooker->methods)),
            $cooker->methods,
            array_map(fn (array $each) => new CookerSetting($each['name'], round($each['watts']).' W'), $cooker->settings),
            sprintf('loses %s W for each degree over the room', rtrim(rtrim(number_format((float) $cooker->loss_w_per_k, 2), '0'), '.')),
            $cooker->learned === null ? null : 'learned '.$this->times->date($cooker->learned['on']),
            $inUse,
        );
    }

    public function probe(Probe $probe, bool $busy): ProbeView
    {
        return new ProbeView(
            $probe->uid,
            $probe->called,
            $probe->kind,
            match ($probe->kind) {
                Probe::HAND => 'read by eye',
                Probe::SIMULATED => 'simulated',
                default => 'sends by itself',
            },
            $busy,
        );
    }
}
