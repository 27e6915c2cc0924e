<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A house's settings. */
#[OA\Schema(schema: 'HouseView')]
final readonly class HouseView
{
    /**
     * @param  list<string>|null  $things
     * @param  list<string>  $home hours at home, Monday first; empty for all day, "-" for not at all
     * @param  list<JarSize>  $jars
     * @param  list<BottleKind>  $bottles
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $time_zone,
        #[OA\Property(enum: ['us', 'metric', 'australian', 'imperial'])] public string $measures,
        #[OA\Property] public string $wake,
        #[OA\Property] public string $bed,
        #[OA\Property] public float $drops_per_ml,
        #[OA\Property] public string $currency,
        #[OA\Property] public float $room_c,
        #[OA\Property] public string $room_text,
        #[OA\Property(type: 'array', nullable: true, items: new OA\Items(type: 'string'))] public ?array $things,
        #[OA\Property] public ?float $latitude,
        #[OA\Property] public ?float $longitude,
        #[OA\Property] public int $height_m,
        #[OA\Property] public int $facing,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $home,
        #[OA\Property] public int $version,
        #[OA\Property(enum: ['keeper', 'helper', 'reader'])] public string $role,
        #[OA\Property(type: 'array', items: new OA\Items(ref: JarSize::class))] public array $jars,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BottleKind::class))] public array $bottles,
    ) {}
}
