<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/**
 * Facts as typed objects: each class names its file, and its constructor what stands in it. A parameter that is itself
 * such a class is a section of that name; any other is a field. Read once, and checked when they are read.
 */
final class Facts
{
    /** What every row may say of itself. */
    private const SOURCE = 'source';

    /** @var array<class-string, object> */
    private static array $read = [];

    /**
     * @template T of object
     *
     * @param class-string<T> $class with a constant FILE, and SECTION where it is one section alone
     *
     * @return T
     *
     * @throws FactsFault when something in the file is missing or of another kind
     */
    public static function of(string $class): object
    {
        /** @var T */
        return self::$read[$class] ??= self::readFile($class);
    }

    /**
     * @param class-string $class
     */
    private static function readFile(string $class): object
    {
        $reflected = new \ReflectionClass($class);
        $file = $reflected->getConstant('FILE');
        $section = $reflected->getConstant('SECTION');
        $rows = FactsFile::named(is_string($file) ? $file : throw FactsFault::missing($class, 'FILE'));
        $values = [];
        foreach ($reflected->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = self::typeOf($parameter);
            $values[] = class_exists($type)
                ? self::readSection(
                    $type,
                    $rows[self::named($parameter->name, '-')] ?? throw FactsFault::missing($file, $parameter->name),
                )
                : self::field(
                    $rows[is_string($section) ? $section : ''] ?? throw FactsFault::missing($file, 'a section'),
                    $parameter,
                );
        }

        if (is_string($section)) {
            self::closed($reflected, $rows[$section]);
        }

        return $reflected->newInstance(...$values);
    }

    /**
     * A field that no parameter takes is a slip of the pen, but for those that the class says another reads (BESIDES).
     *
     * @param \ReflectionClass<object> $class
     */
    private static function closed(\ReflectionClass $class, Row $row): void
    {
        $known = array_map(
            static fn(\ReflectionParameter $parameter): string => self::named($parameter->name, '_'),
            $class->getConstructor()?->getParameters() ?? [],
        );
        $besides = $class->getConstant('BESIDES');
        $besides = is_array($besides) ? array_filter($besides, is_string(...)) : [];
        $unknown = array_diff($row->fields(), $known, $besides, [self::SOURCE]);
        if ($unknown !== []) {
            throw FactsFault::unknownFields($row->key, $unknown);
        }
    }

    /** @param class-string $class */
    private static function readSection(string $class, Row $row): object
    {
        $reflected = new \ReflectionClass($class);
        $values = array_map(
            static fn(\ReflectionParameter $parameter): mixed => self::field($row, $parameter),
            $reflected->getConstructor()?->getParameters() ?? [],
        );
        self::closed($reflected, $row);

        return $reflected->newInstance(...$values);
    }

    /** A list is one of numbers, of names with a number each, or of words, as its first entry is. */
    private static function field(Row $row, \ReflectionParameter $parameter): mixed
    {
        $name = self::named($parameter->name, '_');

        return match (self::typeOf($parameter)) {
            'float' => $row->number($name),
            'int' => (int) $row->number($name),
            'string' => $row->text($name),
            default => match (true) {
                is_numeric($row->list($name)[0] ?? '') => $row->numbers($name),
                preg_match('/^\S+ -?\d/', $row->list($name)[0] ?? '') === 1 => $row->amounts($name),
                default => $row->list($name),
            },
        };
    }

    private static function typeOf(\ReflectionParameter $parameter): string
    {
        $type = $parameter->getType();

        return $type instanceof \ReflectionNamedType ? $type->getName() : 'mixed';
    }

    private static function named(string $camelCase, string $mark): string
    {
        return strtolower((string) preg_replace('/[A-Z]/', "{$mark}\$0", $camelCase));
    }
}
