<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Cautions;
use Vinculum\Labelling\Label;
use Vinculum\Labelling\LabelLine;

/** The text of a label: the list of ingredients, the allergens, and what whoever opens the jar must read. */
final readonly class LabelReport extends Report
{
    /**
     * @param list<array{parts: list<array{text: string, emphasised: bool}>, percent: float}> $ingredients
     * @param list<string> $allergens
     * @param list<string> $warnings
     * @param list<string> $notes
     */
    private function __construct(
        public array $ingredients,
        public array $allergens,
        public array $warnings,
        public array $notes,
    ) {}

    public static function of(Balance $balance): self
    {
        $label = Label::of($balance->formula);
        $warnings = array_filter(Cautions::for($balance), static fn(Caution $caution): bool => $caution->isForTheJar);

        return new self(
            array_map(
                static fn(LabelLine $line): array => ['parts' => $line->parts, 'percent' => $line->percent],
                $label->ingredients,
            ),
            $balance->allergens(),
            array_values(array_map(static fn(Caution $caution): string => $caution->text, $warnings)),
            $label->notes,
        );
    }
}
