<?php

namespace App\Responses\Bench;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** Every method for one wish, its schools within. */
final readonly class Ways extends Shape
{
    /** @param  list<array<string, mixed>>  $methods */
    public function __construct(#[Schema(['$ref' => '#/components/schemas/Methods'])] public array $methods) {}
}
