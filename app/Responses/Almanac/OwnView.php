<?php

namespace App\Responses\Almanac;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** A thing of the house’s own, as it was entered, and what follows from it. */
final readonly class OwnView extends Shape
{
    /**
     * @param  array<string, mixed>  $own
     * @param  list<string>  $read its figures as they were understood, in sentences
     * @param  list<string>  $unknown what nobody has said of it, in words
     * @param  list<OwnTells>  $cautions
     */
    public function __construct(
        public string $id,
        #[Schema(['$ref' => '#/components/schemas/Own'])] public array $own,
        public array $read,
        public array $unknown,
        public array $cautions,
        public int $version,
    ) {}
}
