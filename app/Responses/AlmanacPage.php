<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A thing in the Almanac: facts with sources, cautions, and the house’s own. */
#[OA\Schema(schema: 'AlmanacPage')]
final readonly class AlmanacPage
{
    /**
     * @param  list<AlmanacFact>  $facts
     * @param  list<string>  $lines
     * @param  list<CautionView>  $cautions
     * @param  list<AlmanacLink>  $own
     */
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $key,
        #[OA\Property] public string $name,
        #[OA\Property] public string $says,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AlmanacFact::class))] public array $facts,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $lines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CautionView::class))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AlmanacLink::class))] public array $own,
        #[OA\Property] public string $note,
        #[OA\Property] public string $note_by,
        #[OA\Property] public int $note_version,
    ) {}
}
