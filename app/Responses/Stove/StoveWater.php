<?php

namespace App\Responses\Stove;

/** The water of a session. */
final readonly class StoveWater
{
    public function __construct(public string $text, public string $loses_text, public ?string $top_up_text) {}
}
