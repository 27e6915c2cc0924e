<?php

namespace App\Responses\Stores;

use App\Responses\Shape;

/** A page of Stores. */
final readonly class StoresPage extends Shape
{
    /**
     * @param  list<LotKindTab>  $kinds
     * @param  list<LotView>  $lots
     */
    public function __construct(public array $kinds, public array $lots, public int $total, public int $page, public int $pages) {}
}
