<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Who is of the house, and who is asked. */
#[OA\Schema(schema: 'People')]
final readonly class People
{
    /**
     * @param  list<Person>  $people
     * @param  list<Invite>  $invitations
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: Person::class))] public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Invite::class))] public array $invitations,
    ) {}
}
