<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Suitability;
use Vinculum\Quantity\Measures;
use Vinculum\Substitution\Swap;
use Vinculum\Substitution\SwapReason;
use Vinculum\Substitution\SwapSearch;

/** What is to go from a classic, and what a cook would take in its place (data/swaps.txt). */
final readonly class SwapScenes
{
    /** @param list<string> $accepted ingredient keys */
    private function __construct(
        public string $name,
        private Formula $formula,
        private int $line,
        private SwapReason $reason,
        public array $accepted,
    ) {}

    /** @return iterable<self> */
    public static function of(string $file): iterable
    {
        $formulas = [];
        foreach (Classics::all() as [, $title, $balance]) {
            $formulas[$title] = $balance->formula;
        }
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $text) {
            if (str_starts_with($text, ';')) {
                continue;
            }
            [$title, $key, $why, $accepted] = array_map(trim(...), explode(' | ', $text));
            $formula = $formulas[$title] ?? throw new \RuntimeException("No classic is called {$title}.");
            foreach ($formula->lines as $number => $line) {
                if ($line->ingredient?->key === $key) {
                    yield new self(
                        "{$title}, {$key}, {$why}",
                        $formula,
                        $number,
                        self::reason($why),
                        array_map(trim(...), explode(',', $accepted)),
                    );
                    continue 2;
                }
            }
            // a classic that has none of it has it added, a spoonful
            $ingredient = Catalogue::shipped()->get($key);
            $texts = array_map(static fn($line): string => $line->text(), $formula->lines);
            yield new self(
                "{$title}, {$key}, {$why}",
                Formula::fromTexts(
                    [...$texts, "30 g {$ingredient->name}"],
                    Catalogue::shipped(),
                    Measures::Us,
                    $formula->yieldText,
                ),
                count($texts),
                self::reason($why),
                array_map(trim(...), explode(',', $accepted)),
            );
        }
    }

    /** @return list<Swap> */
    public function swaps(): array
    {
        return (new SwapSearch(Weighed::formula($this->formula), $this->line, $this->reason))
            ->substitutes();
    }

    public static function reason(string $why): SwapReason
    {
        if ($why === 'missing') {
            return SwapReason::missing();
        }
        $names = array_map(
            static fn(string $name): string => preg_replace('/^without /', '', trim($name)) ?? '',
            explode(',', $why),
        );
        $diets = array_values(array_intersect($names, Suitability::allDiets()));

        return SwapReason::cannotEat(array_values(array_diff($names, $diets)), $diets);
    }
}
