<?php

namespace Tests;

use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;

/**
 * Holds every answer that a test is given to the committed API document: what the browser's types
 * are made from is what the server really sends.
 */
final class Contract
{
    private static ?object $document = null;

    private static ?Validator $validator = null;

    /** @param  array<mixed>  $sent the body */
    public static function check(string $method, string $path, array $sent, TestResponse $answer): void
    {
        if ($answer->isSuccessful()) {
            self::checkSent($method, $path, $sent);
        }
        $type = (string) $answer->headers->get('Content-Type');
        if (! str_contains($type, 'json') || $answer->getContent() === '' || str_contains($path, '/export')) {
            return;
        }
        $schema = $answer->isSuccessful() ? self::answerOf($method, $path) : '#/components/schemas/Problem';
        if ($schema === null) {
            return;
        }
        self::hold($schema, json_decode((string) $answer->getContent()), "What {$method} {$path} answers");
    }

    /**
     * What was taken is what the document says may be sent.
     *
     * @param  array<mixed>  $sent
     */
    private static function checkSent(string $method, string $path, array $sent): void
    {
        $schema = self::operation($method, $path)->requestBody->content->{'application/json'}->schema->{'$ref'} ?? null;
        if ($schema !== null) {
            // An object without a field is not to be taken for an empty list.
            $body = json_decode((string) json_encode($sent === [] ? new \stdClass() : $sent));
            self::hold($schema, $body, "What {$method} {$path} took");
        }
    }

    private static function hold(string $schema, mixed $body, string $what): void
    {
        $error = self::validator()->validate($body, (object) ['$ref' => 'kettle://api'.$schema])->error();
        Assert::assertNull(
            $error,
            "{$what} is not what docs/openapi.json says: ".
                ($error === null ? '' : json_encode((new ErrorFormatter())->format($error, false))),
        );
    }

    /** The schema a path's answer refers to in the document. */
    private static function answerOf(string $method, string $path): ?string
    {
        return self::operation($method, $path)->responses->{'200'}->content->{'application/json'}->schema->{'$ref'} ?? null;
    }

    private static function operation(string $method, string $path): object
    {
        foreach (get_object_vars(self::document()->paths) as $pattern => $verbs) {
            $regex = '#^'.preg_replace('/\\\\\{\w+\\\\\}/', '[^/?]+', preg_quote($pattern, '#')).'(\?.*)?$#';
            if (preg_match($regex, $path) === 1 && isset($verbs->{strtolower($method)})) {
                return $verbs->{strtolower($method)};
            }
        }

        return Assert::fail("{$method} {$path} is not in docs/openapi.json.");
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator();
            $resolver = self::$validator->resolver();
            assert($resolver !== null);
            $document = self::document();
            $document->{'$id'} = 'kettle://api';
            $resolver->registerRaw($document, 'kettle://api');
        }

        return self::$validator;
    }

    private static function document(): object
    {
        if (self::$document === null) {
            $text = (string) file_get_contents(dirname(__DIR__).'/docs/openapi.json');
            $read = json_decode($text);
            assert(is_object($read));
            self::$document = $read;
        }

        return self::$document;
    }
}
