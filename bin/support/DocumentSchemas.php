<?php

declare(strict_types=1);

namespace Larkspur\CommandLine;

use BackedEnum;
use Documents\Document;
use Documents\Map;
use Documents\Shape;
use Documents\Wire;
use Larkspur\Fact;
use LogicException;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\ParamTagValueNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeItemNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
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
use ReflectionParameter;

/**
 * The schemas of documents/ for the OpenAPI document, inferred from the types that PHP and PHPStan hold them to: nothing about a document's
 * shape is written twice. What is said of a property in its doc comment becomes its description.
 */
final class DocumentSchemas
{
    private Lexer $lexer;

    private TypeParser $types;

    private PhpDocParser $comments;

    /** @param  array<string, class-string<Document>>  $classes  by the name of their schema */
    private function __construct(private readonly array $classes)
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->types = new TypeParser($config, $constants);
        $this->comments = new PhpDocParser($config, $this->types, $constants);
    }

    /**
     * @param  array<string, string>  $folders  by namespace
     * @return array<string, array<string, mixed>> every schema by its name
     */
    public static function all(array $folders): array
    {
        $classes = [];
        foreach ($folders as $namespace => $folder) {
            foreach ([...glob("$folder/*.php") ?: [], ...glob("$folder/*/*.php") ?: []] as $file) {
                $class = $namespace.strtr(substr($file, strlen($folder), -4), '/', '\\');
                if (is_a($class, Document::class, true) && ! interface_exists($class)) {
                    $name = self::nameOf($class);
                    isset($classes[$name]) && throw new LogicException("Two documents would be called {$name}.");
                    $classes[$name] = $class;
                }
            }
        }
        $schemas = new self($classes);

        return array_map($schemas->ofDocument(...), $classes);
    }

    /** @param  class-string  $class */
    private static function nameOf(string $class): string
    {
        return (string) preg_replace('/Document$/', '', (new ReflectionClass($class))->getShortName());
    }

    /**
     * @param  class-string<Document>  $class
     * @return array<string, mixed>
     */
    private function ofDocument(string $class): array
    {
        $constructor = (new ReflectionClass($class))->getConstructor() ?? throw new LogicException("{$class} has no properties.");
        $comment = $constructor->getDocComment();
        $said = [];
        foreach ($comment === false ? [] : $this->comments->parse($this->tokens($comment))->getParamTagValues() as $tag) {
            $said[ltrim($tag->parameterName, '$')] = $tag;
        }
        $properties = $merged = [];
        foreach ($constructor->getParameters() as $parameter) {
            $schema = $this->ofProperty($parameter, $said[$parameter->name] ?? null, $class);
            $name = Wire::names($class)[$parameter->name];
            if ($name === '') {
                $merged[] = $schema;
            } else {
                $properties[$name] = $schema;
            }
        }
        $own = ['required' => array_keys($properties), 'properties' => $properties, 'type' => 'object'];

        return $merged === [] ? $own : ['allOf' => [...$merged, ...$properties === [] ? [] : [$own]]];
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function ofProperty(ReflectionParameter $parameter, ?ParamTagValueNode $said, string $class): array
    {
        $shape = $parameter->getAttributes(Shape::class)[0] ?? null;
        if ($shape !== null) {
            $named = $shape->newInstance();
            $reference = self::reference($named->schema);
            if ($named->each) {
                $reference = ['type' => 'array', 'items' => $reference];
            }

            return $parameter->allowsNull() ? self::nullable($reference) : $reference;
        }
        $type = $said === null ? $this->types->parse($this->tokens((string) $parameter->getType())) : $said->type;
        $schema = $this->ofType($type, $class);

        return ($said->description ?? '') === '' || isset($schema['$ref']) ? $schema : ['description' => $said?->description, ...$schema];
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function ofType(TypeNode $type, string $class): array
    {
        return match (true) {
            $type instanceof NullableTypeNode => self::nullable($this->ofType($type->type, $class)),
            $type instanceof UnionTypeNode => $this->ofUnion($type, $class),
            $type instanceof GenericTypeNode => match ((string) $type->type) {
                'list' => ['type' => 'array', 'items' => $this->ofType($type->genericTypes[0], $class)],
                'InHands' => $this->ofType($type->genericTypes[0], $class),
                'Map', 'array' => [
                    'type' => 'object',
                    'additionalProperties' => $this->ofType($type->genericTypes[array_key_last($type->genericTypes)], $class),
                ],
                default => throw new LogicException("{$class}: {$type} has no schema."),
            },
            $type instanceof ArrayShapeNode => $this->ofShape($type, $class),
            $type instanceof IdentifierTypeNode => $this->ofName($type->name, $class),
            default => throw new LogicException("{$class}: {$type} has no schema."),
        };
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function ofUnion(UnionTypeNode $union, string $class): array
    {
        $known = array_values(array_filter($union->types, static fn (TypeNode $one): bool => (string) $one !== 'null'));
        if (count($known) < count($union->types)) {
            return self::nullable($this->ofType(count($known) === 1 ? $known[0] : new UnionTypeNode($known), $class));
        }
        $words = array_filter(
            array_map(
                static fn (TypeNode $one): ?string => $one instanceof ConstTypeNode && $one->constExpr instanceof ConstExprStringNode
                    ? $one->constExpr->value
                    : null,
                $union->types,
            ),
            is_string(...),
        );
        if (count($words) === count($union->types)) {
            return ['type' => 'string', 'enum' => $words];
        }
        $schemas = array_map(fn (TypeNode $one): array => $this->ofType($one, $class), $union->types);
        // Whole numbers are numbers.
        $schemas = array_values(array_unique(
            array_map(static fn (array $one): array => ($one['type'] ?? '') === 'integer' ? ['type' => 'number'] : $one, $schemas),
            SORT_REGULAR,
        ));

        return count($schemas) === 1 ? $schemas[0] : ['oneOf' => $schemas];
    }

    /**
     * A list of a fixed length, or an object of named values.
     *
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function ofShape(ArrayShapeNode $shape, string $class): array
    {
        $named = [];
        if (($shape->items[0] ?? null)?->keyName === null) {
            $each = array_map(fn (ArrayShapeItemNode $item): array => $this->ofType($item->valueType, $class), $shape->items);
            $kinds = array_values(array_unique($each, SORT_REGULAR));

            return ['type' => 'array', 'items' => count($kinds) === 1 ? $kinds[0] : ['oneOf' => $kinds]];
        }
        foreach ($shape->items as $item) {
            $named[(string) $item->keyName] = $this->ofType($item->valueType, $class);
        }

        return ['required' => array_keys($named), 'properties' => $named, 'type' => 'object'];
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function ofName(string $name, string $class): array
    {
        $plain = [
            'int' => 'integer', 'float' => 'number', 'string' => 'string', 'bool' => 'boolean', 'Fact' => 'string', Fact::class => 'string',
        ][$name] ?? null;
        if ($plain !== null) {
            return ['type' => $plain];
        }
        foreach ([
            $name, (new ReflectionClass($class))->getNamespaceName().'\\'.$name,
            ...array_filter($this->classes, static fn (string $one): bool => str_ends_with($one, '\\'.$name)),
        ] as $found) {
            if (is_a($found, Document::class, true)) {
                return self::reference(self::nameOf($found));
            }
            if (is_a($found, BackedEnum::class, true)) {
                return ['type' => 'string', 'enum' => array_column($found::cases(), 'value')];
            }
        }

        return $name === Map::class || $name === 'Map'
            ? ['type' => 'object']
            : throw new LogicException("{$class}: {$name} has no schema.");
    }

    /** @return array{'$ref': string} */
    private static function reference(string $schema): array
    {
        return ['$ref' => '#/components/schemas/'.$schema];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function nullable(array $schema): array
    {
        return isset($schema['$ref']) ? ['oneOf' => [$schema], 'nullable' => true] : [...$schema, 'nullable' => true];
    }

    private function tokens(string $text): TokenIterator
    {
        return new TokenIterator($this->lexer->tokenize($text));
    }
}
