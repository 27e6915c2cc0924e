<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** Who is signed in, if anybody. */
final readonly class Me extends Shape
{
    /**
     * @param  list<HouseLink>  $houses
     * @param  'c'|'f'  $temperature
     * @param  'metric'|'kitchen'  $amounts
     * @param  'open'|'invited'|'closed'  $registration who may make an account here
     */
    public function __construct(
        public bool $signed_in,
        public bool $demo_open,
        public string $id,
        public string $name,
        public string $email,
        public string $temperature,
        public string $amounts,
        public array $houses,
        public string $registration,
    ) {}
}
