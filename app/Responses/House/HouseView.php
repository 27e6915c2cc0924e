<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** A house's settings. */
final readonly class HouseView extends Shape
{
    /**
     * @param  list<string>|null  $things
     * @param  list<string>  $home hours at home, Monday first; empty for all day, "-" for not at all
     * @param  list<JarSize>  $jars
     * @param  list<BottleKind>  $bottles
     * @param  'us'|'metric'|'australian'|'imperial'  $measures
     * @param  'keeper'|'helper'|'reader'  $role
     * @param  ?BackupView  $backup for a keeper; null where none was made
     * @param  bool  $nightly whether one is made each night
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $time_zone,
        public string $measures,
        public string $wake,
        public string $bed,
        public float $drops_per_ml,
        public string $currency,
        public ?float $hour_rate,
        public float $room_c,
        public string $room_text,
        public ?int $burners,
        public ?array $things,
        public ?float $latitude,
        public ?float $longitude,
        public int $height_m,
        public int $facing,
        public array $home,
        public int $version,
        public string $role,
        public array $jars,
        public array $bottles,
        public ?BackupView $backup,
        public bool $nightly,
    ) {}
}
