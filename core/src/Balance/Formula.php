<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\DecimalMark;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\Plausibility;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Resolution\VesselSize;

/** The lines of a sauce as understood, with the yield the cook measured at the end, if any. */
final readonly class Formula
{
    /** Lines after this many are kept but not read. */
    public const MOST_LINES = 1000;

    /**
     * @param list<ResolvedLine> $lines
     * @param list<ResolvedLine> $doses what was added after the yield was measured, to taste
     * @param CookingLosses|null $losses what its stages take away; without effect where a yield is known
     */
    private function __construct(
        public array $lines,
        public ?MeasuredYield $yield,
        public ?string $yieldText,
        public ?Catalogue $catalogue,
        public array $doses = [],
        public ?CookingLosses $losses = null,
    ) {}

    /**
     * @param list<string> $texts
     * @param float|null $partMillilitres the vessel that a "part" is, where the cook says
     * @param bool $areApart each text names one ingredient: it was taken apart before
     */
    public static function fromTexts(
        array $texts,
        Catalogue $catalogue,
        Measures $measures,
        ?string $yield = null,
        ?float $partMillilitres = null,
        bool $areApart = false,
    ): self {
        $resolver = new LineResolver(
            $catalogue,
            $measures,
            $partMillilitres ?? LineResolver::PART_MILLILITRES,
            DecimalMark::of($texts),
        );
        $lines = [];
        foreach ($texts as $number => $text) {
            $vessel = VesselSize::saidIn($text, $measures);
            if ($vessel !== null) {
                $resolver = $resolver->knowing($vessel);
                $lines[] = ResolvedLine::heading($text, "{$text}: taken so from here on.")->atRow($number);
                continue;
            }
            $entries = match (true) {
                ResolvedLine::isHeading($text) => [ResolvedLine::heading($text)->atRow($number)],
                $number >= self::MOST_LINES => [ResolvedLine::unread(
                    $text,
                    sprintf('Only the first %d lines are read: make this sauce of two parts.', self::MOST_LINES),
                )->atRow($number)],
                $areApart => [$resolver->entriesOfRow($number, $text, $lines)[0]],
                default => $resolver->entriesOfRow($number, $text, $lines),
            };
            array_push($lines, ...$entries);
        }

        return new self(
            Plausibility::asked($lines),
            $yield === null ? null : MeasuredYield::parse($yield, $measures),
            $yield,
            $catalogue,
        );
    }

    /**
     * The line that was read from a text of the recipe, or one of several that it names, all counted from 0; null where
     * there is none.
     */
    public function lineOfRow(int $row, int $part = 0): ?int
    {
        $isOfRow = static fn(ResolvedLine $line): bool => $line->place->row === $row;

        return array_keys(array_filter($this->lines, $isOfRow))[$part] ?? null;
    }

    /**
     * What the texts of the recipe read where some lines read otherwise; a text of several ingredients is written as
     * the sum of its parts.
     *
     * @param array<int, string> $edits new text by line, from 0
     *
     * @return array<int, string> new text by row, from 0; lines that are of no row stand at their own number
     */
    public function rowsWith(array $edits): array
    {
        $rows = [];
        foreach (array_keys($edits) as $number) {
            $line = $this->lines[$number];
            $row = $line->place->row ?? $number;
            $parts = [];
            foreach ($line->place->part === null ? [] : $this->lines as $at => $other) {
                if ($other->place->row === $line->place->row) {
                    $parts[] = $edits[$at] ?? $other->written->text;
                }
            }
            $rows[$row] = $line->place->part === null ? $edits[$number] : implode(' + ', array_filter($parts));
        }

        return $rows;
    }

    /** @param list<ResolvedLine> $lines */
    public static function of(array $lines, ?MeasuredYield $yield = null): self
    {
        return new self($lines, $yield, null, null);
    }

    /** Everything mixed, before cooking. */
    public function mixed(): Mixture
    {
        $sum = Mixture::nothing();
        foreach ($this->lines as $line) {
            if ($line->countsInTheMixture()) {
                $sum = $sum->plus($line->mixture());
            }
        }

        return $sum;
    }

    /** What its stages take away, where no yield tells what was measured. */
    public function losses(): ?CookingLosses
    {
        return $this->yield === null && $this->yieldText === null ? $this->losses : null;
    }

    /** The same formula without what is no ingredient: headings, and how large a vessel is. */
    public function ofIngredients(): self
    {
        return $this->withLines(...array_filter(
            $this->lines,
            static fn(ResolvedLine $line): bool => $line->status !== LineStatus::Heading,
        ));
    }

    /** @return list<string> what its lines say of how large a part or a vessel is, and that it is taken so */
    public function sizesSaid(): array
    {
        $said = [];
        foreach ($this->lines as $line) {
            if ($line->status === LineStatus::Heading && $line->note !== null) {
                $said[] = $line->note;
            }
        }

        return $said;
    }

    /** The same formula with other lines; the yield stays as it was measured. */
    public function withLines(ResolvedLine ...$lines): self
    {
        return new self(
            array_values($lines),
            $this->yield,
            $this->yieldText,
            $this->catalogue,
            $this->doses,
            $this->losses,
        );
    }

    /** The same formula with a yield that was not measured but worked out. */
    public function cookedTo(MeasuredYield $estimate): self
    {
        return new self($this->lines, $estimate, $this->yieldText, $this->catalogue, $this->doses);
    }

    /** The same formula cooked by its stages, where nobody measured what it came to. */
    public function losing(CookingLosses $losses): self
    {
        return new self($this->lines, $this->yield, $this->yieldText, $this->catalogue, $this->doses, $losses);
    }

    /** Everything mixed, as if nothing had been cooked. */
    public function uncooked(): self
    {
        return new self($this->lines, null, null, $this->catalogue);
    }

    /** A batch of another size, cooked as far. */
    public function times(float $factor): self
    {
        $scale = static fn(ResolvedLine $line): ResolvedLine => $line->times($factor);

        return new self(
            array_map($scale, $this->lines),
            $this->yield?->times($factor),
            $this->yieldText,
            $this->catalogue,
            array_map($scale, $this->doses),
            $this->losses?->times($factor),
        );
    }

    /** What went in after the yield was measured, a dose at a time. */
    public function dosedWith(ResolvedLine ...$doses): self
    {
        return new self(
            $this->lines,
            $this->yield,
            $this->yieldText,
            $this->catalogue,
            [...$this->doses, ...array_values($doses)],
            $this->losses,
        );
    }

    /** Whether an ingredient brings no allergen and no animal thing that is not in it yet. */
    public function isFitFor(Ingredient $ingredient): bool
    {
        return !$this->lacksAnimalsOf($ingredient)
            && $ingredient->suitability->newAllergens(Balance::allergensIn($this)) === [];
    }

    /** Whether nothing in it is of an animal as an ingredient is. */
    public function lacksAnimalsOf(Ingredient $ingredient): bool
    {
        return $ingredient->suitability->bringsAnimals($this->brokenDiets());
    }

    /** @return list<string> diets that something in it breaks */
    private function brokenDiets(): array
    {
        return array_values(array_unique(array_merge(
            [],
            ...array_map(
                static fn(ResolvedLine $line): array => $line->ingredient->suitability->breaks ?? [],
                $this->ingredientLines(),
            ),
        )));
    }

    /** @return list<ResolvedLine> every line and dose that names an ingredient or should */
    public function ingredientLines(): array
    {
        return array_values(
            array_filter(
                [...$this->lines, ...$this->doses],
                static fn(ResolvedLine $line): bool => $line->status !== LineStatus::Heading,
            ),
        );
    }
}
