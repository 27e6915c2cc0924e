<?php

namespace App\Console\ApiDocument;

use App\Http\Requests\Form;
use App\OpenApi\Schema;
use Illuminate\Support\Arr;
use Illuminate\Validation\Rules\In;
use LogicException;
use ReflectionClass;

/** The JSON Schema of what a form request takes, from its rules. */
final class FormSchema
{
    /** The property that says how long a text, how many of a list, how large a number may be. */
    private const BOUNDS = [
        'string' => ['minLength', 'maxLength'],
        'array' => ['minItems', 'maxItems'],
        'number' => ['minimum', 'maximum'],
        'integer' => ['minimum', 'maximum'],
    ];

    /**
     * @param  class-string<Form>  $class
     * @return array<string, mixed>
     */
    public static function of(string $class): array
    {
        $reflected = new ReflectionClass($class);
        $form = new $class();
        $schema = ['description' => ResponseSchemas::summary($reflected), ...self::object($form->rules(), '')];
        foreach (array_keys($form->figures()) as $field) {
            // As people write it, too: see Form::figures.
            $property = Arr::array($schema, "properties.{$field}");
            $nullable = in_array('null', (array) $property['type'], true);
            $types = array_filter((array) $property['type'], fn (mixed $type) => $type !== 'null');
            Arr::set($schema, "properties.{$field}.type", [...$types, 'string', ...$nullable ? ['null'] : []]);
        }
        Arr::has($schema, 'properties.wish') &&
            Arr::set($schema, 'properties.wish', ['$ref' => '#/components/schemas/'.self::wish($class)]);
        foreach ($reflected->getAttributes(Schema::class) as $attribute) {
            $more = $attribute->newInstance();
            Arr::has($schema, "properties.{$more->of}") || throw new LogicException("{$class} has no field {$more->of}.");
            Arr::set($schema, "properties.{$more->of}", [...Arr::array($schema, "properties.{$more->of}"), ...$more->is]);
        }

        /** @var array<string, mixed> $schema */
        return $schema;
    }

    /** @param  class-string<Form>  $class */
    private static function wish(string $class): string
    {
        $name = constant($class.'::WISH');

        return is_string($name) ? $name : throw new LogicException("{$class} names no schema of its wish.");
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    public static function nullable(array $schema): array
    {
        $types = array_filter((array) $schema['type'], fn (mixed $type) => $type !== 'null');
        $schema['type'] = [...array_values($types), 'null'];
        if (is_array($schema['enum'] ?? null) && ! in_array(null, $schema['enum'], true)) {
            $schema['enum'][] = null;
        }

        return $schema;
    }

    /**
     * The fields that stand right under a prefix.
     *
     * @param  array<string, mixed>  $rules by field, as Laravel has them
     * @return array<string, mixed>
     */
    private static function object(array $rules, string $under): array
    {
        $properties = [];
        $required = [];
        foreach ($rules as $field => $asked) {
            if (! str_starts_with($field, $under) || str_contains(substr($field, strlen($under)), '.')) {
                continue;
            }
            $name = substr($field, strlen($under));
            $properties[$name] = self::field($rules, $field);
            $asks = fn (string $rule): bool => in_array($rule, (array) $asked, true);
            if (($asks('required') || $asks('present')) && ! $asks('sometimes')) {
                $required[] = $name;
            }
        }

        return [
            'type' => 'object',
            ...$required === [] ? [] : ['required' => $required],
            'properties' => $properties,
            // What is not asked for is refused: see App\Http\UnknownFields.
            'additionalProperties' => false,
        ];
    }

    /**
     * @param  array<string, mixed>  $rules
     * @return array<string, mixed>
     */
    private static function field(array $rules, string $field): array
    {
        $asked = (array) $rules[$field];
        // Read by the published schema, not by rules: see Form::passedValidation.
        $published = ['wish' => 'Wish', 'own' => 'Own'][$field] ?? null;
        if ($published !== null) {
            return ['$ref' => "#/components/schemas/{$published}"];
        }
        $type = match (true) {
            in_array('boolean', $asked, true) => 'boolean',
            in_array('integer', $asked, true) => 'integer',
            in_array('numeric', $asked, true) => 'number',
            ! in_array('array', $asked, true) => 'string',
            self::lists($rules, $field) => 'array',
            default => 'object',
        };
        $schema = ['type' => $type];
        if ($type === 'array') {
            $schema['items'] = isset($rules["{$field}.*"]) ? self::field($rules, "{$field}.*") : self::object($rules, "{$field}.*.");
        }
        foreach ($asked as $rule) {
            $schema = [...$schema, ...self::bound($type, $rule)];
        }

        return in_array('nullable', $asked, true) ? self::nullable($schema) : $schema;
    }

    /** @return array<string, mixed> */
    private static function bound(string $type, mixed $rule): array
    {
        if (! is_string($rule) && ! ($rule instanceof In)) {
            return [];
        }
        [$name, $of] = [...explode(':', (string) $rule, 2), ''];
        $values = array_map(fn (string $value) => trim($value, '"'), explode(',', $of));
        if ($name === 'in') {
            return ['enum' => $type === 'integer' ? array_map(intval(...), $values) : $values];
        }
        [$low, $high] = self::BOUNDS[$type] ?? ['', ''];
        $numbers = array_map(fn (string $value) => is_numeric($value) ? $value + 0 : 0, $values);

        return match (true) {
            $low === '' => [],
            $name === 'min' => [$low => $numbers[0]],
            $name === 'max' => [$high => $numbers[0]],
            $name === 'size' => [$low => $numbers[0], $high => $numbers[0]],
            $name === 'between' => [$low => $numbers[0], $high => $numbers[1]],
            default => [],
        };
    }

    /** @param  array<string, mixed>  $rules */
    private static function lists(array $rules, string $field): bool
    {
        return array_filter(array_keys($rules), fn (string $other) => str_starts_with($other, "{$field}.*")) !== [];
    }
}
