<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Recipe\Recipe;

/** The plain text of the command-line contract: a title, keys, one ingredient a line, headings, and a method. */
final class PlainTextRecipe
{
    private const KEYS = ['title', 'style', 'yield', 'pan'];

    public static function read(string $text): Recipe
    {
        $found = ['title' => null, 'style' => null, 'yield' => null, 'pan' => null];
        $lines = [];
        $method = [];
        $stage = null;
        $inMethod = false;
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            $line = trim($line);
            $key = self::key($line);
            if ($line === '') {
                continue;
            }
            if ($key !== null) {
                $found[$key] ??= trim(substr($line, strlen($key) + 1));
            } elseif (self::isHeading($line, 'method|directions|instructions|steps|preparation')) {
                $inMethod = true;
            } elseif ($inMethod && !self::isHeading($line, 'ingredients')) {
                $method[] = $line;
            } elseif (preg_match('/^#\s*(.+)$/u', $line, $title) === 1 && $found['title'] === null) {
                $found['title'] = $title[1];
            } elseif (preg_match('/^#+\s*(.+?):?$|^([^:]{2,60}):$/u', $line, $heading) === 1) {
                $inMethod = false;
                $stage = ($heading[2] ?? '') !== '' ? $heading[2] : $heading[1];
                $stage = preg_match('/^ingredients$/iu', $stage) === 1 ? null : $stage;
            } else {
                $lines[] = [$line, $stage];
            }
        }

        return new Recipe(
            $found['title'] ?? '',
            $found['style'],
            Recipe::underHeadings($lines),
            $method,
            yield: $found['yield'],
            pan: $found['pan'],
        );
    }

    /** @return 'title'|'style'|'yield'|'pan'|null */
    private static function key(string $line): ?string
    {
        foreach (self::KEYS as $key) {
            if (stripos($line, "{$key}:") === 0) {
                return $key;
            }
        }

        return null;
    }

    private static function isHeading(string $line, string $names): bool
    {
        return preg_match("/^(?:#+\\s*)?(?:{$names})\\s*:?$/iu", $line) === 1
            && (str_ends_with($line, ':') || str_starts_with($line, '#'));
    }
}
