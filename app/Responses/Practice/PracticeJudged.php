<?php

namespace App\Responses\Practice;

use App\Responses\Shape;

/** An answer, held against what is reckoned. */
final readonly class PracticeJudged extends Shape
{
    /**
     * @param  'near'|'right'|'wrong'  $verdict
     * @param  string  $is what it is
     * @param  string  $slip how the answer came about, where that is known
     * @param  list<PracticeReason>  $why
     */
    public function __construct(public string $verdict, public string $is, public string $slip, public array $why) {}
}
