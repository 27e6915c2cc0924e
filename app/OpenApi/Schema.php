<?php

namespace App\OpenApi;

use Attribute;

/** What of a property’s schema its type, or of a form’s field its rules, do not tell. */
#[Attribute(Attribute::TARGET_PROPERTY | Attribute::TARGET_PARAMETER | Attribute::TARGET_CLASS | Attribute::IS_REPEATABLE)]
final readonly class Schema
{
    /**
     * @param  array<string, mixed>  $is as JSON Schema has it; it goes before what was derived
     * @param  string  $of the field of a form request, where it stands at the class
     */
    public function __construct(public array $is, public string $of = '') {}
}
