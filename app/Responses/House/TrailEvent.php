<?php

namespace App\Responses\House;

/** One thing that happened to an account, or to somebody's part. */
final readonly class TrailEvent
{
    /**
     * @param  string  $says "Isa made Torin a helper"
     * @param  string  $at "Tue 24 Nov, 10:10"
     * @param  string  $from the address it came from; empty where it was the machine itself
     */
    public function __construct(public int $id, public string $says, public string $at, public string $from) {}
}
