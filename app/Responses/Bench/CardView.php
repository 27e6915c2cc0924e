<?php

namespace App\Responses\Bench;

use App\Responses\Shape;
use Kettle\Recipe\KitchenCard;

/** The kitchen card: the plan on one page. */
final readonly class CardView extends Shape
{
    /**
     * @param  list<CardAmount>  $amounts
     * @param  list<string>  $steps
     * @param  list<CardNote>  $notes
     * @param  string  $corner A batch's code, or the day it is filled.
     */
    public function __construct(
        public string $name,
        public string $corner,
        public string $sentence,
        public array $amounts,
        public array $steps,
        public array $notes,
    ) {}

    public static function of(KitchenCard $card, string $corner): self
    {
        return new self(
            $card->name,
            $corner,
            $card->sentence,
            array_map(fn (array $row) => new CardAmount($row['name'], $row['amount'], $row['also']), $card->amounts),
            $card->steps,
            array_map(fn (array $note) => new CardNote($note['care'], $note['says']), $card->notes),
        );
    }
}
