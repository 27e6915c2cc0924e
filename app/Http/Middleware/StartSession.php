<?php

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Middleware;

/** The framework's, but for the address last read: nobody is sent back to it, and it would write the session at every read. */
final class StartSession extends Middleware
{
    /** @param  \Illuminate\Contracts\Session\Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void {}
}
