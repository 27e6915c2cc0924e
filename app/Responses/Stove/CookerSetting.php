<?php

namespace App\Responses\Stove;

/** A setting of a cooker. */
final readonly class CookerSetting
{
    public function __construct(public string $name, public string $text) {}
}
