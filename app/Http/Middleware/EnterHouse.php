<?php

namespace App\Http\Middleware;

use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Enters the house named in the address. To a stranger it does not exist. */
final class EnterHouse
{
    public function __construct(private readonly CurrentHouse $current) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        assert($user instanceof User);
        $membership =
            Membership::query()
                ->where('user_id', $user->id)
                ->whereRelation('house', 'uid', $request->route()?->originalParameter('house'))
                ->with('house')
                ->first() ?? throw new NotFoundHttpException();
        $this->current->enter($membership->house, $membership->role);
        $request->route()?->forgetParameter('house');

        return $next($request);
    }
}
