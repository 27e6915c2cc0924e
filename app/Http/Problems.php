<?php

namespace App\Http;

use App\Actions\Clash;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\ConcurrencyErrorDetector;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Kettle\Material\OwnException;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\WishException;
use Kettle\Stores\LotsException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Errors as RFC 9457 problem details, each with a sentence for the cook. */
final class Problems
{
    private const SENTENCES = [
        400 => 'That could not be read. Send it as JSON.',
        401 => 'Sign in first; what you entered is kept on this page.',
        403 => 'Your part in this house does not allow that. Ask a keeper of the house.',
        404 => 'There is no such thing here, or it belongs to another house.',
        405 => 'That cannot be done this way here.',
        413 => 'That is too much at once. Notes take up to 5000 letters, an import up to 20 MB.',
        419 => 'This page has stood open too long. Reload it; what you entered is kept.',
        429 => 'Too many tries. Wait a minute and try again.',
        503 => 'The kettle is being looked after. Try again in a minute.',
        507 => 'The disk of this machine is full: nothing was written. Whoever looks after it has to make room.',
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([RefusedException::class, WishException::class, LotsException::class, OwnException::class, Clash::class]);
        // Two writes that waited for each other are begun again, and that is no fault of either.
        $exceptions->dontReportWhen(fn (\Throwable $thrown) => (new ConcurrencyErrorDetector())->causedByConcurrencyError($thrown));
        // While the database is away every question fails alike: it is written down once a minute, and not once a question.
        $exceptions->throttle(fn (\Throwable $thrown) => Outage::is($thrown) ? Limit::perMinute(1)->by('outage') : null);
        $exceptions->render(
            fn (\Throwable $thrown, Request $request) => match (true) {
                $request->is('api/*') => self::of($thrown),
                Outage::is($thrown) => self::page(Outage::isFull($thrown) ? 507 : 503),
                default => null,
            },
        );
    }

    public static function of(\Throwable $thrown): JsonResponse
    {
        return match (true) {
            $thrown instanceof WishException => self::response(422, $thrown->getMessage(), $thrown->faults, sentence: $thrown->sentence),
            $thrown instanceof LotsException, $thrown instanceof OwnException => self::response(
                422,
                $thrown->getMessage(),
                $thrown->faults,
            ),
            $thrown instanceof RefusedException => self::response(422, $thrown->sentence, [$thrown->toArray()]),
            $thrown instanceof Clash => self::response(409, $thrown->getMessage(), [], $thrown->current === [] ? null : $thrown->current),
            $thrown instanceof ValidationException => self::response(422, $thrown->getMessage(), self::faults($thrown)),
            $thrown instanceof AuthenticationException => self::response(401),
            $thrown instanceof AuthorizationException => self::response(403),
            $thrown instanceof PostTooLargeException => self::response(413),
            $thrown instanceof HttpExceptionInterface => self::said($thrown),
            Outage::isFull($thrown) => self::response(507),
            Outage::isAway($thrown) => self::away(self::response(503)),
            default => self::response(500, 'Something went wrong on our side. Nothing was changed; try again.'),
        };
    }

    /** With when to ask again, where that was said. */
    private static function said(HttpExceptionInterface $thrown): JsonResponse
    {
        $response = self::response($thrown->getStatusCode(), $thrown->getStatusCode() === 400 ? $thrown->getMessage() : '');
        $after = $thrown->getHeaders()['Retry-After'] ?? null;
        if (is_numeric($after)) {
            $response->headers->set('Retry-After', (string) $after);
        }

        return $response;
    }

    /** To a person: a page that looks again by itself. */
    private static function page(int $status): Response
    {
        return self::away(response()->view('outage', ['says' => self::SENTENCES[$status], 'retry' => Outage::RETRY_S], $status));
    }

    /**
     * @template T of Response
     *
     * @param  T  $response
     * @return T
     */
    private static function away(Response $response): Response
    {
        $response->headers->set('Retry-After', (string) Outage::RETRY_S);

        return $response;
    }

    /**
     * @param  list<array{field: string, reason: string, sentence: string, ways?: list<array{id: string, says: string,
     *     change: array<string, mixed>}>}>  $faults
     * @param  array<string, mixed>|null  $current
     * @param  list<array{slot: ?string, text: string, chosen: bool}>|null  $sentence of the wish that was refused
     */
    public static function response(
        int $status,
        string $says = '',
        array $faults = [],
        ?array $current = null,
        ?array $sentence = null,
    ): JsonResponse {
        $body = [
            'type' => 'about:blank',
            'title' => JsonResponse::$statusTexts[$status] ?? ($status === 419 ? 'Page expired' : 'Error'),
            'status' => $status,
            'detail' => $says !== '' ? $says : self::SENTENCES[$status] ?? 'That cannot be done.',
        ];
        if ($faults !== []) {
            $body['faults'] = $faults;
        }
        if ($sentence !== null) {
            $body['sentence'] = $sentence;
        }
        if ($current !== null) {
            $body['current'] = $current;
        }

        return new JsonResponse(
            $body,
            $status,
            ['Content-Type' => 'application/problem+json'],
            JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    /** @return list<array{field: string, reason: string, sentence: string}> */
    private static function faults(ValidationException $thrown): array
    {
        $faults = [];
        foreach ($thrown->validator->errors()->messages() as $field => $sentences) {
            $faults[] = ['field' => (string) $field, 'reason' => 'invalid', 'sentence' => $sentences[0]];
        }

        return $faults;
    }
}
