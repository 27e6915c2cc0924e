<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** How far a plant has wilted. Only described here; {@see \Kettle\Ask\Questions::wilting()} writes it. */
#[
    OA\Schema(
        schema: 'WiltingView',
        properties: [
            new OA\Property(property: 'verdict', type: 'string', enum: ['not yet', 'ready', 'dried']),
            new OA\Property(property: 'says', type: 'string'),
            new OA\Property(property: 'water', description: 'per cent', type: 'number'),
            new OA\Property(
                property: 'figures',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Figure'),
            ),
        ],
    ),
]
final class WiltingView {}
