<?php

declare(strict_types=1);

namespace Vinculum\Drafting;

use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Correction\Design;
use Vinculum\Correction\DesignedLine;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyIdentity;
use Vinculum\Family\PlainReference;
use Vinculum\Family\ReferenceFormula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Substitution\StandIn;

/**
 * A first formula for an empty bench: the reference of the family that a cook would show a beginner, or the one nearest
 * to what is at hand, in about the size that is wanted, by a factor that leaves its amounts as a cook writes them. What
 * cooks have cooked is a better start than what a search can make of numbers.
 */
final readonly class TypicalDraft
{
    private const FACTORS = [0.25, 0.5, 1.0, 1.5, 2.0, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0, 15.0, 20.0];
    /** Every kitchen has them. */
    private const ALWAYS = ['water', 'salt'];
    /** What a sauce is mostly of: g in 100 g. */
    private const MUCH = 10.0;
    /** How much worse it is to lack a family's own thing, or what carries it, than something that rounds it off. */
    private const SORELY = 3.0;

    /** @param list<Ingredient>|null $atHand everything that there is; null where a cook will go shopping */
    private function __construct(
        private Family $family,
        private Catalogue $catalogue,
        private Measures $measures,
        private bool $hasScale,
        private ?array $atHand,
    ) {}

    /** @param list<Ingredient>|null $atHand everything that there is; null where a cook will go shopping */
    public static function of(
        Family $family,
        float $batchGrams,
        Catalogue $catalogue,
        Measures $measures,
        bool $hasScale = true,
        ?array $atHand = null,
    ): Design {
        return (new self($family, $catalogue, $measures, $hasScale, $atHand))->design($batchGrams);
    }

    private function design(float $batchGrams): Design
    {
        $references = ReferenceFormula::of($this->family->key, $this->catalogue);
        $typical = PlainReference::among($this->family, $references);
        $least = $this->lacking($typical);
        foreach ($references as $reference) {
            if ($this->lacking($reference) < $least - 1e-9) {
                [$typical, $least] = [$reference, $this->lacking($reference)];
            }
        }
        $factor = self::factor($batchGrams / $typical->balance->mixture->grams());
        $lines = [];
        $texts = [];
        $said = [];
        foreach ($typical->balance->formula->lines as $line) {
            [$kept, $why] = $this->kept($line, $typical);
            $said = [...$said, ...array_filter([$why])];
            if ($kept === null || $kept->ingredient === null) {
                continue;
            }
            $text = AmountWriter::times($kept, $factor, $this->measures);
            $texts[] = $this->hasScale ? $text : UnweighedAmount::line($this->read($text), $this->measures);
            $grams = $this->read((string) end($texts))->grams->value ?? 0.0;
            $lines[] = new DesignedLine(
                $kept->ingredient,
                $grams,
                Measure::weighed($grams),
                "as in \"{$typical->title}\"",
            );
        }
        $finished = $factor * $typical->balance->mixture->grams();

        return new Design(
            $lines,
            $typical->balance->taste,
            $this->family->target,
            $this->family->target->distance($typical->balance->taste),
            [
                ...$said,
                ...($typical->balance->isFinished
                    ? [sprintf('Cook it down to about %s.', KitchenNumber::grams(round($finished, -1)))]
                    : []),
            ],
            $texts,
            $typical->balance->isFinished ? MeasuredYield::written($finished) : null,
        );
    }

    /** The nearest factor that a cook would reckon with. */
    private static function factor(float $wanted): float
    {
        $best = 1.0;
        foreach (self::FACTORS as $factor) {
            if (abs(log($factor / $wanted)) < abs(log($best / $wanted))) {
                $best = $factor;
            }
        }

        return $best;
    }

    /** How sorely a reference wants what there is not. */
    private function lacking(ReferenceFormula $reference): float
    {
        $lacking = 0.0;
        foreach ($reference->balance->formula->lines as $line) {
            if ($line->ingredient !== null && !$this->isAtHand($line->ingredient)) {
                $lacking += $this->isNeeded($line, $reference) ? self::SORELY : 1.0;
                $lacking -= $this->standIn($line->ingredient) === null ? 0.0 : 0.5;
            }
        }

        return $lacking;
    }

    /** @return array{ResolvedLine|null, string|null} the line, or what stands in its place, and what is to be said of it */
    private function kept(ResolvedLine $line, ReferenceFormula $reference): array
    {
        $ingredient = $line->ingredient;
        if ($ingredient === null || $this->isAtHand($ingredient)) {
            return [$line, null];
        }
        $other = $this->standIn($ingredient);
        $name = mb_strtolower($ingredient->name);
        if ($other !== null) {
            [$instead, $ratio] = $other;
            $grams = $ratio * ($line->grams->value ?? 0.0);

            return [
                $this->read(Measure::weighed($grams)->of(mb_strtolower($instead->name))),
                sprintf('%s stands in for %s.', $instead->name, $name),
            ];
        }

        return $this->isNeeded($line, $reference)
            ? [$line, sprintf('It wants %s, which you did not name.', $name)]
            : [null, sprintf('Without %s: you did not name it.', $name)];
    }

    private function read(string $text): ResolvedLine
    {
        return Formula::fromTexts([$text], $this->catalogue, $this->measures)->lines[0];
    }

    private function isNeeded(ResolvedLine $line, ReferenceFormula $reference): bool
    {
        $kind = $line->ingredient?->kind() ?? '';

        return in_array($kind, FamilyIdentity::of($this->family->key)->ingredients, true)
            || ($reference->makeup->ingredients[$kind] ?? 0.0) >= self::MUCH;
    }

    private function isAtHand(Ingredient $ingredient): bool
    {
        return $this->atHand === null
            || in_array($ingredient->kind(), self::ALWAYS, true)
            || array_filter(
                $this->atHand,
                static fn(Ingredient $one): bool => $one->kind() === $ingredient->kind(),
            ) !== [];
    }

    /** @return array{Ingredient, float}|null what cooks usually take instead, of what there is, and grams a gram */
    private function standIn(Ingredient $gone): ?array
    {
        foreach (StandIn::of($gone) as $other) {
            foreach ($this->atHand ?? [] as $there) {
                if ($there->kind() === $other->kind && $other->class <= StandIn::USUAL && $other->ratio !== null) {
                    return [$there, $other->ratio];
                }
            }
        }

        return null;
    }
}
