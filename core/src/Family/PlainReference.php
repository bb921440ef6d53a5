<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Balance\SauceColour;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;

/** The reference that a cook would show a beginner, as a family is known by it: its colour, and sour over sweet. */
final readonly class PlainReference
{
    /** Minutes at the boil of what is boiled down: so browns its sugar. */
    private const BOILED = 30.0;

    /**
     * @param string|null $colour as "#a0522d"; null where nothing in it has a colour
     * @param float $sour g of acid in 100 g
     * @param float $sweet g of sugar as sucrose in 100 g
     */
    private function __construct(public ?string $colour, public float $sour, public float $sweet) {}

    public static function of(string $family): self
    {
        $row = FactsFile::named('typical')[$family];

        return new self(
            $row->has('colour') ? '#' . $row->text('colour') : null,
            $row->number('sour'),
            $row->number('sweet'),
        );
    }

    /**
     * Among the references of a family, the plain one.
     *
     * @param non-empty-list<ReferenceFormula> $references
     *
     * @throws FactsFault where none has that title
     */
    public static function among(Family $family, array $references): ReferenceFormula
    {
        foreach ($references as $reference) {
            if ($reference->title === $family->usage->plain) {
                return $reference;
            }
        }

        throw FactsFault::unknownKey("plain reference of {$family->key}", $family->usage->plain);
    }

    /**
     * The facts file.
     *
     * @param array<string, non-empty-list<ReferenceFormula>> $references by family
     */
    public static function facts(array $references): string
    {
        $ini = "; Derived by bin/derive-families: how the plain reference of each family looks, and its sour and sweet, g in 100 g.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n";
        foreach ($references as $family => $formulas) {
            $plain = self::among(FamilyBook::get($family), $formulas)->balance;
            $colour = SauceColour::of($plain->formula, $plain->isFinished ? self::BOILED : 0.0);
            $ini .= "[{$family}]\n"
                . ($colour === null ? '' : "colour = " . ltrim($colour->hex(), '#') . "\n")
                . sprintf("sour = %.2f\nsweet = %.1f\n", $plain->taste->sour, $plain->taste->sweet);
        }

        return $ini;
    }
}
