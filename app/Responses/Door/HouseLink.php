<?php

namespace App\Responses\Door;

/** A house somebody belongs to, and their part in it. */
final readonly class HouseLink
{
    /**
     * @param  'keeper'|'helper'|'reader'  $role
     * @param  ?string  $goes the day on which it is deleted; null of those that stay
     */
    public function __construct(public string $id, public string $name, public string $role, public ?string $goes) {}
}
