<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Reason\UnknownField;
use Kettle\Recipe\WishException;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Uri;
use Opis\JsonSchema\Validator;

/**
 * Whether a document is what may be asked: the schemas that are published in docs/formats are what is accepted,
 * and nothing else. What is wrong is said by the field, with the nearest name where a name is not known.
 */
final class Schemas
{
    private const MOST_FAULTS = 8;

    private ?Validator $validator = null;

    public function __construct(private readonly string $formats) {}

    public static function shipped(): self
    {
        return new self(dirname(__DIR__, 2).'/docs/formats');
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws WishException with every fault found
     */
    public function wish(array $document): void
    {
        $this->hold($document, 'kettle://formats/wish.schema.json');
    }

    /**
     * @param  array<mixed>  $document a thing of a house's own
     *
     * @throws WishException with every fault found
     */
    public function own(array $document): void
    {
        $this->hold($document, 'kettle://formats/wish.schema.json#/$defs/own');
    }

    /**
     * @param  string  $mode of Questions::MODES
     * @param  array<mixed>  $document
     *
     * @throws WishException with every fault found
     */
    public function mode(string $mode, array $document): void
    {
        $this->hold($document, "kettle://formats/{$mode}.asks");
    }

    /** @param  array<mixed>  $document */
    private function hold(array $document, string $schema): void
    {
        array_walk_recursive($document, function (mixed $value): void {
            if (is_float($value) && ! is_finite($value)) {
                throw WishException::one('', 'out_of_range', 'A number in it is no number that can be reckoned with.');
            }
        });
        $data = $document === [] ? new \stdClass() : Helper::toJSON($document);
        $error = $this->validator()->validate($data, (object) ['$ref' => $schema])->error();
        if ($error === null) {
            return;
        }
        $faults = [];
        self::leaves($error, $faults);
        if ($faults !== []) {
            throw WishException::faults(array_slice(array_values($faults), 0, self::MOST_FAULTS));
        }
    }

    private function validator(): Validator
    {
        if ($this->validator === null) {
            $this->validator = new Validator(max_errors: self::MOST_FAULTS, stop_at_first_error: false);
            $read = fn (Uri $uri): ?object => $this->schema(basename($uri->path() ?? ''));
            $this->validator->resolver()?->registerProtocol('kettle', $read);
        }

        return $this->validator;
    }

    /** A mode is taken out of the schema of all, for the library walks through the whole of what it is given. */
    private function schema(string $name): ?object
    {
        $mode = basename($name, '.asks');
        $schema = json_decode((string) file_get_contents("{$this->formats}/".($mode === $name ? $name : 'reckon.schema.json')));
        foreach ($mode === $name ? [] : ['$defs', $mode, 'asks'] as $part) {
            $schema = is_object($schema) ? get_object_vars($schema)[$part] ?? null : null;
        }

        return is_object($schema) ? $schema : null;
    }

    /** @param  array<string, array{field: string, reason: string, sentence: string}>  $faults by field */
    private static function leaves(ValidationError $error, array &$faults): void
    {
        $among = in_array($error->keyword(), ['anyOf', 'oneOf'], true);
        $sub = self::under($error);
        // Of several shapes that would do, the one that came furthest is the one that was meant.
        if ($among && $sub !== []) {
            usort($sub, fn (ValidationError $a, ValidationError $b) => self::depth($b) <=> self::depth($a));
            $sub = [$sub[0]];
        }
        if ($sub !== []) {
            foreach ($sub as $each) {
                self::leaves($each, $faults);
            }

            return;
        }
        // PHP has one emptiness for a list and an object.
        $expected = self::names($error->args()['expected'] ?? '');
        if ($error->keyword() === 'type' && $error->data()->value() === [] && array_intersect($expected, ['array', 'object']) !== []) {
            return;
        }
        foreach (self::fault($error) as $fault) {
            $faults[$fault['field']] ??= $fault;
        }
    }

    /** @return list<ValidationError> */
    private static function under(ValidationError $error): array
    {
        return array_values(array_filter($error->subErrors(), fn (mixed $each) => $each instanceof ValidationError));
    }

    /** @return list<string> */
    private static function names(mixed $list): array
    {
        return array_map(fn (mixed $each) => is_scalar($each) ? (string) $each : '', array_values((array) $list));
    }

    private static function depth(ValidationError $error): int
    {
        return count($error->data()->fullPath()) +
            ($error->keyword() === 'type' ? 0 : 1) +
            max([0, ...array_map(self::depth(...), self::under($error))]);
    }

    /** @return list<array{field: string, reason: string, sentence: string}> */
    private static function fault(ValidationError $error): array
    {
        $path = implode('.', array_map(strval(...), $error->data()->fullPath()));
        $name = $path === '' ? 'what is asked' : "“{$path}”";
        $args = $error->args();
        $of = fn (string $key): string => is_scalar($args[$key] ?? null) ? (string) $args[$key] : '';
        $one = fn (string $reason, string $sentence): array => [['field' => $path, 'reason' => $reason, 'sentence' => $sentence]];

        return match ($error->keyword()) {
            'additionalProperties' => array_map(
                fn (string $field): array => [
                    'field' => ltrim("{$path}.{$field}", '.'),
                    'reason' => 'unknown_field',
                    'sentence' => UnknownField::sentence($field, self::known($error)),
                    // Of a place where something else is wrong the library counts what it knows as well.
                ],
                array_values(array_diff(self::names($args['properties'] ?? []), self::known($error))),
            ),
            'required' => array_map(
                fn (string $field): array => [
                    'field' => ltrim("{$path}.{$field}", '.'),
                    'reason' => 'missing',
                    'sentence' => sprintf('“%s” is missing.', $field),
                ],
                self::names($args['missing'] ?? []),
            ),
            'type' => $one(
                'unreadable',
                sprintf('%s must be %s, and is %s.', ucfirst($name), self::kinds($args['expected'] ?? ''), self::kinds($of('type'))),
            ),
            'enum' => $one(
                'unknown',
                sprintf(
                    '%s is none of %s.',
                    ucfirst($name),
                    implode(', ', array_filter(self::names(self::schemaOf($error)->enum ?? []), fn (string $each) => $each !== '')),
                ),
            ),
            'minimum', 'exclusiveMinimum' => $one(
                'out_of_range',
                sprintf('%s must be %s %s.', ucfirst($name), $error->keyword() === 'minimum' ? 'at least' : 'more than', $of('min') ?: '0'),
            ),
            'maximum', 'exclusiveMaximum' => $one(
                'out_of_range',
                sprintf('%s must be %s %s.', ucfirst($name), $error->keyword() === 'maximum' ? 'at most' : 'less than', $of('max')),
            ),
            'minItems' => $one('too_few', sprintf('%s must hold at least %s.', ucfirst($name), $of('min'))),
            'maxItems' => $one('too_many', sprintf('%s may hold at most %s.', ucfirst($name), $of('max'))),
            'maxLength' => $one('too_long', sprintf('%s takes at most %s letters.', ucfirst($name), $of('max'))),
            default => $one('unreadable', sprintf('%s is not what may be asked here. See docs/formats.', ucfirst($name))),
        };
    }

    /** @return list<string> names of the fields that may stand where it went wrong */
    private static function known(ValidationError $error): array
    {
        $properties = self::schemaOf($error)->properties ?? null;

        return is_object($properties) ? array_map(strval(...), array_keys(get_object_vars($properties))) : [];
    }

    private static function schemaOf(ValidationError $error): \stdClass
    {
        $schema = $error->schema()->info()->data();

        return $schema instanceof \stdClass ? $schema : new \stdClass();
    }

    private static function kinds(mixed $types): string
    {
        $words = [
            'string' => 'text',
            'number' => 'a number',
            'integer' => 'a whole number',
            'array' => 'a list',
            'object' => 'an object',
            'boolean' => 'true or false',
            'null' => 'nothing',
        ];

        return implode(' or ', array_map(fn (mixed $type) => $words[is_string($type) ? $type : ''] ?? 'something else', (array) $types));
    }
}
