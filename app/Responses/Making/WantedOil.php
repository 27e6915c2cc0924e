<?php

namespace App\Responses\Making;

use App\OpenApi\Schema;

/** An oil of a product that is wanted by a day: to be begun, or standing. */
final readonly class WantedOil
{
    /**
     * @param  int  $index in the product's oils
     * @param  ?string  $batch id of the batch, where it stands
     * @param  string  $text by when it is to be begun, or when it will be in its bottles
     * @param  bool  $overdue whether the last day to begin it has gone
     * @param  array<string, mixed>|null  $wish to begin it with
     */
    public function __construct(
        public int $index,
        public string $name,
        public ?string $batch,
        public string $text,
        public bool $overdue,
        #[Schema(['anyOf' => [['$ref' => '#/components/schemas/Wish'], ['type' => 'null']]])] public ?array $wish,
    ) {}
}
