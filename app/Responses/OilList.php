<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Oils in order for a purpose. Only described here; {@see \Kettle\Ask\Questions::oils()} writes it. */
#[
    OA\Schema(
        schema: 'OilList',
        properties: [
            new OA\Property(property: 'why', type: 'string'),
            new OA\Property(property: 'oils', type: 'array', items: new OA\Items(ref: OilRow::class)),
        ],
    ),
]
final class OilList {}
