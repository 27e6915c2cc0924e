<?php

namespace App\Responses\Bench;

use App\Responses\Choice;
use App\Responses\Shape;

/** Everything the Bench can choose from. */
final readonly class Materials extends Shape
{
    /**
     * @param  list<HerbChoice>  $herbs
     * @param  list<Choice>  $forms
     * @param  list<OilChoice>  $oils
     * @param  list<MethodChoice>  $methods
     * @param  list<Choice>  $purposes
     * @param  list<Choice>  $waxes
     * @param  list<Choice>  $things
     * @param  list<HeedChoice>  $heeds
     * @param  list<Choice>  $not_offered plants that no oil is begun of, by name: those that kill, and a house's own that were let go
     * @param  string  $cold_text how cold the cold kind is kept, as this cook reads it
     */
    public function __construct(
        public array $herbs,
        public array $forms,
        public array $oils,
        public array $methods,
        public array $purposes,
        public array $waxes,
        public array $things,
        public array $heeds,
        public array $not_offered,
        public string $cold_text,
    ) {}
}
