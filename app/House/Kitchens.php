<?php

namespace App\House;

use App\Models\House;
use App\Models\Jar;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Kettle\Diary\WakingHours;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Custom;
use Kettle\Recipe\Kitchen;

/** The current house as the core wants it. */
final readonly class Kitchens
{
    public function __construct(private CurrentHouse $current)
    {
    }

    /** With the house's jars: what a plan is reckoned in. */
    public function withJars(): Kitchen
    {
        return $this->kitchen(array_values(Jar::query()->orderBy('brim_ml')->get()->map(fn (Jar $jar) => $jar->core())->all()));
    }

    /** Without jars: enough for the clock, the waking hours and reading amounts. */
    public function plain(): Kitchen
    {
        return $this->kitchen([]);
    }

    public function writer(): AmountWriter
    {
        return new AmountWriter(Custom::from($this->current->house()->measures));
    }

    /** The present, in the house's own zone. */
    public function now(): \DateTimeImmutable
    {
        return $this->local(Carbon::now());
    }

    /** A moment in the house's own zone. */
    public function local(\DateTimeInterface $moment): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($moment)->setTimezone($this->current->house()->zone());
    }

    public static function waking(House $house): WakingHours
    {
        return WakingHours::between($house->wake, $house->bed);
    }

    /** @param  list<\Kettle\Vessel\Jar>  $jars */
    private function kitchen(array $jars): Kitchen
    {
        $house = $this->current->house();
        $user = Auth::user();

        return new Kitchen(
            $this->now(), self::waking($house), Custom::from($house->measures), (float) $house->drops_per_ml, $jars, $user instanceof User && ($user->prefs['temperature'] ?? 'c') === 'f',
        );
    }
}
