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

    public static function check(string $method, string $path, TestResponse $answer): void
    {
        $type = (string) $answer->headers->get('Content-Type');
        if (! str_contains($type, 'json') || $answer->getContent() === '' || str_contains($path, '/export')) {
            return;
        }
        $schema = $answer->isSuccessful() ? self::answerOf($method, $path) : '#/components/schemas/Problem';
        if ($schema === null) {
            return;
        }
        $result = self::validator()->validate(json_decode((string) $answer->getContent()), (object) ['$ref' => 'kettle://api'.$schema]);
        $error = $result->error();
        Assert::assertNull(
            $error,
            "{$method} {$path} is not what docs/openapi.json says: ".
                ($error === null ? '' : json_encode((new ErrorFormatter())->format($error, false))),
        );
    }

    /** The schema a path's answer refers to in the document. */
    private static function answerOf(string $method, string $path): ?string
    {
        foreach (get_object_vars(self::document()->paths) as $pattern => $verbs) {
            $regex = '#^'.preg_replace('/\\\\\{\w+\\\\\}/', '[^/?]+', preg_quote($pattern, '#')).'(\?.*)?$#';
            if (preg_match($regex, $path) === 1 && isset($verbs->{strtolower($method)})) {
                return $verbs->{strtolower($method)}->responses->{'200'}->content->{'application/json'}->schema->{'$ref'} ?? null;
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
