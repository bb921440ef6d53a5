<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/** Reads a recipe file, plain text or schema.org JSON-LD, whichever it is. */
final class RecipeReader
{
    private const MOST_BYTES = 5_000_000;
    private const MOST_LINES = 20_000;

    /** @throws RecipeFault */
    public static function read(string $contents): Recipe
    {
        if (strlen($contents) > self::MOST_BYTES) {
            throw RecipeFault::tooLarge(strlen($contents));
        }
        $text = self::asText($contents);
        $recipe = preg_match('/^\s*[\[{]\s*["{\[]/', $text) === 1 ? JsonLdRecipe::read($text) : PlainTextRecipe::read($text);
        if ($recipe->lines === []) {
            throw RecipeFault::noIngredients();
        }
        if (count($recipe->lines) > self::MOST_LINES) {
            throw RecipeFault::tooManyLines(count($recipe->lines));
        }

        return $recipe;
    }

    /** UTF-8 without byte order mark; other common encodings are converted. */
    private static function asText(string $contents): string
    {
        if (str_starts_with($contents, "\xFF\xFE") || str_starts_with($contents, "\xFE\xFF")) {
            $contents = (string) mb_convert_encoding($contents, 'UTF-8', 'UTF-16');
        }
        if (str_contains($contents, "\0")) {
            throw RecipeFault::notText();
        }
        if (!mb_check_encoding($contents, 'UTF-8')) {
            if (preg_match_all('/[\x01-\x08\x0E-\x1F]/', $contents) > strlen($contents) / 100) {
                throw RecipeFault::notText();
            }
            $contents = (string) mb_convert_encoding($contents, 'UTF-8', 'Windows-1252');
        }

        return preg_replace('/^\x{FEFF}/u', '', $contents) ?? $contents;
    }
}
