<?php

namespace App\Responses\Trace;

use App\Responses\Shape;

/** What a lot, a batch or a product is made of and went into, both ways. */
final readonly class TraceView extends Shape
{
    /**
     * @param  list<Thing>  $things from the plant to the person
     * @param  list<Arrow>  $arrows
     * @param  list<Told>  $people
     * @param  int  $more that are not listed: the export has them
     */
    public function __construct(
        public string $of,
        public string $name,
        public array $things,
        public array $arrows,
        public array $people,
        public int $more,
    ) {}
}
