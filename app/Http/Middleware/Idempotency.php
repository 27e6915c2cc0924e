<?php

namespace App\Http\Middleware;

use App\Actions\Clash;
use App\Http\Problems;
use App\Models\User;
use Closure;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\ConcurrencyErrorDetector;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Plain;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/**
 * A write sent twice under one Idempotency-Key is done once, and answered twice alike.
 *
 * Key, action and answer stand in one transaction: whatever dies in between leaves none of them, and a retry begins
 * afresh. A second sent while the first is still at work waits for it a while at the key's row, and is then told
 * to come again.
 */
final class Idempotency
{
    /** How long a second waits for a first, seconds; it holds a worker meanwhile. */
    private const WAIT_S = 3;

    /** MariaDB's: the row was locked by another for too long. */
    private const LOCK_WAIT_TIMEOUT = 1205;

    private const DEADLOCK = 1213;

    /** So often a write is begun in all, where it and another waited for each other. */
    private const TURNS = 3;

    private const BOTH = 'Two things were written at once. Nothing was changed by this one; try again.';

    /** Before an answer that was made small; no answer of JSON begins so. */
    private const SMALL = 'z:';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($request->isMethodSafe() || ! ($user instanceof User)) {
            return $next($request);
        }
        $key = implode('', (array) $request->header('Idempotency-Key', ''));
        if (preg_match('/^[\w-]{8,64}$/', $key) !== 1) {
            throw new BadRequestHttpException('A write carries an Idempotency-Key header of 8 to 64 letters, figures, _ or -.');
        }
        $hash = hash('sha256', $request->method().' '.$request->path()."\n".$request->getContent());
        $row = ['user_id' => $user->id, 'key' => $key];
        for ($turn = 1; ; $turn++) {
            $response = $this->turn($request, $next, $row, $hash, $turn === self::TURNS);
            if ($response !== null) {
                return $response;
            }
        }
    }

    /**
     * @param  Closure(Request): Response  $next
     * @param  array{user_id: int, key: string}  $row
     * @param  bool  $last whether there is none after it
     * @return ?Response null where two waited for each other and this one let go: it is begun again
     */
    private function turn(Request $request, Closure $next, array $row, string $hash, bool $last): ?Response
    {
        DB::beginTransaction();
        try {
            $before = $this->claim($row, $hash);
        } catch (\Throwable $thrown) {
            DB::rollBack();
            $is = $thrown instanceof QueryException ? $thrown->errorInfo[1] ?? null : null;
            if ($is === self::LOCK_WAIT_TIMEOUT) {
                return $this->later(409, 'That is being done already. Wait a moment.');
            }
            // Two that waited for each other: one of them is begun again, and in the end by whoever sent it.
            if ($is === self::DEADLOCK) {
                return $last ? $this->later(503, self::BOTH) : null;
            }
            throw $thrown;
        }
        if ($before !== null) {
            DB::rollBack();

            return $this->replay($before, $hash);
        }

        $response = $next($request);
        if (! $last && self::waitedForEachOther($response)) {
            DB::rollBack();

            return null;
        }

        return $this->answered($response, $row, $hash);
    }

    private static function waitedForEachOther(Response $response): bool
    {
        $thrown = $response->exception ?? null;

        return $thrown instanceof \Throwable && (new ConcurrencyErrorDetector())->causedByConcurrencyError($thrown);
    }

    /**
     * Takes the key for this request, or gives the row of the first that had it.
     *
     * @param  array{user_id: int, key: string}  $row
     */
    private function claim(array $row, string $hash): ?\stdClass
    {
        DB::statement('SET innodb_lock_wait_timeout = '.self::WAIT_S);
        try {
            // In no transaction of its own: one within another gives what waited too long another name, without its number.
            DB::table('written_keys')->insert($row + ['request_hash' => $hash, 'created_at' => now()]);

            return null;
        } catch (UniqueConstraintViolationException) {
            $before = DB::table('written_keys')->where($row)->lockForUpdate()->first();
            // One without an answer is of a time when the key was kept first and the answer last, and that one died.
            if ($before instanceof \stdClass && $before->status !== null) {
                return $before;
            }
            DB::table('written_keys')->updateOrInsert($row, ['request_hash' => $hash, 'created_at' => now()]);

            return null;
        } finally {
            DB::statement('SET innodb_lock_wait_timeout = DEFAULT');
        }
    }

    /** @param  array{user_id: int, key: string}  $row */
    private function answered(Response $response, array $row, string $hash): Response
    {
        $status = $response->getStatusCode();
        $done = $status < 400;
        $final = $status < 500 && ! in_array($status, [401, 419, 429], true);
        $answer = ['status' => $status, 'response' => self::shut((string) $response->getContent())];
        if ($done) {
            try {
                DB::table('written_keys')->where($row)->update($answer);
            } catch (\Throwable $thrown) {
                report($thrown);
                DB::rollBack();

                return $this->later(503, 'Something went wrong on our side. Nothing was changed; try again.');
            }
            try {
                DB::commit();
            } catch (\Throwable $thrown) {
                report($thrown);

                // The database went as it was being written: it may be in, or not.
                return $this->later(
                    503,
                    'It is not known whether that was written down. Try again: it is done once, however often it is sent.',
                );
            }

            return $response;
        }
        // What was refused has changed nothing, also what had begun.
        DB::rollBack();
        if ($final) {
            DB::table('written_keys')->insertOrIgnore([...$row, ...$answer, 'request_hash' => $hash, 'created_at' => now()]);
        }

        return match (true) {
            $status < 500 => $response,
            self::waitedForEachOther($response) => $this->later(503, self::BOTH),
            default => $this->later(503, 'Something went wrong on our side. Nothing was changed; try again.'),
        };
    }

    /** @param  \stdClass  $before the row of the first try */
    private function replay(object $before, string $hash): Response
    {
        if ($before->request_hash !== $hash) {
            throw new Clash('That Idempotency-Key was used for something else. Use a new one for each write.');
        }
        $type = $before->status >= 400 ? 'application/problem+json' : 'application/json';

        /** @var object{response: string, status: int} $before */
        return new Plain(self::opened($before->response), $before->status, ['Content-Type' => $type, 'Idempotent-Replay' => 'true']);
    }

    /** Made small, for it is kept for weeks, and shut with the house's key: a link to pass on, shown once, is among them. */
    private static function shut(string $answer): string
    {
        return Crypt::encryptString(self::SMALL.gzdeflate($answer));
    }

    /** One that was kept before they were shut, or made small, is as it is. */
    private static function opened(string $kept): string
    {
        try {
            $answer = Crypt::decryptString($kept);

            return str_starts_with($answer, self::SMALL) ? (string) gzinflate(substr($answer, strlen(self::SMALL))) : $answer;
        } catch (DecryptException) {
            return $kept;
        }
    }

    /** Not final: the same may be sent again, under the same key. */
    private function later(int $status, string $sentence): Response
    {
        $response = Problems::response($status, $sentence);
        $response->headers->set('Retry-After', '1');

        return $response;
    }
}
