<?php

namespace App\Responses\Bench;

/** What goes in: a herb by weight, an oil by volume and by weight. */
final readonly class CardAmount
{
    /**
     * @param  string  $also The same by weight, where it is measured; else empty.
     */
    public function __construct(public string $name, public string $amount, public string $also) {}
}
