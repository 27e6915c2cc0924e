<?php

namespace App\Responses\Stove;

/** A figure the model gives, with its range. */
final readonly class OutlookLine
{
    public function __construct(public string $label, public string $text, public ?string $range_text) {}
}
