<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** What an invitation offers. */
final readonly class InviteView extends Shape
{
    /**
     * @param  'keeper'|'helper'|'reader'  $role
     */
    public function __construct(public string $house, public string $role) {}
}
