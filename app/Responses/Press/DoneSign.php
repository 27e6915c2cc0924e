<?php

namespace App\Responses\Press;

/** A sign that a jar is done, and what the records say of it. */
final readonly class DoneSign
{
    /** @param  ?bool  $known null where only eye and nose can tell */
    public function __construct(public string $id, public string $says, public ?bool $known, public string $evidence) {}
}
