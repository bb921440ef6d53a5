<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/** A file that cannot be read as a recipe at all. The message is one line that says where and why. */
final class RecipeFault extends \RuntimeException
{
    public static function tooLarge(int $bytes): self
    {
        return new self(
            sprintf(
                'The recipe is %.1f MB; the most that is read is 5 MB. Save only the recipe, not the whole page.',
                $bytes / 1e6,
            ),
        );
    }

    public static function notText(): self
    {
        return new self(
            'This is not a text file: it holds bytes that no text has. Save the recipe as plain text or JSON-LD.',
        );
    }

    public static function notJson(string $why): self
    {
        return new self("The file looks like JSON but cannot be read as such ({$why}).");
    }

    public static function notARecipe(): self
    {
        return new self(
            'The JSON holds no schema.org Recipe: an object with "@type": "Recipe" and "recipeIngredient" is needed.',
        );
    }

    public static function tooManyLines(int $lines): self
    {
        return new self(
            sprintf(
                '%d ingredient lines is no recipe; the most that is read is 20,000. Paste only the ingredients of one sauce.',
                $lines,
            ),
        );
    }

    public static function tooManyRecipes(int $most): self
    {
        return new self(
            "More than {$most} recipes in one text are not taken in at once: split it, or use the kitchen's own file, which may be of any size.",
        );
    }

    public static function tooIntricate(): self
    {
        return new self('This JSON holds far more than recipes do, and is not read. Save only the recipe.');
    }

    public static function nothingTold(): self
    {
        return new self(
            'Nothing that goes into a sauce was found in what was told. It was looked through for things and how much of them, such as "two tablespoons of honey" or "the vinegar, that\'s a cup": is it the right text?',
        );
    }

    public static function noIngredients(): self
    {
        return new self('No ingredient line was found: write one ingredient per line, such as "2 tbsp cider vinegar".');
    }
}
