<?php

namespace App\Responses\Bench;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** A wish as it was read out of one sentence. */
final readonly class ReadWishView extends Shape
{
    /**
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $unread words of which nothing was made
     * @param  list<string>  $guesses
     */
    public function __construct(
        #[Schema(['$ref' => '#/components/schemas/Wish'])] public array $wish,
        public array $unread,
        public array $guesses,
    ) {}
}
