<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * What a cook said by hand of when things go in: a step that ends in "[with lime juice; salt]" takes these lines, whatever
 * its words say.
 */
final readonly class ToldLinks
{
    public const BETWEEN = ';';

    /**
     * @param array<int, list<int>> $at lines by step
     * @param array<int, list<string>> $unknown names that are those of no line, by step
     */
    private function __construct(public array $at, public array $unknown) {}

    /**
     * @param list<MethodStep> $steps
     * @param array<int, ResolvedLine> $lines
     */
    public static function of(array $steps, array $lines): self
    {
        [$at, $unknown] = [[], []];
        $called = null;
        foreach ($steps as $number => $step) {
            foreach ($step->with as $name) {
                $called ??= array_flip(array_map(self::plain(...), self::names($lines)));
                $line = $called[self::plain($name)] ?? null;
                if ($line === null) {
                    $unknown[$number][] = $name;
                } else {
                    $at[$number][] = $line;
                }
            }
        }

        return new self($at, $unknown);
    }

    /**
     * What each line is called in such a tag: its own name, with a number where several have one.
     *
     * @param array<int, ResolvedLine> $lines
     *
     * @return array<int, string>
     */
    public static function names(array $lines): array
    {
        [$names, $count] = [[], []];
        foreach ($lines as $number => $line) {
            $own = trim($line->written->name) === '' ? $line->text() : $line->written->name;
            $name = self::plain(str_replace([self::BETWEEN, '[', ']'], ' ', $own));
            $count[$name] = ($count[$name] ?? 0) + 1;
            $names[$number] = $count[$name] > 1 ? "{$name} ({$count[$name]})" : $name;
        }

        return $names;
    }

    /** @return list<int> the steps that a line goes in at, by hand */
    public function stepsOf(int $line): array
    {
        return array_keys(array_filter($this->at, static fn(array $lines): bool => in_array($line, $lines, true)));
    }

    private static function plain(string $name): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $name)));
    }
}
