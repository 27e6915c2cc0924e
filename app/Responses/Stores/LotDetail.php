<?php

namespace App\Responses\Stores;

use App\Responses\Press\AskView;
use App\Responses\Shape;

/** A lot, its history, and what a check of it asks. */
final readonly class LotDetail extends Shape
{
    /**
     * @param  array<string, string>  $fields as they would be typed
     * @param  list<MoveView>  $moves
     * @param  list<CheckView>  $checks
     * @param  list<AskView>  $asks
     */
    public function __construct(public LotView $lot, public array $fields, public array $moves, public array $checks, public array $asks) {}
}
