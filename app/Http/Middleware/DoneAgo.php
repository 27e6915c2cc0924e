<?php

namespace App\Http\Middleware;

use App\House\WhenDone;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/**
 * What was done without a network is sent later with the header Done-Ago: how many seconds ago it was done. So the
 * clock of a phone, which may be wrong, is not asked. Only what is written down of work done may come late; nothing that
 * plans, decides or belongs to the house itself.
 */
final class DoneAgo
{
    public const HEADER = 'Done-Ago';

    /** As old as it may be, s: fourteen days. Answers are kept for longer, so that a lost one is still known. */
    public const MOST_S = 14 * 86_400;

    /** Below /api/houses/{house}/, each by POST. */
    public const TAKEN = [
        'batches/{batch}/tasks',
        'batches/{batch}/notes',
        'batches/{batch}/looks',
        'batches/{batch}/strain',
        'boils/{boil}/flame',
        'boils/{boil}/marks',
        'boils/{boil}/warmth',
        'boils/{boil}/signs',
        'boils/{boil}/notes',
        'makings/{making}/weigh',
        'makings/{making}/steps',
        'makings/{making}/stir',
        'makings/{making}/spoon',
        'makings/{making}/notes',
        'stove/{session}/reading',
        'stove/{session}/tend',
        'today/shaken',
    ];

    public function __construct(private readonly WhenDone $done) {}

    /** @param  string  $uri of a route, as "api/houses/{house}/today/shaken" */
    public static function takes(string $verb, string $uri): bool
    {
        return strtoupper($verb) === 'POST' && in_array(substr($uri, strlen('api/houses/{house}/')), self::TAKEN, true);
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $said = $request->header(self::HEADER);
        $this->done->ago($said === null ? 0 : self::read($request, $said));

        return $next($request);
    }

    private static function read(Request $request, string $said): int
    {
        if (! self::takes($request->method(), $request->route()?->uri() ?? '')) {
            throw new BadRequestHttpException('This is not written down later: send it without Done-Ago, when it is done.');
        }
        if (preg_match('/^\d{1,9}$/D', $said) !== 1) {
            throw new BadRequestHttpException('Done-Ago is a whole number of seconds.');
        }
        if ((int) $said > self::MOST_S) {
            throw new BadRequestHttpException(
                'That was done more than 14 days ago, and is not written down by itself any more. '.
                    'Write a note of it, and say in the note when it was.',
            );
        }

        return (int) $said;
    }
}
