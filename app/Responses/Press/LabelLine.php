<?php

namespace App\Responses\Press;

/** A line of a label. */
final readonly class LabelLine
{
    public function __construct(public string $id, public string $text) {}
}
