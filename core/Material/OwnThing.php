<?php

declare(strict_types=1);

namespace Kettle\Material;

/** One thing a house entered as its own, read: what the tables would have of it. */
final readonly class OwnThing
{
    /**
     * @param  array<string, mixed>  $fields as they are kept: every one, what was not said as null
     * @param  list<string>  $unknown what nobody has said of it: concerns, food, water, density, fats, allergens, months, sets, limit
     */
    public function __construct(
        public OwnKind $kind,
        public string $id,
        public string $name,
        public Herb|Carrier|Wax|EssentialOil|OwnMeasure|OwnSchool $thing,
        public array $fields,
        public array $unknown,
        public bool $away = false,
    ) {}
}
