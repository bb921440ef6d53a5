<?php

declare(strict_types=1);

namespace App\Description;

use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IntersectionTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use Vinculum\Report\Report;

/**
 * The schemas of what is answered, made of the types that reports and docblocks give. Reports and named shapes become
 * schemas of their own.
 *
 * @phpstan-type Schema array<string, mixed>
 */
final class TypeSchemas
{
    private const SCALARS = [
        'string' => ['type' => 'string'],
        'non-empty-string' => ['type' => 'string'],
        'int' => ['type' => 'integer'],
        'float' => ['type' => 'number'],
        'bool' => ['type' => 'boolean'],
        'null' => ['type' => 'null'],
        'mixed' => [],
    ];

    /** @var array<string, Schema> by name */
    private array $named = [];

    /** @var array<string, string> class or shape, by the name of its schema */
    private array $owners = [];

    public function __construct(private readonly DocTypes $docTypes) {}

    /** @return array<string, Schema> every schema with a name that was met so far */
    public function named(): array
    {
        ksort($this->named);

        return $this->named;
    }

    /**
     * @param string $type as a docblock would have it, or a class
     * @param \ReflectionClass<object> $where it is written
     *
     * @return Schema
     */
    public function of(string $type, \ReflectionClass $where): array
    {
        return $this->schema($this->docTypes->type(str_contains($type, '\\') ? "\\{$type}" : $type), $where);
    }

    /**
     * @param \ReflectionClass<object> $where
     *
     * @return Schema
     */
    private function schema(TypeNode $type, \ReflectionClass $where): array
    {
        return match (true) {
            $type instanceof IdentifierTypeNode => $this->identified($type->name, $where),
            $type instanceof NullableTypeNode => self::either([$this->schema($type->type, $where), ['type' => 'null']]),
            $type instanceof UnionTypeNode => self::either(
                array_map(fn(TypeNode $one): array => $this->schema($one, $where), array_values($type->types)),
            ),
            $type instanceof IntersectionTypeNode => [
                'allOf' => array_map(fn(TypeNode $one): array => $this->schema($one, $where), $type->types),
            ],
            $type instanceof GenericTypeNode => $this->generic($type, $where),
            $type instanceof ArrayShapeNode => $this->shape($type, $where),
            $type instanceof ConstTypeNode => self::constant($type),
            default => throw new \LogicException("No schema says what {$type} is, in {$where->getName()}."),
        };
    }

    /**
     * @param \ReflectionClass<object> $where
     *
     * @return Schema
     */
    private function identified(string $name, \ReflectionClass $where): array
    {
        if (isset(self::SCALARS[$name])) {
            return self::SCALARS[$name];
        }
        $shape = $this->docTypes->shape($name, $where);
        if ($shape !== null) {
            return $this->reference(
                self::plainly($name),
                "{$shape[1]->getName()}::{$name}",
                fn(): array => $this->schema(...$shape),
            );
        }
        $class = $this->docTypes->className($name, $where)
            ?? throw new \LogicException("{$where->getName()} names {$name}, which is neither a shape nor a class.");

        return match (true) {
            is_subclass_of($class, \BackedEnum::class) => self::oneOf(array_column($class::cases(), 'value')),
            is_subclass_of($class, Report::class) => $this->reference(
                self::plainly((new \ReflectionClass($class))->getShortName()),
                $class,
                fn(): array => $this->report(new \ReflectionClass($class)),
            ),
            default => throw new \LogicException("{$class} is no report, in {$where->getName()}."),
        };
    }

    /** The type that a property is declared with, as a docblock would have it. */
    private static function declared(\ReflectionProperty $property): string
    {
        return (string) preg_replace('/[A-Z]\w*(\\\\\w+)+/', '\\\\$0', (string) $property->getType());
    }

    /** "BalanceReport" is the balance, and "SauceSent" is the sauce. */
    private static function plainly(string $name): string
    {
        return (string) preg_replace('/(Report|Sent)$/', '', $name);
    }

    /**
     * @param string $whose class or shape that has this name
     * @param callable(): Schema $make
     *
     * @return Schema
     */
    private function reference(string $name, string $whose, callable $make): array
    {
        if (($this->owners[$name] ??= $whose) !== $whose) {
            throw new \LogicException("{$this->owners[$name]} and {$whose} would both be {$name}.");
        }
        if (!isset($this->named[$name])) {
            $this->named[$name] = [];
            $this->named[$name] = $make();
        }

        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /**
     * A report is sent by its properties.
     *
     * @param \ReflectionClass<Report> $report
     *
     * @return Schema
     */
    private function report(\ReflectionClass $report): array
    {
        $told = [];
        foreach (
            $this->docTypes->docblock($report->getConstructor()?->getDocComment() ?? false)->getParamTagValues() as $tag
        ) {
            $told[ltrim($tag->parameterName, '$')] = [$tag->type, $tag->description];
        }
        [$properties, $inline] = [[], []];
        foreach ($report->getProperties(\ReflectionProperty::IS_PUBLIC) as $property) {
            [$type, $description] = $told[$property->name]
                ?? [$this->docTypes->type(self::declared($property)), ''];
            if (in_array($property->name, (array) $report->getConstant('INLINE'), true)) {
                $inline[] = $this->schema($type, $report);
                continue;
            }
            $properties[Report::named($property->name)] = [
                ...$this->schema($type, $report),
                ...($description === '' ? [] : ['description' => preg_replace('/\s+/', ' ', $description)]),
            ];
        }

        $own = self::object($properties, array_keys($properties), $this->summary($report->getDocComment()));

        return $inline === [] ? $own : ['allOf' => [...$inline, $own]];
    }

    /** The first paragraph of a docblock. */
    public function summary(string|false $comment): string
    {
        $text = preg_replace('~^\s*/\*\*|\*/\s*$|^[ \t]*\*(?!/)[ \t]?~m', '', (string) $comment);

        return trim((string) preg_replace('/\s+/', ' ', preg_split('/\n\s*\n|@/', trim((string) $text))[0] ?? ''));
    }

    /**
     * @param \ReflectionClass<object> $where
     *
     * @return Schema
     */
    private function generic(GenericTypeNode $type, \ReflectionClass $where): array
    {
        $of = array_values($type->genericTypes);

        return match ((string) $type->type) {
            'list', 'non-empty-list' => ['type' => 'array', 'items' => $this->schema($of[0], $where)],
            'value-of' => $this->schema($of[0], $where),
            'Exact', 'Stored' => $this->schema($of[0], $where),
            'Named' => ['type' => 'object', 'additionalProperties' => $this->schema($of[0], $where)],
            'array', 'non-empty-array' => $this->map($this->schema($of[0], $where), $this->schema($of[1], $where)),
            default => throw new \LogicException("No schema says what {$type} is, in {$where->getName()}."),
        };
    }

    /**
     * @param Schema $key
     * @param Schema $value
     *
     * @return Schema
     */
    private function map(array $key, array $value): array
    {
        $names = self::valuesOf($key);

        return $names !== []
            ? self::object(array_fill_keys($names, $value), $names)
            : ['type' => 'object', 'additionalProperties' => $value];
    }

    /**
     * @param \ReflectionClass<object> $where
     *
     * @return Schema
     */
    private function shape(ArrayShapeNode $type, \ReflectionClass $where): array
    {
        [$properties, $required, $items] = [[], [], []];
        foreach ($type->items as $item) {
            $schema = $this->schema($item->valueType, $where);
            if ($item->keyName === null) {
                $items[] = $schema;
                continue;
            }
            $name = trim((string) $item->keyName, "'\"");
            $properties[$name] = $schema;
            if (!$item->optional) {
                $required[] = $name;
            }
        }

        return $items === []
            ? self::object($properties, $required)
            : [
                'type' => 'array',
                'items' => self::either(array_values(array_unique($items, SORT_REGULAR))),
                'minItems' => count($items),
                'maxItems' => count($items),
            ];
    }

    /**
     * @param array<Schema> $properties
     * @param list<mixed> $required
     *
     * @return Schema
     */
    public static function object(array $properties, array $required, string $description = ''): array
    {
        return [
            'type' => 'object',
            ...($description === '' ? [] : ['description' => $description]),
            'properties' => $properties === [] ? new \stdClass() : $properties,
            ...($required === [] ? [] : ['required' => $required]),
        ];
    }

    /**
     * @param list<mixed> $values
     *
     * @return Schema
     */
    public static function oneOf(array $values): array
    {
        return ['type' => is_int($values[0] ?? null) ? 'integer' : 'string', 'enum' => $values];
    }

    /**
     * @param Schema $schema
     *
     * @return list<int|string> what it enumerates
     */
    private static function valuesOf(array $schema): array
    {
        return array_values(
            array_filter(
                (array) ($schema['enum'] ?? []),
                static fn(mixed $one): bool => is_string($one) || is_int($one),
            ),
        );
    }

    /** @return Schema */
    private static function constant(ConstTypeNode $type): array
    {
        $value = $type->constExpr;

        return match (true) {
            $value instanceof ConstExprStringNode => self::oneOf([$value->value]),
            $value instanceof ConstExprIntegerNode => self::oneOf([(int) $value->value]),
            default => throw new \LogicException("No schema says what {$type} is."),
        };
    }

    /**
     * One of several: values of one enumeration together, plain types in one list, else each by itself.
     *
     * @param list<Schema> $schemas
     *
     * @return Schema
     */
    public static function either(array $schemas): array
    {
        $values = array_merge(...array_map(self::valuesOf(...), $schemas));
        $others = array_values(array_filter($schemas, static fn(array $one): bool => !isset($one['enum'])));
        if ($values !== []) {
            array_unshift($others, self::oneOf($values));
        }
        if (count($others) === 1) {
            return $others[0];
        }
        if (count($others) === 2 && $others[1] === ['type' => 'null'] && isset($others[0]['type'])) {
            return [
                ...$others[0],
                'type' => [...(array) $others[0]['type'], 'null'],
                ...($values === [] ? [] : ['enum' => [...$values, null]]),
            ];
        }

        return ['anyOf' => $others];
    }
}
