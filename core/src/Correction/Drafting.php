<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Mixture\Mixture;
use Vinculum\Quantity\Measures;
use Vinculum\Style\StyleFamily;

/** Sets up a design: which lines are locked, which are free, and what carries the sauce. */
final class Drafting
{
    /**
     * The unlocked lines of the formula are free; on an empty bench the style's own correctors are.
     *
     * @param string|null $base ingredient key; the style's usual base when null
     *
     * @throws \InvalidArgumentException when the base is unknown or the locked lines alone fill the batch
     */
    public static function draft(Formula $formula, StyleFamily $style, ?string $base, float $batchGrams, Catalogue $catalogue, Measures $measures): Design
    {
        $carrier = $base ?? $style->base;
        if (!$catalogue->has($carrier)) {
            throw new \InvalidArgumentException("There is no ingredient \"{$carrier}\" to build on.");
        }
        $fixed = Mixture::nothing();
        $free = [];
        foreach ($formula->lines as $line) {
            if ($line->ingredient === null) {
                continue;
            }
            if (in_array('lock', $line->tags, true)) {
                $fixed = $fixed->plus($line->mixture());
            } else {
                $free[$line->ingredient->key] = $line->ingredient;
            }
        }
        if ($free === []) {
            foreach ($style->correctors as $key) {
                $free[$key] = $catalogue->get($key);
            }
        }

        return DesignSearch::find($fixed, Candidate::of($catalogue->get($carrier)), array_map(static fn(Ingredient $one): Candidate => Candidate::of($one), array_values($free)), $style->target, $batchGrams, $measures);
    }
}
