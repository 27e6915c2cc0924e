<?php

namespace App\Responses\House;

/** One of the people of a house. */
final readonly class Person
{
    /**
     * @param  'keeper'|'helper'|'reader'  $role
     */
    public function __construct(public string $id, public string $name, public string $email, public string $role, public bool $you) {}
}
