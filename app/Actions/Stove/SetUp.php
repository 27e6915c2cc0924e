<?php

namespace App\Actions\Stove;

use App\Models\Batch;
use App\Models\Cooker;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Vessel\CookerException;
use Kettle\Vessel\Jar as CoreJar;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Air;
use Kettle\Warmth\Load;
use Kettle\Warmth\Pot;

/**
 * Jars of some batches in a cooker, with the water round them: as the core wants it, and as a session keeps it.
 *
 * @phpstan-import-type KeptSetUp from StoveSession
 */
final readonly class SetUp
{
    public function __construct(private CurrentHouse $current, private Tables $tables) {}

    /**
     * How far up the water may go.
     *
     * @param  list<Batch>  $batches
     * @return list<string> of WaterBath::DEPTHS, the usual first
     */
    public function depths(array $batches): array
    {
        $method = $batches === [] ? null : Methods::of($this->tables)->method($batches[0]->plan->method->id);

        return match (true) {
            $method === null || $method->warming->water === 'rim' => ['rim', 'quarter'],
            $method->warming->water === '' => [WaterBath::NONE],
            default => [$method->warming->water],
        };
    }

    /**
     * @param  list<Batch>  $batches
     * @return string of WaterBath::DEPTHS: as it was asked for, where the method leaves it open
     */
    public function depth(array $batches, string $asked): string
    {
        $open = $this->depths($batches);

        return in_array($asked, $open, true) ? $asked : $open[0];
    }

    /**
     * @param  list<Batch>  $batches
     * @param  string  $depth as it was asked for; what the method does not leave open is as the method has it
     *
     * @throws CookerException when they do not stand in it
     */
    public function bath(Cooker $cooker, array $batches, string $depth): WaterBath
    {
        $depth = $this->depth($batches, $depth);
        $jars = [];
        foreach ($batches as $batch) {
            $jar = $this->jar($batch);
            for ($i = 0; $i < $jar['count']; $i++) {
                $jars[] = $jar;
            }
        }

        return WaterBath::of($cooker->core(), $jars, $depth);
    }

    /**
     * @return array{called: string, count: int, hangs: bool, brim_ml: float, height_mm: float, diameter_mm: float,
     *     level_mm: float, bed_mm: float, contents_g: float, oil_kg: float, herb_kg: float} one of a batch's jars
     */
    public function jar(Batch $batch): array
    {
        $jar = $batch->plan->jar;
        [$oil, $herb] = [
            ($batch->plan->figureOrNull('oil_mass') ?? 0.0) / $jar->count,
            ($batch->plan->figureOrNull('herb_mass') ?? 0.0) / $jar->count,
        ];

        return [
            'called' => $jar->called,
            'count' => $jar->count,
            'brim_ml' => $jar->brimMl,
            'height_mm' => $jar->heightMm,
            'diameter_mm' => $jar->diameterMm,
            'level_mm' => $jar->levelMm,
            'bed_mm' => $jar->bedMm,
            'hangs' => $jar->is(CoreJar::BOWL),
            'contents_g' => $oil + $herb,
            'oil_kg' => $oil / 1000,
            'herb_kg' => $herb / 1000,
        ];
    }

    /**
     * What a session keeps.
     *
     * @param  list<Batch>  $batches
     * @return KeptSetUp
     */
    public function keep(Cooker $cooker, array $batches, WaterBath $bath, float $waterMl): array
    {
        $house = $this->current->house();
        $heat = $into = 0.0;
        foreach ($batches as $batch) {
            $jar = $this->jar($batch);
            $heat +=
                $jar['count'] *
                Pot::jars($jar['oil_kg'], $jar['herb_kg'], WaterBath::glassG($jar['diameter_mm'], $jar['height_mm']) / 1000);
            $into +=
                ($jar['count'] *
                    ($bath->isDry()
                        ? Load::FROM_AIR * Load::wetMm2($jar['diameter_mm'], $jar['level_mm'], true)
                        : Load::INTO_JAR * Load::wetMm2($jar['diameter_mm'], min($jar['level_mm'], $bath->fullMm), $jar['hangs']))) /
                1e6;
        }
        $round = fn (float $value, int $to = 1) => round($value, $to);

        return [
            'cooker' => [
                'called' => $cooker->called,
                'shape' => $cooker->shape,
                'length_mm' => (float) $cooker->length_mm,
                'width_mm' => (float) $cooker->width_mm,
                'height_mm' => (float) $cooker->height_mm,
                'settings' => $cooker->settings,
                'loss_w_per_k' => (float) $cooker->loss_w_per_k,
                'vessel_j_per_k' => (float) $cooker->vessel_j_per_k,
                'learned' => $cooker->learned !== null,
                'methods' => $cooker->methods,
            ],
            'jars' => array_map(fn (array $jar) => array_map(fn (mixed $v) => is_float($v) ? $round($v) : $v, $jar), $bath->jars),
            'full_mm' => $round($bath->fullMm),
            'low_mm' => $round($bath->lowMm),
            'water_ml' => $round($waterMl),
            'low_ml' => $round($bath->waterMl($bath->lowMm)),
            'full_ml' => $round($bath->waterMl($bath->fullMm)),
            'open_m2' => $round($bath->openM2(), 5),
            'jars_j_per_k' => $round($heat),
            'jars_w_per_k' => $round($into, 3),
            'room_c' => (float) $house->room_c,
            'height_m' => $house->height_m,
            'lid' => false,
            'dry' => $bath->isDry(),
            'held_by_floating' => $bath->heldByFloating,
        ];
    }

    /** @param  KeptSetUp  $setUp as keep() gives it */
    public function pot(array $setUp, string $setting, float $waterKg): Pot
    {
        return Pot::of($this->parts($setUp, $setting, $waterKg));
    }

    /**
     * The parts of a pot, as `reckon pot` takes them.
     *
     * @param  KeptSetUp  $setUp
     * @return array<string, float>
     */
    public function parts(array $setUp, string $setting, float $waterKg): array
    {
        $watts = 0.0;
        foreach ($setUp['cooker']['settings'] as $each) {
            $watts = $each['name'] === $setting ? (float) $each['watts'] : $watts;
        }

        return [
            'watts' => $watts,
            'loss_w_per_k' => (float) $setUp['cooker']['loss_w_per_k'],
            'water_kg' => ($setUp['dry'] ?? false) === true ? 0.0 : max(0.1, $waterKg),
            'vessel_j_per_k' => (float) $setUp['cooker']['vessel_j_per_k'],
            'open_m2' => $this->openM2($setUp),
            'jars_j_per_k' => (float) $setUp['jars_j_per_k'],
            'jars_w_per_k' => (float) $setUp['jars_w_per_k'],
            'room_c' => (float) $setUp['room_c'],
            'height_m' => (float) $setUp['height_m'],
        ];
    }

    /**
     * @param  KeptSetUp  $setUp water that steams off freely; under a lid steam falls back,
     *     and about a twentieth gets out: from memory
     */
    public function openM2(array $setUp): float
    {
        return (float) $setUp['open_m2'] * (($setUp['lid'] ?? false) === true ? 0.05 : 1.0);
    }

    /** @throws CookerException when there is no such cooker, or it has no such setting */
    public function cooker(string $uid, string $setting): Cooker
    {
        $cooker =
            Cooker::query()->where('uid', $uid)->first() ??
            throw new CookerException('unknown', 'Say which cooker they go into.', 'cooker');
        if (! in_array($setting, array_column($cooker->settings, 'name'), true)) {
            throw new CookerException(
                'unknown',
                sprintf('%s has no setting “%s”.', ucfirst($cooker->called), mb_substr($setting, 0, 40)),
                'setting',
            );
        }

        return $cooker;
    }

    /** @param  KeptSetUp  $setUp */
    public function airKPa(array $setUp): float
    {
        return Air::saturation((float) $setUp['room_c']) * 0.5;
    }

    /** @param  KeptSetUp  $setUp the water still standing, mm, for so many mL */
    public function levelMm(array $setUp, float $ml): float
    {
        $full = max(1.0, (float) $setUp['full_ml']);

        return ((float) $setUp['full_mm'] * max(0.0, $ml)) / $full;
    }
}
