<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Vessel\Cooker;

/** A cooker of the house, with the methods it does for. */
final readonly class CookerPlace
{
    /** @param  list<string>  $kinds ids of methods */
    public function __construct(public Cooker $cooker, public array $kinds)
    {
    }
}
