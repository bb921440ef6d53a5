<?php

declare(strict_types=1);

namespace App\Description;

use App\Http\Described;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;

/**
 * The schemas of what is asked, made of the rules by which it is checked.
 *
 * @phpstan-import-type Schema from TypeSchemas
 */
final readonly class RuleSchemas
{
    /** @return Schema of a request's body */
    public static function of(FormRequest $request): array
    {
        /** @var array<string, list<mixed>> $rules */
        $rules = method_exists($request, 'rules') ? $request->rules() : [];

        return self::object($rules, '');
    }

    /**
     * @param array<string, list<mixed>> $rules
     * @param string $of the field whose own fields these are, with a full stop; nothing at the top
     *
     * @return Schema
     */
    private static function object(array $rules, string $of): array
    {
        [$properties, $required] = [[], []];
        foreach (self::fieldsOf($rules, $of) as $name) {
            $own = $rules[$of . $name] ?? [];
            $properties[$name] = self::field($rules, $of . $name);
            if (array_intersect(array_filter($own, is_string(...)), ['required', 'present']) !== []) {
                $required[] = $name;
            }
        }

        return TypeSchemas::object($properties, $required);
    }

    /**
     * @param array<string, list<mixed>> $rules
     *
     * @return Schema
     */
    private static function field(array $rules, string $field): array
    {
        $own = $rules[$field] ?? [];
        $schema = self::value($rules, $field, $own);

        return in_array('nullable', $own, true) ? TypeSchemas::either([$schema, ['type' => 'null']]) : $schema;
    }

    /**
     * @param array<string, list<mixed>> $rules
     * @param list<mixed> $own
     *
     * @return Schema
     */
    private static function value(array $rules, string $field, array $own): array
    {
        foreach ($own as $rule) {
            if ($rule instanceof Described) {
                return $rule->schema();
            }
            $allowed = self::allowed($rule);
            if ($allowed !== []) {
                return TypeSchemas::oneOf($allowed);
            }
        }
        $words = array_map(
            static fn(string $rule): string => explode(':', $rule)[0],
            array_filter($own, is_string(...)),
        );
        $inside = self::fieldsOf($rules, "{$field}.");

        return match (true) {
            in_array('boolean', $words, true) => ['type' => 'boolean'],
            in_array('integer', $words, true) => ['type' => 'integer'],
            in_array('numeric', $words, true) => ['type' => ['number', 'string']],
            in_array('list', $words, true) => ['type' => 'array', 'items' => self::field($rules, "{$field}.*")],
            $inside === ['*'] => self::map($own, self::field($rules, "{$field}.*")),
            $inside !== [] => self::object($rules, "{$field}."),
            in_array('array', $words, true) => ['type' => 'object', 'additionalProperties' => ['type' => 'number']],
            default => ['type' => 'string'],
        };
    }

    /**
     * One rule for every field of an object; which fields it may have is told by "array:a,b".
     *
     * @param list<mixed> $own
     * @param Schema $value
     *
     * @return Schema
     */
    private static function map(array $own, array $value): array
    {
        foreach ($own as $rule) {
            if (is_string($rule) && str_starts_with($rule, 'array:')) {
                return TypeSchemas::object(array_fill_keys(explode(',', substr($rule, 6)), $value), []);
            }
        }

        return ['type' => 'object', 'additionalProperties' => $value];
    }

    /**
     * The values that a rule lets through; empty where it does not list them, or where the list is read from the facts
     * and may grow.
     *
     * @return list<int|string>
     */
    private static function allowed(mixed $rule): array
    {
        if ($rule instanceof Enum) {
            /** @var class-string<\BackedEnum> $enum */
            $enum = (new \ReflectionProperty(Enum::class, 'type'))->getValue($rule);

            return array_column($enum::cases(), 'value');
        }

        return is_string($rule) && str_starts_with($rule, 'in:') ? explode(',', substr($rule, 3)) : [];
    }

    /**
     * @param array<string, list<mixed>> $rules
     *
     * @return list<string> the names right below a field
     */
    private static function fieldsOf(array $rules, string $of): array
    {
        $names = [];
        foreach (array_keys($rules) as $field) {
            if ($of === '' || str_starts_with($field, $of)) {
                $names[explode('.', substr($field, strlen($of)))[0]] = true;
            }
        }

        return array_map(strval(...), array_keys($names));
    }
}
