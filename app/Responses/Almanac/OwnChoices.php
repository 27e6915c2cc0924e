<?php

namespace App\Responses\Almanac;

use App\Responses\Choice;
use App\Responses\Shape;

/** What may be chosen of, to enter a thing of one’s own. */
final readonly class OwnChoices extends Shape
{
    /**
     * @param  list<Choice>  $forms
     * @param  list<OwnFamily>  $families each with the concerns it brings
     * @param  list<Choice>  $concerns of a plant
     * @param  list<Choice>  $scent_concerns of an essential oil
     * @param  list<Choice>  $plants of the Almanac, as are those below: what it may be kin to, or like
     * @param  list<Choice>  $oils
     * @param  list<Choice>  $waxes
     * @param  list<Choice>  $scents
     * @param  list<Choice>  $methods
     */
    public function __construct(
        public array $forms,
        public array $families,
        public array $concerns,
        public array $scent_concerns,
        public array $plants,
        public array $oils,
        public array $waxes,
        public array $scents,
        public array $methods,
    ) {}
}
