<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** What happened to the accounts of a house and to who may do what, newest first. */
final readonly class TrailView extends Shape
{
    /**
     * @param  list<TrailEvent>  $events
     * @param  ?int  $before the id before which there is more; null where this is all
     */
    public function __construct(public array $events, public ?int $before) {}
}
