<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** A formula of common practice that stands for its family (core/data/styles). */
final readonly class ReferenceFormula
{
    private function __construct(public string $title, public Balance $balance, public Makeup $makeup) {}

    /**
     * @return non-empty-list<self>
     *
     * @throws FactsFault when a family has no references, or one holds a line that is not understood
     */
    public static function of(string $style, Catalogue $catalogue): array
    {
        $path = FactsFile::folder() . "/styles/{$style}.txt";
        $text = is_file($path) ? (string) file_get_contents($path) : throw FactsFault::unreadable($path);
        $references = [];
        foreach (preg_split('/^(?=# )/m', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $formulaText) {
            $recipe = RecipeReader::read($formulaText);
            $formula = Formula::fromLines($recipe->ingredientLines(), $catalogue, Measures::Us, $recipe->yield);
            foreach ($formula->lines as $line) {
                if (!$line->countsInTheMixture()) {
                    throw FactsFault::unknownKey("line in style {$style}", $line->text());
                }
            }
            $balance = Balance::of($formula);
            $references[] = new self($recipe->title, $balance, Makeup::of($balance));
        }

        return $references !== [] ? $references : throw FactsFault::unreadable($path);
    }
}
