<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Parser\Item;

/** "3 spring onions, green tops only": what is left of a counted thing of which a part alone is taken (sizes.ini). */
final readonly class PartOnlyFacts
{
    public const FILE = 'sizes';
    public const SECTION = 'part-only';

    /**
     * @param list<string> $words
     * @param float $doubt one relative standard deviation
     */
    public function __construct(public array $words, public float $share, public float $doubt) {}

    public function isSaidOf(Item $line): bool
    {
        $said = ' ' . preg_replace('/[^\p{L}]+/u', ' ', mb_strtolower("{$line->name} {$line->preparation}")) . ' ';
        foreach ($this->words as $words) {
            if (str_contains($said, " {$words} ")) {
                return true;
            }
        }

        return false;
    }

    /** Of what a whole one weighs. */
    public function of(Amount $whole): Amount
    {
        return $whole->times($this->share)->doubtedBy($this->doubt);
    }
}
