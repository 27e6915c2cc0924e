<?php

namespace App\Http;

use App\Actions\Clash;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Kettle\Material\OwnException;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\WishException;
use Kettle\Stores\LotsException;
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
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([RefusedException::class, WishException::class, LotsException::class, OwnException::class, Clash::class]);
        $exceptions->render(fn (\Throwable $thrown, Request $request) => $request->is('api/*') ? self::of($thrown) : null);
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
            $thrown instanceof HttpExceptionInterface => self::response(
                $thrown->getStatusCode(),
                $thrown->getStatusCode() === 400 ? $thrown->getMessage() : '',
            ),
            default => self::response(500, 'Something went wrong on our side. Nothing was changed; try again.'),
        };
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
