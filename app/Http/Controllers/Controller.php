<?php

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

abstract class Controller
{
    protected function json(object $shape): JsonResponse
    {
        return new JsonResponse($shape, options: JSON_UNESCAPED_UNICODE);
    }

    protected function nothing(): JsonResponse
    {
        return new JsonResponse(null, 204);
    }

    protected function user(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }

    /** A query parameter as text; anything else is taken as not asked. */
    protected function asked(Request $request, string $name): string
    {
        $value = $request->query($name);

        return is_string($value) ? $value : '';
    }
}
