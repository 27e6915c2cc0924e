<?php

namespace App\Responses\Press;

/** A filling: how many of each size, and what is left over. */
final readonly class FillOffer
{
    /** @param  list<FillLine>  $bottles */
    public function __construct(public string $id, public string $says, public array $bottles, public string $left_text) {}
}
