<?php

declare(strict_types=1);

namespace Kettle\Stores;

/** How much there is of a lot, in g, mL or pieces by its kind. */
final readonly class Stock
{
    /**
     * @param  ?float  $lowAt from where on it is called low; null for never
     * @param  ?float  $price of all that was got, in the house's currency
     */
    public function __construct(public float $got, public float $left, public ?float $lowAt = null, public ?float $price = null) {}

    /** Price of one g, mL or piece. */
    public function unitPrice(): ?float
    {
        return $this->price === null || $this->got <= 0 ? null : $this->price / $this->got;
    }
}
