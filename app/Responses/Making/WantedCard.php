<?php

namespace App\Responses\Making;

use App\OpenApi\Schema;

/** A product that is wanted by a day. */
final readonly class WantedCard
{
    /**
     * @param  bool  $late whether it cannot be ready by then, as things stand
     * @param  ?string  $trouble why it cannot be made as it was wanted, in a sentence
     * @param  bool  $waits whether an oil of it is to come
     * @param  list<WantedOil>  $oils those that are to come
     * @param  array<string, mixed>  $wish
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $ready_by,
        public string $ready_text,
        public string $make_text,
        public bool $late,
        public ?string $trouble,
        public bool $waits,
        public array $oils,
        #[Schema(['$ref' => '#/components/schemas/ProductWish'])] public array $wish,
    ) {}
}
