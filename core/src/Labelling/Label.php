<?php

declare(strict_types=1);

namespace Vinculum\Labelling;

use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\Ingredient;

/**
 * The list of ingredients of a label: in descending order of mass as used, compound ingredients broken out, allergens
 * emphasised (handbook, "A label"; Regulation (EU) 1169/2011, Articles 18 and 21).
 */
final readonly class Label
{
    /**
     * @param list<LabelLine> $ingredients
     * @param list<string> $notes what the cook has to look up
     */
    private function __construct(public array $ingredients, public array $notes) {}

    public static function of(Formula $formula): self
    {
        [$grams, $of, $notes] = [[], [], []];
        foreach ($formula->ingredientLines() as $line) {
            if ($line->ingredient === null) {
                $notes[] = "\"{$line->text()}\" was not understood: write it onto the label yourself.";
                continue;
            }
            $key = $line->ingredient->key;
            $grams[$key] = ($grams[$key] ?? 0.0) + ($line->grams->value ?? 0.0);
            $of[$key] = $line->ingredient;
        }
        arsort($grams);
        $whole = array_sum($grams);
        $lines = [];
        foreach ($grams as $key => $mass) {
            $lines[] = self::line($of[$key], $whole > 0.0 ? 100.0 * $mass / $whole : 0.0);
        }
        if (array_filter($lines, static fn(LabelLine $line): bool => $line->isCompound) !== []) {
            $notes[] = 'What compound ingredients are made of is typical of their kind: compare it with the bottle in your hand.';
        }

        return new self($lines, $notes);
    }

    /** @return list<string> allergens that are emphasised somewhere in the list */
    public function emphasised(): array
    {
        $words = [];
        foreach ($this->ingredients as $line) {
            foreach ($line->parts as $part) {
                if ($part['emphasised']) {
                    $words[] = mb_strtolower($part['text']);
                }
            }
        }

        return array_values(array_unique($words));
    }

    private static function line(Ingredient $ingredient, float $percent): LabelLine
    {
        $compounds = FactsFile::named('compounds');
        $of = isset($compounds[$ingredient->kind()]) && !$ingredient->isOwn()
            ? $compounds[$ingredient->kind()]->text('of')
            : null;
        $name = mb_strtolower($ingredient->name);
        $text = $of === null ? $name : "{$name} ({$of})";
        foreach ($ingredient->suitability->allergens as $allergen) {
            $text = self::emphasising($allergen, $text);
        }

        return LabelLine::written($text, $percent, $of !== null);
    }

    /** The words of a text that name an allergen, between asterisks; one that no word names is named after it. */
    private static function emphasising(string $allergen, string $text): string
    {
        $words = FactsFile::named('allergens')[$allergen]->list('words');
        $pieces = explode('*', $text);
        $isNamed = false;
        foreach ($pieces as $index => $piece) {
            // what stands between asterisks is emphasised already
            if ($index % 2 === 1) {
                $isNamed = $isNamed || Words::areIn($piece, $words);
                continue;
            }
            $pieces[$index] = (string) preg_replace('/' . Words::pattern($words) . '/iu', '*$0*', $piece, -1, $count);
            $isNamed = $isNamed || $count > 0;
        }

        return implode('*', $pieces) . ($isNamed ? '' : " (*{$allergen}*)");
    }
}
