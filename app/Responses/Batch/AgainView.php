<?php

namespace App\Responses\Batch;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** A past batch as a wish to make again. */
final readonly class AgainView extends Shape
{
    /**
     * @param  array<string, mixed>  $wish
     */
    public function __construct(#[Schema(['$ref' => '#/components/schemas/Wish'])] public array $wish) {}
}
