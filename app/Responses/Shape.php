<?php

namespace App\Responses;

use Illuminate\Contracts\Support\Responsable;
use Illuminate\Http\JsonResponse;

/** What an operation answers with: its properties as JSON, described in docs/openapi.json by their types. */
abstract readonly class Shape implements Responsable
{
    public function toResponse($request): JsonResponse
    {
        return new JsonResponse($this, options: JSON_UNESCAPED_UNICODE);
    }
}
