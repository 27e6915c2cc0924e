<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What an oil is called on a label of a care product, and by people. */
final readonly class OilNames
{
    /** @param  list<string>  $also other names it goes by */
    public function __construct(public string $inci, public array $also) {}
}
