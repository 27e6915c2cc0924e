<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** What a phone is to have: shown once. */
final readonly class SecondStepBegun extends Shape
{
    /**
     * @param  string  $secret to be typed, base32 in fours
     * @param  string  $address the same as a phone reads it
     * @param  string  $code that address as a picture, SVG
     */
    public function __construct(public string $secret, public string $address, public string $code) {}
}
