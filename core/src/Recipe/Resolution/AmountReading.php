<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Unit;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\WrittenAmount;

/** How many grams of an ingredient a line's amount is, however it was measured: by weight, by volume, by count. */
final readonly class AmountReading
{
    private const WEIGHED = 0.01;
    private const ABOUT = 0.10;
    /** A heap is as high as a hand makes it. */
    private const HEAPED = 0.15;
    private const PACKED = 0.18;
    /** Loosely filled pieces of something whose bulk density nobody stated, g/ml. */
    private const LOOSE_DENSITY = 0.6;
    private const LOOSE_SPREAD = 0.30;
    private const LEAVES = 'leaves';
    private const PRESSED = 'packed';
    /** How far apart, as a logarithm, a cup and its millilitres may be. */
    private const SAME_VESSEL = 0.08;

    /**
     * @param float $partMillilitres the vessel that a "part" is
     * @param array<string, float> $vessels millilitres of those whose size the recipe says, by the name of their unit
     */
    public function __construct(
        private float $partMillilitres,
        private Measures $measures,
        private array $vessels = [],
    ) {}

    public function grams(Item $line, WrittenAmount $measured, Ingredient $ingredient): ?FoundGrams
    {
        $first = $this->amountOf($measured, $line, $ingredient);
        if ($measured->misspelt !== null && $first !== null && $measured->unit !== null) {
            $first = $first->noting("\"{$measured->misspelt}\" taken for {$measured->unit->name}");
        }
        $kept = $first;
        foreach ($line->forms as $form) {
            $kept = self::reconciled($kept, $this->amountOf($form, $line, $ingredient), $measured, $form);
        }

        return $kept;
    }

    /** Of two forms of one amount the one that says it best: a weight before a volume, a unit before a count. */
    private static function reconciled(
        ?FoundGrams $first,
        ?FoundGrams $second,
        WrittenAmount $measured,
        WrittenAmount $form,
    ): ?FoundGrams {
        if ($first === null || $second === null) {
            return $first ?? $second;
        }
        $isSecondBetter = self::rank($form) > ($first->rank ?? self::rank($measured));
        if ($first->millilitres !== null && $second->millilitres !== null) {
            // a cup said in millilitres too is that cup; a pint of another country is not
            $apart = abs(log($second->millilitres / $first->millilitres));
            $isSecondBetter = $isSecondBetter && $apart > self::SAME_VESSEL;
        }
        [$kept, $other] = $isSecondBetter ? [$second, $first] : [$first, $second];
        $difference = $other->grams->value > 0.0 ? $kept->grams->value / $other->grams->value - 1.0 : 0.0;
        $tolerance = 2.0 * hypot($kept->relativeDoubt(), $other->relativeDoubt());
        $note = abs($difference) > max(0.15, $tolerance)
            ? sprintf(
                'The two amounts differ by %d %%: %s taken',
                (int) round(100.0 * abs($difference)),
                KitchenNumber::grams($kept->grams->value),
            )
            : $kept->note;

        return new FoundGrams(
            $kept->grams,
            $kept->millilitres ?? $other->millilitres,
            $kept->isAssumed,
            $note,
            // "1 tin of beans (400 g), drained"
            $kept->isPack || $first->isPack,
            max(self::rank($form), $first->rank ?? self::rank($measured)),
        );
    }

    /** How well an amount says how much it is: 3 by weight, 2 by metric volume, 1 by another unit, 0 by count or by feel. */
    private static function rank(WrittenAmount $amount): int
    {
        return match (true) {
            $amount->unit === null => 0,
            $amount->unit->isVague() => 0,
            $amount->unit->grams !== null => 3,
            in_array($amount->unit->name, ['millilitre', 'centilitre', 'decilitre', 'litre'], true) => 2,
            default => 1,
        };
    }

    private function amountOf(WrittenAmount $measured, Item $line, Ingredient $ingredient): ?FoundGrams
    {
        $unit = $measured->unit;
        if ($unit === null) {
            return $this->counted($measured, $line, $ingredient);
        }
        $unit = isset($this->vessels[$unit->name]) ? Unit::ofVolume($unit->name, $this->vessels[$unit->name]) : $unit;

        return $unit->grams !== null
            ? self::inWeight($measured, $unit, $unit->grams)
            : $this->inVolume($measured, $unit, $line, $ingredient);
    }

    private static function inWeight(WrittenAmount $measured, Unit $unit, float $each): FoundGrams
    {
        $spread = hypot(self::WEIGHED, self::spreadOf($measured));

        return new FoundGrams(
            Amount::within($measured->middle() * $each, $spread)->doubtedBy($unit->spread),
            null,
            $unit->isVague() || $measured->isRange(),
            $unit->isVague()
                ? sprintf('1 %s taken as %s', $unit->name, KitchenNumber::grams($each))
                : self::rangeNote($measured),
            $measured->pack !== null,
        );
    }

    private function inVolume(WrittenAmount $measured, Unit $unit, Item $line, Ingredient $ingredient): FoundGrams
    {
        $measured = $measured->fill === 1.0 ? $measured->filled(self::fillSaidBehind($line)) : $measured;
        $millilitres = $measured->middle() * (float) $unit->millilitres * $measured->fill;
        [$density, $doubt, $isGuess] = $this->densityFor($measured, $line, $ingredient);
        $spread = hypot($doubt, self::spreadOf($measured));
        $note = match (true) {
            $unit->isVague() => sprintf(
                '1 %s taken as %s',
                $unit->name,
                KitchenNumber::millilitres((float) $unit->millilitres),
            ),
            $isGuess => sprintf(
                '%s taken as %s g a millilitre: weigh it to be sure',
                $ingredient->name,
                KitchenNumber::plain($density, 2),
            ),
            $measured->fill !== 1.0 => sprintf(
                'Taken as %s level',
                KitchenNumber::mixed($measured->middle() * $measured->fill),
            ),
            default => self::rangeNote($measured),
        };

        return new FoundGrams(
            Amount::within($millilitres * $density, $spread)->doubtedBy($unit->spread),
            $millilitres,
            $unit->isVague() || $measured->isRange() || $measured->fill !== 1.0,
            $note,
            $measured->pack !== null,
        );
    }

    /** "1 tbsp gochujang, heaped": how full the spoon is, said behind the thing. */
    private static function fillSaidBehind(Item $line): float
    {
        $fills = FactsFile::named('words')['fills'];
        $said = mb_strtolower("{$line->name} {$line->preparation}");

        return preg_match("/{$fills->pattern('behind')}/u", $said, $found) === 1 ? $fills->amounts('words')[$found[0]] : 1.0;
    }

    /** What a range, an "about" and a heap add to the doubt, as a relative standard deviation. */
    private static function spreadOf(WrittenAmount $measured): float
    {
        $range = $measured->isRange() ? ($measured->high - $measured->low) / sqrt(12.0) / $measured->middle() : 0.0;
        $about = $measured->isAbout && $measured->unit?->isVague() === false ? self::ABOUT : 0.0;

        return hypot(hypot($range, $about), $measured->fill === 1.0 ? 0.0 : self::HEAPED);
    }

    private static function rangeNote(WrittenAmount $measured): ?string
    {
        return $measured->isRange()
            ? sprintf(
                '%s to %s taken as %s',
                KitchenNumber::mixed($measured->low),
                KitchenNumber::mixed($measured->high),
                KitchenNumber::mixed($measured->middle()),
            )
            : null;
    }

    /** @return array{float, float, bool} g/ml, its relative doubt, and whether it is a guess */
    private function densityFor(WrittenAmount $measured, Item $line, Ingredient $ingredient): array
    {
        $words = mb_strtolower($line->ownWords());
        $forms = $ingredient->portions->forms;
        $isLoose = FactsFile::named('reading')['loosely']->isSaidIn($words, 'words');
        foreach ($forms as $form => $density) {
            if (str_contains($words, $form) && !($isLoose && $form === self::PRESSED)) {
                return [$density, max(self::PACKED, $ingredient->portions->texture->deviation()), false];
            }
        }
        if (isset($forms[self::LEAVES]) && $measured->unit?->name === 'cup') {
            // a cup of a herb is of leaves as they fall, a spoon of it is chopped
            return [$forms[self::LEAVES], self::LOOSE_SPREAD, false];
        }
        if ($ingredient->portions->density !== null) {
            return [$ingredient->portions->density, $ingredient->portions->texture->deviation(), false];
        }

        return [self::LOOSE_DENSITY, self::LOOSE_SPREAD, true];
    }

    private function counted(WrittenAmount $measured, Item $line, Ingredient $ingredient): ?FoundGrams
    {
        $counted = $measured->counted ?? 'whole';
        if ($counted === 'part') {
            $density = $ingredient->portions->density ?? self::LOOSE_DENSITY;
            $millilitres = $measured->middle() * $this->partMillilitres;

            return new FoundGrams(
                Amount::within($millilitres * $density, $ingredient->portions->texture->deviation()),
                $millilitres,
                true,
                sprintf('1 part taken as %s', KitchenNumber::millilitres($this->partMillilitres)),
                false,
            );
        }
        $one = $this->weightOfOne($counted, $measured->size, $line, $ingredient);
        if ($one === null) {
            return null;
        }
        [$name, $each] = $one;
        $count = $measured->middle();
        $rangeDeviation = ($measured->high - $measured->low) / sqrt(12.0) * $each->value;
        $grams = Amount::of($count * $each->value, hypot($count * $each->deviation, $rangeDeviation));
        $isTool = in_array($counted, ['handful', 'knob'], true);
        $note = sprintf('1 %s taken as %s', $name, KitchenNumber::grams($each->value));
        $range = self::rangeNote($measured);
        $note .= $range === null ? '' : "; {$range}";

        return new FoundGrams($grams, null, true, $note, !$isTool && Counts::isPack($counted));
    }

    /** @return array{string, Amount}|null what was counted and the grams of one */
    private function weightOfOne(string $counted, ?string $size, Item $line, Ingredient $ingredient): ?array
    {
        $units = [...$ingredient->portions->units, ...CountryPacks::of($ingredient, $this->measures)];
        if ($counted === 'whole' && isset($units['fruit'])) {
            return [$line->part === null ? 'fruit' : "{$line->part} of one fruit", self::sized($units['fruit'], $size)];
        }
        if ($counted === 'whole') {
            foreach (NameWords::of($line->name) as $word) {
                // a kind of it that is larger or smaller has a weight of its own: medjool, cornichon
                $counts = Counts::named($word);
                $noun = $counts ?? $word;
                // "2 peppers from a jar" are no two jars
                $isPack = $counts !== null && Counts::isPack($counts);
                if ($noun !== 'whole' && !$isPack && isset($units[$noun])) {
                    return [$noun, self::sized($units[$noun], $size)];
                }
            }
        }
        if ($size !== null && isset($units[$size]) && in_array($counted, ['whole', 'clove', 'pod'], true)) {
            return ["{$size} " . mb_strtolower($ingredient->name), $units[$size]];
        }
        if (isset($units[$counted])) {
            return [
                $counted === 'whole' ? mb_strtolower($ingredient->name) : $counted,
                self::sized($units[$counted], $size),
            ];
        }
        if ($counted === 'piece' && isset($units['whole'])) {
            return ['piece', self::sized($units['whole'], $size)];
        }
        if ($counted === 'whole') {
            return null;
        }
        $row = Counts::row($counted);
        $usual = (in_array(
            'herb',
            $ingredient->roles,
            true,
        ) ? $row->numberOrNull('herb_grams') : null) ?? $row->numberOrNull('grams');

        return $usual === null
            ? null
            : [$counted, Amount::within($usual, $row->numberOrNull('spread') ?? self::LOOSE_SPREAD)];
    }

    private static function sized(Amount $amount, ?string $size): Amount
    {
        $facts = Facts::of(SizeFacts::class);

        return match ($size) {
            'small' => $amount->times($facts->small),
            'large' => $amount->times($facts->large),
            default => $amount,
        };
    }
}
