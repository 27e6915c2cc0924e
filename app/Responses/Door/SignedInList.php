<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** Where somebody is signed in, the last used first, and how long that lasts. */
final readonly class SignedInList extends Shape
{
    /** @param  list<SignedInView>  $sessions */
    public function __construct(public array $sessions, public int $idle_days, public int $most_days) {}
}
