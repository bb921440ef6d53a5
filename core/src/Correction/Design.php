<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Formula;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/**
 * A formula found for a wish: grams of each free ingredient, where it stands, and what stands in the way if it falls
 * short.
 */
final readonly class Design
{
    /**
     * @param list<DesignedLine> $lines the free lines, the largest first
     * @param list<string> $hindrances which lock or window stands in the way, in words
     * @param list<string>|null $texts the whole recipe, where it is written as it is; null where it is to be written
     * @param string|null $yield what it is cooked down to; null where nothing is
     */
    public function __construct(
        public array $lines,
        public Taste $taste,
        public Target $target,
        public float $distance,
        public array $hindrances,
        private ?array $texts = null,
        public ?string $yield = null,
    ) {}

    /**
     * @return list<RecipeLine> the recipe's lines with the amounts found: locked ones as they were, those that are not
     *     needed left out, new ones last
     */
    public function written(Formula $formula, Measures $measures): array
    {
        if ($this->texts !== null) {
            return RecipeLine::numbered($this->texts);
        }
        $found = array_combine(
            array_map(static fn(DesignedLine $line): string => $line->ingredient->key, $this->lines),
            $this->lines,
        );
        $edits = [];
        foreach ($formula->lines as $number => $line) {
            $key = $line->ingredient?->key;
            if ($key !== null && Designer::isFree($line)) {
                $edits[$number] = isset($found[$key])
                    ? AmountWriter::inGrams($line, $found[$key]->grams, $measures)
                    : '';
                unset($found[$key]);
            }
        }

        return $formula->rewritten($edits, array_values(array_map(
            static fn(DesignedLine $line): string => $line->measure->of($line->ingredient->name),
            $found,
        )));
    }
}
