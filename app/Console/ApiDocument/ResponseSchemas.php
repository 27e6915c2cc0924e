<?php

namespace App\Console\ApiDocument;

use App\OpenApi\Schema;
use LogicException;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\ParamTagValueNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;

/** JSON Schemas of what the API answers with, from the types of a class’s promoted properties and their `@param`. */
final class ResponseSchemas
{
    /** @var array<string, array<string, mixed>> by the class’s short name, which stands once in the document */
    private array $schemas = [];

    /** @var array<string, class-string> */
    private array $classes = [];

    private readonly Lexer $lexer;

    private readonly PhpDocParser $parser;

    public function __construct()
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->parser = new PhpDocParser($config, new TypeParser($config, $constants), $constants);
    }

    /**
     * @param  class-string  $class
     * @return array{'$ref': string}
     */
    public function of(string $class): array
    {
        $reflected = new ReflectionClass($class);
        $name = $reflected->getShortName();
        if (($this->classes[$name] ??= $class) !== $class) {
            throw new LogicException("Two classes would be {$name} in the document: {$class} and {$this->classes[$name]}.");
        }
        if (! isset($this->schemas[$name])) {
            $this->schemas[$name] = [];
            $this->schemas[$name] = $this->object($reflected);
        }

        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /** @return array<string, array<string, mixed>> */
    public function all(): array
    {
        return $this->schemas;
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function object(ReflectionClass $class): array
    {
        $constructor = $class->getConstructor() ?? throw new LogicException("{$class->getName()} has no properties.");
        $says = [];
        foreach ($this->parsed((string) $constructor->getDocComment()) as $param) {
            $says[ltrim($param->parameterName, '$')] = $param;
        }
        $properties = [];
        foreach ($constructor->getParameters() as $parameter) {
            $properties[$parameter->getName()] = $this->property($parameter, $says[$parameter->getName()] ?? null, $class);
        }

        return [
            'type' => 'object',
            'description' => self::summary($class),
            // A shape always carries all it has; what may be missing is null.
            'required' => array_keys($properties),
            'properties' => $properties,
        ];
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function property(ReflectionParameter $parameter, ?ParamTagValueNode $says, ReflectionClass $class): array
    {
        foreach ($parameter->getAttributes(Schema::class) as $attribute) {
            return $attribute->newInstance()->is;
        }
        $type = $parameter->getType();
        if ($says !== null) {
            $schema = $this->documented($says->type, $class);
        } elseif ($type instanceof ReflectionNamedType) {
            $schema = $this->named($type->getName(), $class);
        } else {
            throw new LogicException("What {$class->getName()}::\${$parameter->getName()} is, its type does not tell.");
        }
        if ($type?->allowsNull() === true) {
            $schema = self::orNull($schema);
        }
        $description = trim((string) preg_replace('/\s+/', ' ', $says->description ?? ''));

        return $description === '' ? $schema : ['description' => $description, ...$schema];
    }

    /**
     * @param  ReflectionClass<object>  $class where the type stands, for names beside it
     * @return array<string, mixed>
     */
    private function documented(TypeNode $type, ReflectionClass $class): array
    {
        if ($type instanceof NullableTypeNode) {
            return self::orNull($this->documented($type->type, $class));
        }
        if ($type instanceof UnionTypeNode) {
            $texts = array_map(
                fn (TypeNode $one) => $one instanceof ConstTypeNode && $one->constExpr instanceof ConstExprStringNode
                    ? $one->constExpr->value
                    : null,
                $type->types,
            );
            if (! in_array(null, $texts, true)) {
                return ['type' => 'string', 'enum' => $texts];
            }
            $kept = array_values(array_filter($type->types, fn (TypeNode $one) => (string) $one !== 'null'));
            if (count($kept) === 1) {
                return self::orNull($this->documented($kept[0], $class));
            }
        }
        if ($type instanceof GenericTypeNode) {
            $last = $type->genericTypes[count($type->genericTypes) - 1];

            return match ([(string) $type->type, count($type->genericTypes)]) {
                ['list', 1] => ['type' => 'array', 'items' => $this->documented($last, $class)],
                ['array', 2] => ['type' => 'object', 'additionalProperties' => $this->documented($last, $class)],
                default => throw new LogicException("{$type} in {$class->getName()} is not told apart into a list or a map."),
            };
        }
        if ($type instanceof IdentifierTypeNode) {
            return $this->named($type->name, $class);
        }

        throw new LogicException("{$type} in {$class->getName()} is not a type this document knows.");
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function named(string $name, ReflectionClass $class): array
    {
        $plain = ['string' => 'string', 'int' => 'integer', 'float' => 'number', 'bool' => 'boolean'];
        if (isset($plain[$name])) {
            return ['type' => $plain[$name]];
        }
        $full = $this->find($name, $class);
        if (enum_exists($full)) {
            return ['type' => 'string', 'enum' => array_map(fn (\UnitEnum $case) => $case->value ?? $case->name, $full::cases())];
        }

        return $this->of($full);
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return class-string
     */
    private function find(string $name, ReflectionClass $class): string
    {
        preg_match(
            '/^use ([\w\\\\]+\\\\'.preg_quote($name, '/').');$/m',
            (string) file_get_contents((string) $class->getFileName()),
            $use,
        );
        foreach ([$name, $use[1] ?? '', $class->getNamespaceName().'\\'.$name] as $full) {
            if ($full !== '' && (class_exists($full) || enum_exists($full))) {
                return $full;
            }
        }
        throw new LogicException("No class {$name} is known in {$class->getName()}.");
    }

    /** @return array<ParamTagValueNode> */
    private function parsed(string $comment): array
    {
        return $comment === '' ? [] : $this->parser->parse(new TokenIterator($this->lexer->tokenize($comment)))->getParamTagValues();
    }

    /** @param  ReflectionClass<object>  $class */
    public static function summary(ReflectionClass $class): string
    {
        preg_match('/^\/\*\*\s*(?:\*\s)?(.*?)(?:\n\s*\*\s*\n|\*\/)/s', (string) $class->getDocComment(), $found);
        $text = (string) preg_replace('/\s*\n\s*\*\s*/', ' ', $found[1] ?? '');

        return trim($text) !== '' ? trim($text) : throw new LogicException("{$class->getName()} does not say what it is.");
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function orNull(array $schema): array
    {
        return match (true) {
            isset($schema['$ref']) => ['oneOf' => [$schema, ['type' => 'null']]],
            // Said in the comment and by the type both.
            isset($schema['oneOf']) => $schema,
            default => FormSchema::nullable($schema),
        };
    }
}
