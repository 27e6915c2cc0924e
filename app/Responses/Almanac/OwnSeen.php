<?php

namespace App\Responses\Almanac;

use App\Responses\Shape;

/** What a thing of one’s own would become. */
final readonly class OwnSeen extends Shape
{
    /**
     * @param  list<string>  $read its figures as they were understood, in sentences
     * @param  list<string>  $unknown what nobody has said of it, in words
     * @param  list<OwnTells>  $cautions
     */
    public function __construct(public array $read, public array $unknown, public array $cautions) {}
}
