<?php

namespace App\Responses\Today;

/** What there is to do where one stands. */
final readonly class PlaceGroup
{
    /**
     * @param  list<TaskView>  $tasks
     */
    public function __construct(public string $place, public string $name, public array $tasks) {}
}
