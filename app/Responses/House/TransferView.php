<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** A whole house on its way, how far it is and what it came to. */
final readonly class TransferView extends Shape
{
    /**
     * @param  'out'|'in'  $way
     * @param  'filling'|'asked'|'done'|'failed'  $state
     * @param  int  $percent of the work that is done
     * @param  int  $got bytes that are here
     * @param  ?int  $bytes how many it has, or will have
     * @param  string  $size how large it is, in words; empty where that is not known yet
     * @param  string  $says what it came to, or why it could not be
     * @param  list<WhoWas>  $people who was of that house and is not of this one
     * @param  string  $until when it is thrown away
     */
    public function __construct(
        public string $id,
        public string $way,
        public string $state,
        public int $percent,
        public int $got,
        public ?int $bytes,
        public string $size,
        public string $says,
        public array $people,
        public string $until,
    ) {}
}
