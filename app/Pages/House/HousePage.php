<?php

namespace App\Pages\House;

use App\Backup\LastBackup;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\BottleSize;
use App\Models\Jar;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\Responses\House\BackupView;
use App\Responses\House\BottleKind;
use App\Responses\House\HouseView;
use App\Responses\House\JarSize;
use Illuminate\Support\Number;

/** The settings of the house, its jars and its bottles. */
final readonly class HousePage
{
    public function __construct(private CurrentHouse $current, private KitchenFactory $kitchens, private Times $times) {}

    public function view(): HouseView
    {
        $house = $this->current->house();
        $jars = Jar::query()
            ->orderBy('brim_ml')
            ->get()
            ->map(
                fn (Jar $jar) => new JarSize(
                    $jar->uid,
                    $jar->called,
                    (float) $jar->height_mm,
                    round($jar->core()->diameterMm(), 1),
                    round((float) $jar->brim_ml).
                        ' mL to the brim, '.
                        round((float) $jar->height_mm).
                        ' mm high'.
                        rtrim('; '.$jar->core()->marks->text(), '; '),
                    $jar->kind,
                ),
            );
        $bottles = BottleSize::query()
            ->orderBy('capacity_ml')
            ->get()
            ->map(fn (BottleSize $size) => new BottleKind($size->uid, $size->called, (float) $size->capacity_ml));

        return new HouseView(
            $house->uid,
            $house->name,
            $house->time_zone,
            $house->measures,
            $house->wake,
            $house->bed,
            (float) $house->drops_per_ml,
            $house->currency,
            $house->hour_rate === null ? null : (float) $house->hour_rate,
            (float) $house->room_c,
            $this->kitchens->plain()->warmth((float) $house->room_c),
            $house->burners,
            // What an older house had, and nobody knows by now, cannot be ticked off.
            $house->things === null ? null : array_values(array_intersect($house->things, $this->kitchens->plain()->cupboard()->things())),
            $house->latitude === null ? null : (float) $house->latitude,
            $house->longitude === null ? null : (float) $house->longitude,
            $house->height_m,
            $house->facing,
            array_map(fn (int $day) => ($house->home[$day] ?? null) === '' ? '-' : $house->home[$day] ?? '', range(1, 7)),
            $house->version,
            $this->current->role()->value,
            array_values($jars->all()),
            array_values($bottles->all()),
            $this->current->role() === Role::Keeper ? $this->backup() : null,
            config()->boolean('kettle.nightly'),
        );
    }

    private function backup(): ?BackupView
    {
        $last = LastBackup::read();

        return $last === null
            ? null
            : new BackupView($this->times->logged($last->at).', '.Number::fileSize($last->bytes, maxPrecision: 1), $last->isLate());
    }
}
