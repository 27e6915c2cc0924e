<?php

namespace App\Responses\Almanac;

/** What is told of a thing of one’s own wherever it is used. */
final readonly class OwnTells
{
    /** @param  'stop'|'care'|'note'  $rank */
    public function __construct(public string $id, public string $rank, public string $says, public string $why) {}
}
