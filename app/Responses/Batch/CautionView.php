<?php

namespace App\Responses\Batch;

/** A caution as it is shown where the decision is made. */
final readonly class CautionView
{
    /**
     * @param  list<string>  $places of bench, stove, press, melt and label
     * @param  bool  $acknowledge whether somebody is to say they have read it
     * @param  ?string  $read by whom and when it was
     * @param  'stop'|'care'|'note'  $rank
     */
    public function __construct(
        public string $id,
        public string $rank,
        public array $places,
        public string $says,
        public string $why,
        public string $source,
        public bool $acknowledge,
        public ?string $read,
    ) {}
}
