<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Heed;

/** A wish as it was asked. */
final readonly class Asked
{
    /**
     * @param  array<string, mixed>  $document tidied, as docs/formats/wish.schema.json
     * @param  list<string>  $chosen the words of the sentence the cook chose, by slot
     * @param  array<string, string>  $oilLots lot to take from first, by carrier id
     * @param  ?InfusedOil  $inOil the infused oil it is made in; null where its oils are as they were bought
     * @param  bool  $stands whether the jar stands already, begun on an earlier day
     * @param  list<Heed>  $heeds whom it is for, and what it is to be without
     * @param  ?Before  $before where the oil is there already
     */
    public function __construct(
        public array $document,
        public array $chosen,
        public array $oilLots,
        public ?Before $before = null,
        public array $heeds = [],
        public ?InfusedOil $inOil = null,
        public bool $stands = false,
    ) {}
}
