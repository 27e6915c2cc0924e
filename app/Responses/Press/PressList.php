<?php

namespace App\Responses\Press;

use App\Responses\Shape;
use App\Responses\Shelf\ShelfJar;

/** Batches that want the press. */
final readonly class PressList extends Shape
{
    /**
     * @param  list<ShelfJar>  $to_strain
     * @param  list<ShelfJar>  $resting
     * @param  list<ShelfJar>  $bottled
     */
    public function __construct(public array $to_strain, public array $resting, public array $bottled) {}
}
