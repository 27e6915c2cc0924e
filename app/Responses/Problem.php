<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** An RFC 9457 problem. Only described here; the exception handler writes it. */
#[
    OA\Schema(
        schema: 'Problem',
        required: ['type', 'title', 'status', 'detail'],
        properties: [
            new OA\Property(property: 'type', type: 'string'),
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'status', type: 'integer'),
            new OA\Property(property: 'detail', type: 'string'),
            new OA\Property(
                property: 'faults',
                type: 'array',
                items: new OA\Items(
                    required: ['field', 'reason', 'sentence'],
                    properties: [
                        new OA\Property(property: 'field', type: 'string'),
                        new OA\Property(property: 'reason', type: 'string'),
                        new OA\Property(property: 'sentence', type: 'string'),
                        new OA\Property(
                            property: 'ways',
                            description: 'What would do instead, as changes to the wish',
                            type: 'array',
                            items: new OA\Items(
                                required: ['id', 'says', 'change'],
                                properties: [
                                    new OA\Property(property: 'id', type: 'string'),
                                    new OA\Property(property: 'says', type: 'string'),
                                    new OA\Property(property: 'change', type: 'object'),
                                ],
                                type: 'object',
                            ),
                        ),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'current', type: 'object'),
        ],
    ),
]
final class Problem {}
