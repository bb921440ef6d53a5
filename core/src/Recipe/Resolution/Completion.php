<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\LineGrammar;

/** What a half-written line may be about to name, from the kitchen's own products and the catalogue. */
final readonly class Completion
{
    private const LEAST_LETTERS = 2;
    private const MOST = 6;

    /** @param string $text the line as it would read */
    private function __construct(public Ingredient $ingredient, public string $text) {}

    /**
     * Names that begin with what is written so far, the cook's own first, then the shorter; none for a name that is
     * already complete.
     *
     * @return list<self>
     */
    public static function of(string $text, Catalogue $catalogue, Measures $measures): array
    {
        $name = (new LineGrammar($measures, new NameReading($catalogue)))->read($text)->first()->name;
        $written = mb_strtolower(trim($name));
        if (mb_strlen($written) < self::LEAST_LETTERS || !str_ends_with(mb_strtolower(rtrim($text)), $written)) {
            return [];
        }
        $start = mb_substr(rtrim($text), 0, mb_strlen(rtrim($text)) - mb_strlen($written));
        $completions = [];
        foreach ($catalogue->names()->startingWith($written, self::MOST) as $match) {
            $ingredient = $catalogue->get($match->key);
            // an own product or a sauce goes by its own name; the rest by the name that was being typed
            $completed = $start . ($ingredient->isOwn() ? $ingredient->name : mb_strtolower($match->alias));
            $completions[$completed] ??= new self($ingredient, $completed);
        }
        $completions = array_values($completions);
        $isComplete = count($completions) === 1 && mb_strtolower($completions[0]->text) === mb_strtolower(rtrim($text));

        return $isComplete ? [] : $completions;
    }
}
