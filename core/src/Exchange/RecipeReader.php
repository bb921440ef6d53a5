<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Recipe;

/**
 * Reads a recipe file, plain text or schema.org JSON-LD, whichever it is. The names in a page are looked up among the
 * shipped ingredients, or in a catalogue with the cook's own products.
 */
final class RecipeReader
{
    public const MOST_BYTES = 5_000_000;
    /** The most recipes that one text may hold. */
    public const MOST_RECIPES = 500;
    /** The most lines that a sauce may have. */
    public const MOST_LINES = 20_000;

    /** @throws RecipeFault */
    public static function read(string $contents, ?Catalogue $catalogue = null): Recipe
    {
        $recipe = self::found(self::checked($contents), $catalogue)[0];
        if ($recipe->ingredientLines() === []) {
            throw RecipeFault::noIngredients();
        }
        if (count($recipe->lines) > self::MOST_LINES) {
            throw RecipeFault::tooManyLines(count($recipe->lines));
        }

        return $recipe;
    }

    /**
     * The first recipe in a text, also where it holds no ingredient yet.
     *
     * @throws RecipeFault where it is no text, or data that hold no recipe
     */
    public static function written(string $contents, ?Catalogue $catalogue = null): Recipe
    {
        $recipe = self::found(self::checked($contents), $catalogue)[0];

        return count($recipe->lines) > self::MOST_LINES
            ? throw RecipeFault::tooManyLines(count($recipe->lines))
            : $recipe;
    }

    /**
     * Every recipe in a file: several of a graph or of saved pages, or plain texts one after another, each under its
     * title.
     *
     * @return non-empty-list<Recipe> those that hold a line
     *
     * @throws RecipeFault
     */
    public static function readAll(string $contents, ?Catalogue $catalogue = null): array
    {
        $text = self::checked($contents);
        $isPlain = !self::isJson($text) && !WebPage::holdsData($text) && !PageText::isHtml($text);
        $recipes = [];
        $parts = $isPlain
            ? preg_split('/^(?=#\s)/mu', $text, self::MOST_RECIPES + 2, PREG_SPLIT_NO_EMPTY) ?: []
            : [$text];
        if (count($parts) > self::MOST_RECIPES + 1) {
            throw RecipeFault::tooManyRecipes(self::MOST_RECIPES);
        }
        foreach ($parts as $part) {
            foreach (self::found($part, $catalogue) as $recipe) {
                if ($recipe->ingredientLines() !== [] && count($recipe->lines) <= self::MOST_LINES) {
                    $recipes[] = $recipe;
                }
            }
        }

        if (count($recipes) > self::MOST_RECIPES) {
            throw RecipeFault::tooManyRecipes(self::MOST_RECIPES);
        }

        return $recipes === [] ? throw RecipeFault::noIngredients() : $recipes;
    }

    /** @throws RecipeFault */
    private static function checked(string $contents): string
    {
        if (strlen($contents) > self::MOST_BYTES) {
            throw RecipeFault::tooLarge(strlen($contents));
        }

        return self::asText($contents);
    }

    private static function isJson(string $text): bool
    {
        return preg_match('/^\s*[\[{]\s*["{\[]/', $text) === 1;
    }

    /**
     * @return non-empty-list<Recipe>
     *
     * @throws RecipeFault
     */
    private static function found(string $text, ?Catalogue $catalogue): array
    {
        $plain = new PlainTextRecipe($catalogue ?? Catalogue::shipped());
        if (self::isJson($text)) {
            return JsonLdRecipe::readAll($text);
        }

        if (WebPage::holdsData($text)) {
            try {
                return WebPage::recipes($text);
            } catch (RecipeFault $fault) {
                // its data hold no recipe, but its text may
                $recipe = $plain->ofPage($text);

                return $recipe->ingredientLines() === [] ? throw $fault : [$recipe];
            }
        }

        return [PageText::isHtml($text) ? $plain->ofPage($text) : $plain->read($text)];
    }

    /**
     * UTF-8 without byte order mark; other common encodings are converted.
     *
     * @throws RecipeFault where it is no text
     */
    public static function asText(string $contents): string
    {
        if (str_starts_with($contents, "\xFF\xFE") || str_starts_with($contents, "\xFE\xFF")) {
            $contents = (string) mb_convert_encoding($contents, 'UTF-8', 'UTF-16');
        }
        if (str_contains($contents, "\0")) {
            throw RecipeFault::notText();
        }
        if (preg_match_all('/[\x01-\x08\x0E-\x1F]/', $contents) > strlen($contents) / 100) {
            throw RecipeFault::notText();
        }
        if (!mb_check_encoding($contents, 'UTF-8')) {
            $contents = (string) mb_convert_encoding($contents, 'UTF-8', 'Windows-1252');
        }

        return preg_replace('/^\x{FEFF}/u', '', $contents) ?? $contents;
    }
}
