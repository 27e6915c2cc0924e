<?php

namespace App\Http\Middleware;

use App\Http\Clash;
use App\Models\User;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Plain;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/**
 * A write sent twice under one Idempotency-Key is done once, and answered twice alike.
 * A second sent while the first is still at work is told to wait.
 */
final class OncePerKey
{
    /** A first try that has not finished after this many seconds has died, and may be tried again. */
    private const STALE_AFTER = 60;

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($request->isMethodSafe() || ! $user instanceof User) {
            return $next($request);
        }
        $key = (string) $request->header('Idempotency-Key', '');
        if (preg_match('/^[\w-]{8,64}$/', $key) !== 1) {
            throw new BadRequestHttpException('A write carries an Idempotency-Key header of 8 to 64 letters, figures, _ or -.');
        }
        $hash = hash('sha256', $request->method().' '.$request->path()."\n".$request->getContent());
        $row = ['user_id' => $user->id, 'key' => $key];
        try {
            DB::table('written_keys')->insert($row + ['request_hash' => $hash, 'created_at' => now()]);
        } catch (UniqueConstraintViolationException) {
            $before = DB::table('written_keys')->where($row)->first();
            if ($before !== null && ($replay = $this->replay($before, $hash)) !== null) {
                return $replay;
            }
        }
        $response = $next($request);
        $keep = $response->getStatusCode() < 500 && ! in_array($response->getStatusCode(), [401, 419, 429], true);
        $keep
            ? DB::table('written_keys')->where($row)->update(['status' => $response->getStatusCode(), 'response' => (string) $response->getContent()])
            : DB::table('written_keys')->where($row)->delete();

        return $response;
    }

    /** @param  \stdClass  $before the row of the first try */
    private function replay(object $before, string $hash): ?Response
    {
        if ($before->request_hash !== $hash) {
            throw new Clash('That Idempotency-Key was used for something else. Use a new one for each write.');
        }
        if ($before->status === null) {
            if (now()->diffInSeconds($before->created_at, true) > self::STALE_AFTER) {
                return null;
            }
            throw new Clash('That is being done already. Wait a moment.');
        }
        $type = $before->status >= 400 ? 'application/problem+json' : 'application/json';

        return new Plain((string) $before->response, (int) $before->status, ['Content-Type' => $type, 'Idempotent-Replay' => 'true']);
    }
}
