<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** An invitation that has not been used; its link is shown once, when made. */
final readonly class Invite extends Shape
{
    /**
     * @param  'keeper'|'helper'|'reader'  $role
     */
    public function __construct(public string $id, public string $role, public string $until, public ?string $link) {}
}
