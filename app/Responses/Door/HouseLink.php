<?php

namespace App\Responses\Door;

/** A house somebody belongs to, and their part in it. */
final readonly class HouseLink
{
    /**
     * @param  'keeper'|'helper'|'reader'  $role
     */
    public function __construct(public string $id, public string $name, public string $role) {}
}
