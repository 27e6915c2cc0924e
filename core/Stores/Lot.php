<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Material\State;

/** So much of one thing, got at one time from one place. */
final readonly class Lot
{
    /**
     * @param  string  $material id in the tables or of the house's jar or bottle; empty for what the tables do not know
     * @param  ?string  $form id of a herb form, for herbs
     * @param  ?string  $verdict of the last check: sound, soon or past
     */
    public function __construct(
        public string $id,
        public LotKind $kind,
        public string $material,
        public string $called,
        public Stock $stock,
        public LotDates $dates = new LotDates(),
        public Origin $origin = new Origin(),
        public ?State $state = null,
        public ?string $form = null,
        public ?string $verdict = null,
    ) {}

    /** The material of tins of a size: mL to the brim, written shortly. */
    public static function tinOf(float $ml): string
    {
        return rtrim(rtrim(sprintf('%.2f', $ml), '0'), '.');
    }
}
