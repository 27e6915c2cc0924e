<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Material\State;

/** So much of one thing, got at one time from one place. Amounts in g, mL or pieces by its kind. */
final readonly class Lot
{
    /**
     * @param  string  $material id in the tables or of the house's jar or bottle; empty for what the tables do not know
     * @param  ?string  $form id of a herb form, for herbs
     * @param  ?string  $verdict of the last check: sound, soon or past
     * @param  ?float  $price of the whole lot as it was got, in the house's currency
     * @param  list<string>  $allergens
     * @param  string  $how bought, gathered, or empty where nobody said
     */
    public function __construct(
        public string $id,
        public LotKind $kind,
        public string $material,
        public string $called,
        public float $got,
        public float $left,
        public ?float $lowAt = null,
        public ?State $state = null,
        public ?string $form = null,
        public ?\DateTimeImmutable $gotOn = null,
        public ?\DateTimeImmutable $openedOn = null,
        public ?\DateTimeImmutable $bestBefore = null,
        public ?string $verdict = null,
        public ?float $price = null,
        public bool $foodGrade = false,
        public array $allergens = [],
        public string $how = '',
    ) {}

    /** Price of one g, mL or piece. */
    public function unitPrice(): ?float
    {
        return $this->price === null || $this->got <= 0 ? null : $this->price / $this->got;
    }
}
