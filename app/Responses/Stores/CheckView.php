<?php

namespace App\Responses\Stores;

/** How a lot smelled and looked on a day. */
final readonly class CheckView
{
    /**
     * @param  'sound'|'soon'|'past'  $verdict
     */
    public function __construct(public string $verdict, public string $says, public string $at, public string $by) {}
}
