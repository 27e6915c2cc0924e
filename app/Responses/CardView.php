<?php

namespace App\Responses;

use Kettle\Recipe\KitchenCard;
use OpenApi\Attributes as OA;

/** The kitchen card: the plan on one page. */
#[OA\Schema(schema: 'CardView')]
final readonly class CardView
{
    /**
     * @param  list<CardAmount>  $amounts
     * @param  list<string>  $steps
     * @param  list<CardNote>  $notes
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(description: 'A batch\'s code, or the day it is filled.')] public string $corner,
        #[OA\Property] public string $sentence,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CardAmount::class))] public array $amounts,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CardNote::class))] public array $notes,
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
