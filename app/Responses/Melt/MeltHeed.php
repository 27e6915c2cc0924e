<?php

namespace App\Responses\Melt;

/** What a product may be without, or be given for, with what that leaves out of what is offered. */
final readonly class MeltHeed
{
    /** @param  list<string>  $bars ids of oils, waxes, butters and what else goes in */
    public function __construct(public string $id, public string $name, public array $bars) {}
}
