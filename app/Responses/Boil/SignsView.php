<?php

namespace App\Responses\Boil;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** Whether four signs agree, why not, and what the oil is for. */
final readonly class SignsView extends Shape
{
    /** @param  list<BoilSign>  $why */
    public function __construct(
        #[Schema(['type' => 'string', 'enum' => ['done', 'not-yet', 'past']])] public string $verdict,
        public string $says,
        public array $why,
        public ?string $firmness,
        public string $for,
    ) {}
}
