<?php

declare(strict_types=1);

namespace App\Description;

use App\Http\Answers;
use App\Http\Faults;
use App\Recipes\EditConflict;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;

/**
 * The description of the HTTP API in OpenAPI 3.1, made of what is there: the routes, the rules of the requests, and what
 * the actions say they answer with.
 *
 * @phpstan-import-type Schema from TypeSchemas
 */
final readonly class ApiDescription
{
    private TypeSchemas $answers;

    public function __construct(private Router $router)
    {
        $this->answers = new TypeSchemas(new DocTypes());
    }

    /** @return array<string, mixed> */
    public function made(): array
    {
        [$paths, $asked] = [[], []];
        /** @var Route $route */
        foreach ($this->router->getRoutes()->getRoutes() as $route) {
            $class = $route->getControllerClass();
            if (!str_starts_with($route->uri(), 'api/') || $class === null || !class_exists($class)) {
                continue;
            }
            $action = new \ReflectionMethod(
                $class,
                $route->getActionMethod() === $class ? '__invoke' : $route->getActionMethod(),
            );
            $request = self::requestOf($action);
            if ($request !== null && self::method($route) !== 'get') {
                $asked[class_basename($request)] = RuleSchemas::of($request);
            }
            $paths["/{$route->uri()}"][self::method($route)] = $this->operation($route, $action, $request);
        }
        ksort($asked);

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Vinculum',
                'version' => '1',
                'description' => 'The HTTP API of the pages. Masses in grams, volumes in millilitres, percentages by mass.',
            ],
            'paths' => $paths,
            'components' => ['schemas' => [...$this->answers->named(), ...$asked]],
        ];
    }

    private static function method(Route $route): string
    {
        $method = $route->methods()[0] ?? '';

        return is_string($method) ? strtolower($method) : '';
    }

    /** @return array<string, mixed> */
    private function operation(Route $route, \ReflectionMethod $action, ?FormRequest $request): array
    {
        $isRead = self::method($route) === 'get';
        /** @var list<string> $places */
        $places = $route->parameterNames();
        $where = $action->getDeclaringClass();
        $summary = $this->answers->summary($action->getDocComment() ?: $where->getDocComment());
        $responses = $this->answer($action, $where);
        foreach (
            array_keys(array_filter([
                404 => $places !== [],
                409 => !$isRead,
                422 => !$isRead || $request !== null,
            ])) as $status
        ) {
            $responses[$status] = self::response(
                $this->answers->of($status === 409 ? 'Conflict' : 'Fault', new \ReflectionClass($status === 409 ? EditConflict::class : Faults::class)),
            );
        }

        return [
            ...($summary === '' ? [] : ['summary' => $summary]),
            ...self::listed('parameters', [
                ...array_map(fn(string $name): array => self::inPath($route, $action, $name), $places),
                ...($isRead && $request !== null ? self::inQuery($request) : []),
            ]),
            ...($isRead || $request === null
                ? []
                : ['requestBody' => ['required' => true, 'content' => self::json(self::named($request))]]),
            'responses' => $responses,
        ];
    }

    /**
     * @param \ReflectionClass<object> $where
     *
     * @return array<int, mixed> by status
     */
    private function answer(\ReflectionMethod $action, \ReflectionClass $where): array
    {
        $attribute = $action->getAttributes(Answers::class)[0] ?? null;
        if ($attribute === null) {
            return [204 => ['description' => 'Done; there is nothing to say']];
        }
        $answer = $attribute->newInstance();
        $file = $answer->mediaType();
        if ($file !== null) {
            return [200 => ['description' => 'A file', 'content' => [$file => ['schema' => ['type' => 'string']]]]];
        }
        $parts = array_map(fn(string $type): array => $this->answers->of($type, $where), $answer->types);

        return [$answer->status => self::response(count($parts) === 1 ? $parts[0] : ['allOf' => $parts])];
    }

    private static function requestOf(\ReflectionMethod $action): ?FormRequest
    {
        foreach ($action->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof \ReflectionNamedType && is_subclass_of($type->getName(), FormRequest::class)) {
                return new ($type->getName())();
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private static function inPath(Route $route, \ReflectionMethod $action, string $name): array
    {
        $type = 'string';
        foreach ($action->getParameters() as $parameter) {
            if ($parameter->getName() === $name && (string) $parameter->getType() === 'int') {
                $type = 'integer';
            }
        }
        $pattern = $route->wheres[$name] ?? null;
        $pattern = $type === 'string' && is_string($pattern) ? ['pattern' => "^({$pattern})$"] : [];

        return ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => $type, ...$pattern]];
    }

    /** @return list<array<string, mixed>> */
    private static function inQuery(FormRequest $request): array
    {
        $parameters = [];
        foreach ((array) RuleSchemas::of($request)['properties'] as $name => $schema) {
            $parameters[] = ['name' => $name, 'in' => 'query', 'schema' => $schema];
        }

        return $parameters;
    }

    /** @return Schema */
    private static function named(FormRequest $request): array
    {
        return ['$ref' => '#/components/schemas/' . class_basename($request)];
    }

    /**
     * @param Schema $schema
     *
     * @return array<string, mixed>
     */
    private static function response(array $schema): array
    {
        return ['description' => 'The answer', 'content' => self::json($schema)];
    }

    /**
     * @param Schema $schema
     *
     * @return array<string, mixed>
     */
    private static function json(array $schema): array
    {
        return ['application/json' => ['schema' => $schema]];
    }

    /**
     * @param list<mixed> $items
     *
     * @return array<string, list<mixed>>
     */
    private static function listed(string $name, array $items): array
    {
        return $items === [] ? [] : [$name => $items];
    }
}
