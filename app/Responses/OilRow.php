<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** An oil in its place for a purpose. Only described here; {@see \Kettle\Ask\Questions::oils()} writes it. */
#[
    OA\Schema(
        schema: 'OilRow',
        properties: [
            new OA\Property(property: 'id', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'note', type: 'string'),
            new OA\Property(property: 'score', description: '0 to 100', type: 'integer'),
            new OA\Property(property: 'marks', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
            new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'allergens', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'solid', type: 'boolean'),
            new OA\Property(property: 'sets_text', type: 'string'),
            new OA\Property(property: 'keeps_text', type: 'string'),
            new OA\Property(property: 'feel', type: 'integer'),
            new OA\Property(property: 'iodine_value', type: 'integer', nullable: true),
            new OA\Property(property: 'oxidisability', type: 'number', nullable: true),
            new OA\Property(
                property: 'picture',
                type: 'object',
                nullable: true,
                additionalProperties: new OA\AdditionalProperties(type: 'number'),
            ),
            new OA\Property(property: 'stock_text', type: 'string', nullable: true),
            new OA\Property(property: 'price_text', type: 'string', nullable: true),
        ],
    ),
]
final class OilRow {}
