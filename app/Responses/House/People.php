<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** Who is of the house, and who is asked. */
final readonly class People extends Shape
{
    /**
     * @param  list<Person>  $people
     * @param  list<Invite>  $invitations
     */
    public function __construct(public array $people, public array $invitations) {}
}
