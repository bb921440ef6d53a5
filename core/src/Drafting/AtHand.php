<?php

declare(strict_types=1);

namespace Vinculum\Drafting;

use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;

/** What a cook says that there is: "basil, a lemon, some cream". */
final class AtHand
{
    /** @return list<Ingredient> */
    public static function namedIn(string $text, Catalogue $catalogue, Measures $measures): array
    {
        $named = array_values(array_filter(array_map(trim(...), preg_split('/[,;\n]+/u', $text) ?: [])));
        $found = [];
        foreach (Formula::fromTexts($named, $catalogue, $measures)->lines as $line) {
            if ($line->ingredient !== null) {
                $found[] = $line->ingredient;
            }
        }

        return $found;
    }
}
