<?php

namespace App\Responses\Press;

use App\OpenApi\Schema;
use App\Responses\Choice;

/** How a batch is kept, and until when, with the reasons. */
final readonly class StorageView
{
    /**
     * @param  array<string, mixed>  $best_before a figure
     * @param  list<Choice>  $places
     * @param  list<Choice>  $glasses
     * @param  list<Choice>  $antioxidants
     */
    public function __construct(
        public string $place,
        public string $glass,
        public string $antioxidant,
        public string $where,
        #[Schema(['$ref' => '#/components/schemas/Figure'])] public array $best_before,
        public ?string $use_by,
        public array $places,
        public array $glasses,
        public array $antioxidants,
    ) {}
}
