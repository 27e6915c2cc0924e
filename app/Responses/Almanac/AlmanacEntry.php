<?php

namespace App\Responses\Almanac;

/** A thing in the Almanac, as a list has it. */
final readonly class AlmanacEntry
{
    /**
     * @param  'plant'|'oil'|'method'|'wax'|'scent'|'product'|'caution'|'fault'|'measure'|'school'  $kind
     * @param  bool  $own whether the house entered it
     */
    public function __construct(
        public string $kind,
        public string $key,
        public string $name,
        public string $says,
        public bool $own = false,
    ) {}
}
