<?php

namespace App\Http\Middleware;

use App\Actions\Houses\ImportException;
use Closure;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** Refuses a body too large for a form, or that says it is JSON and is not. */
final class LimitBody
{
    /**
     * @param  Closure(Request): Response  $next
     * @param  string  $what "file" where somebody has chosen one, which is told of as such
     */
    public function handle(Request $request, Closure $next, string $kilobytes = '256', string $what = ''): Response
    {
        $body = $request->isMethodSafe() ? '' : $request->getContent();
        if (strlen($body) > (int) $kilobytes * 1024) {
            throw new PostTooLargeException();
        }
        if ($body !== '' && (! $request->isJson() || ! is_array(json_decode($body, true, 64)))) {
            throw $what === 'file'
                ? ImportException::broken()
                : new BadRequestHttpException('That could not be read. Send it as a JSON object.');
        }

        return $next($request);
    }
}
