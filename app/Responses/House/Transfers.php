<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** What is on its way out of a house and into it. */
final readonly class Transfers extends Shape
{
    /** @param  int  $at_once how many bytes are sent at once */
    public function __construct(public ?TransferView $out, public ?TransferView $in, public int $at_once) {}
}
