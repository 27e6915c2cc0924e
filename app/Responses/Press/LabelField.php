<?php

namespace App\Responses\Press;

/** A line that may stand on the label. */
final readonly class LabelField
{
    public function __construct(public string $id, public string $name, public string $text, public bool $on) {}
}
