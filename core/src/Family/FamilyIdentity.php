<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;

/**
 * What names a family, and how it usually smells: "without mustard it is no mustard sauce" (core/data/identity.ini, derived
 * from the references).
 */
final readonly class FamilyIdentity
{
    /** Nearly every reference of a family holds what names it, and few others do. */
    private const NEARLY_ALL = 0.9;
    private const FEW = 0.25;
    /** An aroma is usual where more than half have it. */
    private const USUAL = 0.5;

    /**
     * @param list<string> $ingredients keys of what names it
     * @param list<string> $works keys of works, of which one or another names it
     * @param list<string> $aromas usual ones, in words
     */
    private function __construct(public array $ingredients, public array $works, public array $aromas) {}

    /** @throws FactsFault when there is no such family */
    public static function of(string $style): self
    {
        $row = FactsFile::named('identity')[$style] ?? throw FactsFault::unknownKey('style', $style);

        return new self($row->list('ingredients'), $row->list('works'), $row->list('aromas'));
    }

    /**
     * The facts file.
     *
     * @param array<string, non-empty-list<ReferenceFormula>> $references by family
     */
    public static function facts(array $references): string
    {
        $aromas = [];
        foreach (FactsFile::named('characters') as $character) {
            foreach ($character->text('kind') === 'aroma' ? $character->list('of') : [] as $member) {
                $aromas[$member][] = $character->key;
            }
        }
        $held = ['ingredients' => [], 'works' => [], 'aromas' => []];
        foreach ($references as $family => $formulas) {
            foreach ($formulas as $formula) {
                $things = [
                    'ingredients' => array_keys($formula->makeup->ingredients),
                    'works' => array_keys($formula->makeup->works),
                    'aromas' => array_unique(array_merge(...array_map(
                        static fn(string $key): array => $aromas[$key] ?? [],
                        array_keys($formula->makeup->ingredients),
                    ))),
                ];
                foreach ($things as $what => $names) {
                    foreach ($names as $name) {
                        $held[$what][$name][$family] = ($held[$what][$name][$family] ?? 0) + 1;
                    }
                }
            }
        }
        $all = array_sum(array_map(count(...), $references));
        $ini = "; Derived by bin/derive-families: what nearly every reference of a family holds and few others do, and its usual aromas.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n";
        foreach ($references as $family => $formulas) {
            $ini .= "[{$family}]\n";
            foreach ($held as $what => $names) {
                $telling = [];
                foreach ($names as $name => $counts) {
                    $share = ($counts[$family] ?? 0) / count($formulas);
                    $isTelling = $what === 'aromas'
                        ? $share > self::USUAL
                        : $share >= self::NEARLY_ALL && array_sum($counts) / $all <= self::FEW;
                    if ($isTelling) {
                        $telling[$name] = $share - array_sum($counts) / $all;
                    }
                }
                arsort($telling);
                $ini .= "{$what} = " . implode(', ', array_keys($telling)) . "\n";
            }
        }

        return $ini;
    }
}
