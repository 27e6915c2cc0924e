<?php

namespace App\Responses\Melt;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** A product to be made again. */
final readonly class ProductAgainView extends Shape
{
    /** @param  array<string, mixed>  $wish */
    public function __construct(#[Schema(['$ref' => '#/components/schemas/ProductWish'])] public array $wish) {}
}
