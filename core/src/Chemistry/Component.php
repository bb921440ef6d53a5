<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/**
 * One entry of the mixture vector. Most are masses in grams; the last ten are carried along, some in units of their
 * own.
 */
enum Component: string
{
    case Water = 'water';
    case Sucrose = 'sucrose';
    case Glucose = 'glucose';
    case Fructose = 'fructose';
    case Maltose = 'maltose';
    case Lactose = 'lactose';
    case Galactose = 'galactose';
    case Sweetener = 'sweetener';
    case Acetic = 'acetic';
    case Citric = 'citric';
    case Malic = 'malic';
    case Tartaric = 'tartaric';
    case Lactic = 'lactic';
    case Oxalic = 'oxalic';
    case Quinic = 'quinic';
    case Succinic = 'succinic';
    case Gluconic = 'gluconic';
    case Salt = 'salt';
    case OtherSalts = 'other_salts';
    case Glutamate = 'glutamate';
    case Aspartate = 'aspartate';
    case Imp = 'imp';
    case Gmp = 'gmp';
    case Amp = 'amp';
    case Ethanol = 'ethanol';
    case Fat = 'fat';
    case Protein = 'protein';
    case Starch = 'starch';
    /** Short chains of glucose in syrups and maltodextrin: neither sweet nor thick. */
    case Dextrin = 'dextrin';
    case Fibre = 'fibre';
    case Other = 'other';
    /** Grams of phosphoric acid that the phosphorus in protein, fat and ash would be. */
    case Phosphoric = 'phosphoric';
    /** Millimoles of carboxyl groups of the protein. */
    case ProteinCarboxyl = 'protein_carboxyl';
    /** Millimoles of imidazole groups of the protein. */
    case Imidazole = 'imidazole';
    /** Grams of protein, fibre and rest that are dissolved. */
    case Solubles = 'solubles';
    /** Grams of cornflour that would thicken as much. */
    case Thickening = 'thickening';
    /** Grams of sucrose that the sweetener is worth. */
    case SweetenerSweetness = 'sweetener_sweetness';
    /** Scoville heat units times grams. */
    case CapsaicinoidHeat = 'capsaicinoid_heat';
    /** Scoville equivalents times grams, of piperine, gingerols and their like. */
    case OtherHeat = 'other_heat';
    /** Milligrams of allyl isothiocyanate equivalent. */
    case Pungency = 'nose_heat';
    /** Strong ion difference, milliequivalents. */
    case StrongIonDifference = 'sid';

    public function isMass(): bool
    {
        return match ($this) {
            self::Phosphoric,
            self::ProteinCarboxyl,
            self::Imidazole,
            self::Solubles,
            self::Thickening,
            self::SweetenerSweetness,
            self::CapsaicinoidHeat,
            self::OtherHeat,
            self::Pungency,
            self::StrongIonDifference => false,
            default => true,
        };
    }

    /** @return list<string> the sugars, without sweeteners */
    public static function sugars(): array
    {
        /** @var list<string>|null $known */
        static $known = null;

        return $known ??= array_values(array_diff(self::massesOf('sugars'), [self::Sweetener->value]));
    }

    /** @return list<string> */
    public static function acids(): array
    {
        return self::massesOf('acids');
    }

    /** The composition group whose grade tells how sure this figure is. */
    public function group(): string
    {
        /** @var array<string, string> $known */
        static $known = [];

        return $known[$this->value] ??= $this->facts()->text('group');
    }

    public function facts(): Row
    {
        return FactsFile::named('components')[$this->value];
    }

    /**
     * One fact of every component that has it.
     *
     * @return array<string, float> by component
     */
    public static function every(string $fact): array
    {
        /** @var array<string, array<string, float>> $known */
        static $known = [];
        if (!isset($known[$fact])) {
            $known[$fact] = [];
            foreach (FactsFile::named('components') as $key => $row) {
                $value = $row->numberOrNull($fact);
                if ($value !== null) {
                    $known[$fact][$key] = $value;
                }
            }
        }

        return $known[$fact];
    }

    /** @return list<string> what is weighed of a composition group */
    private static function massesOf(string $group): array
    {
        /** @var array<string, list<string>> $known */
        static $known = [];

        return $known[$group] ??= array_values(
            array_map(
                static fn(self $one): string => $one->value,
                array_filter(self::cases(), static fn(self $one): bool => $one->isMass() && $one->group() === $group),
            ),
        );
    }
}
