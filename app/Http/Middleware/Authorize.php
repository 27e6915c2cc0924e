<?php

namespace App\Http\Middleware;

use App\Models\Tenancy\Ability;
use App\Models\Tenancy\CurrentHouse;
use Closure;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets through only those whose role in the house has the ability the route names. */
final class Authorize
{
    public function __construct(private readonly CurrentHouse $current) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $ability): Response
    {
        if (! $this->current->role()->may(Ability::from($ability))) {
            throw new AuthorizationException();
        }

        return $next($request);
    }
}
