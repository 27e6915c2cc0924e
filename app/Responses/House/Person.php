<?php

namespace App\Responses\House;

/** One of the people of a house. */
final readonly class Person
{
    /**
     * @param  'keeper'|'helper'|'reader'  $role
     * @param  bool  $kept whether they keep the house, or did: no other keeper gives them a new password
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public string $role,
        public bool $you,
        public bool $kept,
    ) {}
}
