<?php

namespace App\Responses\Stores;

/** Something in Stores to see to. */
final readonly class StoreTask
{
    /**
     * @param  'past'|'ageing'|'low'  $rank
     */
    public function __construct(public string $lot, public string $called, public string $rank, public string $says) {}
}
