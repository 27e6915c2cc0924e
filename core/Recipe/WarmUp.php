<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\CookerPlace;
use Kettle\Infusion\Method;
use Kettle\Vessel\Jar;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;
use Kettle\Warmth\Load;

/** How long a wish takes before it is warm: by a cooker of the house, by a common one, or by what is usual for the method. */
final class WarmUp
{
    /** What is reckoned with before amounts are known: about a pint, in the vessel's usual size; mm and kg. */
    private const USUAL = [
        Jar::JAR => [76.0, 115.0, 88.0, 0.4],
        Jar::BOWL => [113.0, 75.0, 45.0, 0.4],
        Jar::PAN => [236.0, 55.0, 10.0, 0.4],
    ];

    /** Water to an inch below the rim, or half way up. */
    private const BELOW_RIM_MM = 25.4;

    /** @var \WeakMap<Kitchen, array<string, self>>|null what is known of each kitchen, by method, warmth and load */
    private static ?\WeakMap $known = null;

    private function __construct(
        public readonly int $min,
        public readonly Load $load,
        public readonly string $cooker = '',
        public readonly string $setting = '',
        public readonly bool $learned = false,
        public readonly bool $wet = true,
    ) {}

    public static function of(Wish $wish, Kitchen $kitchen, ?Amounts $amounts): self
    {
        $method = $wish->method;
        $load = self::load($wish, $amounts);
        $target = $wish->variant->targetC;
        if (! $method->heated || $target === null) {
            return new self(0, $load);
        }
        $best = null;
        if ($method->has(Method::IN_COOKER)) {
            // Every school of a method is asked for, and most are as warm as the next: each warmth is reckoned once in a kitchen.
            self::$known ??= new \WeakMap();
            $known = self::$known[$kitchen] ?? [];
            $key = (string) json_encode([$method->id, $target, $wish->variant->ceilingC, $load->toArray()]);
            if (isset($known[$key])) {
                return $known[$key];
            }
            $band = Band::about($target, $wish->variant->ceilingC ?? $target + 10);
            foreach ($kitchen->bookings()->placesFor($method->id) ?: $kitchen->commonCookers($method) as $place) {
                $said = self::by($place, $load, $band, $kitchen->roomC);
                $best = $said !== null && ($best === null || $said->min < $best->min) ? $said : $best;
            }
            $best ??= new self($method->warming->upMin, $load);
            self::$known[$kitchen] = $known + [$key => $best];
        }

        return $best ?? new self($method->warming->upMin, $load);
    }

    private static function by(CookerPlace $place, Load $load, Band $band, float $roomC): ?self
    {
        $heater = $place->heater;
        $said = $heater?->warmUp($load, $band, $roomC);

        return $heater === null || $said === null
            ? null
            : new self($said['min'], $load, $place->cooker->called, $said['setting'], $heater->learned, $heater->water);
    }

    private static function load(Wish $wish, ?Amounts $amounts): Load
    {
        [$diameter, $height, $level, $kg] = self::USUAL[$wish->method->wants->vessels[0]] ?? self::USUAL[Jar::JAR];
        $count = $wish->sizing->jars ?? 1;
        if ($amounts !== null) {
            [$diameter, $height, $level, $count] = [
                $amounts->jar->diameterMm(),
                $amounts->jar->heightMm,
                $amounts->levels->levelMm,
                $amounts->jars,
            ];
            $kg = ($wish->blend->density(Planner::ROOM_C)->massOf($amounts->oilMl) + $amounts->herbG) / 1000 / $count;
        }

        return Load::jars(
            $count,
            $diameter,
            $height,
            $level,
            $kg,
            match ($wish->method->warming->water) {
                'rim' => max(0.25, ($height - self::BELOW_RIM_MM) / $height),
                'half' => 0.5,
                default => 0.0,
            },
            $wish->method->warming->water === 'half',
            $wish->method->warming->water === 'rim' ? WaterBath::HAND_HOT_C : null,
        );
    }
}
