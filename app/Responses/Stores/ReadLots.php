<?php

namespace App\Responses\Stores;

use App\Responses\Shape;

/** Lots as they were read from lines; nothing is kept yet. */
final readonly class ReadLots extends Shape
{
    /**
     * @param  list<ReadLot>  $lots
     * @param  int  $sound how many can be taken in as they are
     */
    public function __construct(public array $lots, public int $sound) {}
}
