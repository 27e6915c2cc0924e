<?php

declare(strict_types=1);

namespace Kettle\Stores;

/** Where a lot is from, and so whether it may be eaten, and by whom not. */
final readonly class Origin
{
    /**
     * @param  string  $how bought, gathered, or empty where nobody said
     * @param  list<string>  $allergens
     */
    public function __construct(public string $how = '', public bool $foodGrade = false, public array $allergens = []) {}
}
