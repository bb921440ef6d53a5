<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Sensory\Axis;

/** Where the known recipes of a family stand: what "about right" is made of (core/data/known.ini, derived). */
final readonly class KnownPlaces
{
    private const BETWEEN = ' | ';

    /**
     * @param list<string> $titles
     * @param array<value-of<Axis>, list<float>> $steps of each, by axis
     */
    private function __construct(public array $titles, public array $steps) {}

    /** @throws FactsFault when there is no such family */
    public static function of(string $family): self
    {
        $row = FactsFile::named('known')[$family] ?? throw FactsFault::unknownKey('style', $family);

        return new self(
            explode(self::BETWEEN, $row->text('titles')),
            Axis::each(static fn(Axis $axis): array => array_values($row->numbers($axis->value))),
        );
    }

    /**
     * The facts file.
     *
     * @param array<string, non-empty-list<ReferenceFormula>> $references by family
     */
    public static function facts(array $references): string
    {
        $ini = "; Derived by bin/derive-families: the titles of each family's references, and where they stand on each axis, in steps.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n";
        foreach ($references as $family => $formulas) {
            $titles = array_map(static fn(ReferenceFormula $one): string => $one->title, $formulas);
            $ini .= "[{$family}]\ntitles = " . implode(self::BETWEEN, $titles) . "\n";
            foreach (Axis::cases() as $axis) {
                $ini .= "{$axis->value} = " . implode(', ', array_map(
                    static fn(ReferenceFormula $one): string => sprintf('%.2f', $axis->steps($one->balance->taste->on($axis))),
                    $formulas,
                )) . "\n";
            }
        }

        return $ini;
    }
}
