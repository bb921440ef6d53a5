<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\DecimalMark;
use Vinculum\Recipe\RecipeLine;
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
     * Of lines that nobody has numbered.
     *
     * @param list<string> $texts
     * @param float|null $partMillilitres the vessel that a "part" is, where the cook says
     */
    public static function fromTexts(
        array $texts,
        Catalogue $catalogue,
        Measures $measures,
        ?string $yield = null,
        ?float $partMillilitres = null,
    ): self {
        return self::fromLines(RecipeLine::numbered($texts), $catalogue, $measures, $yield, $partMillilitres);
    }

    /**
     * @param list<RecipeLine> $written
     * @param float|null $partMillilitres the vessel that a "part" is, where the cook says
     */
    public static function fromLines(
        array $written,
        Catalogue $catalogue,
        Measures $measures,
        ?string $yield = null,
        ?float $partMillilitres = null,
    ): self {
        $resolver = new LineResolver(
            $catalogue,
            $measures,
            $partMillilitres ?? LineResolver::PART_MILLILITRES,
            DecimalMark::of(RecipeLine::texts($written)),
        );
        $lines = [];
        foreach ($written as $number => $line) {
            $vessel = VesselSize::saidIn($line->text, $measures);
            if ($vessel !== null) {
                $resolver = $resolver->knowing($vessel);
                $lines[] = ResolvedLine::heading($line->text, "{$line->text}: taken so from here on.")->from($line);
                continue;
            }
            $entries = match (true) {
                $line->isHeading() => [ResolvedLine::heading($line->text)->from($line)],
                $number >= self::MOST_LINES => [ResolvedLine::unread(
                    $line->text,
                    sprintf('Only the first %d lines are read: make this sauce of two parts.', self::MOST_LINES),
                )->from($line)],
                default => $resolver->entriesOf($line, $lines),
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
     * The number that a person counts a line by: that of its text, and a text of several things has one.
     *
     * @return list<int> from 1, by line
     */
    public function numbers(): array
    {
        [$numbers, $number, $id] = [[], 0, null];
        foreach ($this->lines as $line) {
            $number += $line->source === null || $line->source->id !== $id ? 1 : 0;
            $id = $line->source?->id;
            $numbers[] = $number;
        }

        return $numbers;
    }

    /**
     * The line that was read from a line of the recipe, or one of several that it names, both counted from 0; null where
     * there is none.
     */
    public function lineOf(int $id, int $part = 0): ?int
    {
        $isOfIt = static fn(ResolvedLine $line): bool => $line->source?->id === $id;

        return array_keys(array_filter($this->lines, $isOfIt))[$part] ?? null;
    }

    /**
     * The lines of its recipe where some of its own read otherwise, or stand there no longer.
     *
     * @param array<int, string> $edits new text by line, from 0; empty where one goes
     *
     * @return array<int, string> new text by the number of the recipe's line; a text of several things is written as their
     *     sum
     */
    public function edited(array $edits): array
    {
        $texts = [];
        foreach (array_keys($edits) as $number) {
            $source = $this->lines[$number]->source;
            if ($source === null) {
                continue;
            }
            $things = [];
            foreach ($this->lines as $at => $other) {
                if ($other->source?->id === $source->id) {
                    $things[] = $edits[$at] ?? $other->written->text;
                }
            }
            $texts[$source->id] = implode(' + ', array_filter($things, static fn(string $text): bool => $text !== ''));
        }

        return $texts;
    }

    /**
     * Its recipe's lines as they then read.
     *
     * @param array<int, string> $edits new text by line, from 0; empty where one goes
     * @param list<string> $added texts of new lines, which come last
     *
     * @return list<RecipeLine>
     */
    public function rewritten(array $edits, array $added = []): array
    {
        $texts = $this->edited($edits);
        [$lines, $seen] = [[], 0];
        foreach ($this->lines as $line) {
            $source = $line->source;
            if ($source === null || isset($lines[$source->id])) {
                continue;
            }
            $seen = max($seen, $source->id);
            $text = $texts[$source->id] ?? null;
            if ($text !== '') {
                $lines[$source->id] = $source->reading($text ?? $source->text);
            }
        }
        foreach ($added as $text) {
            $lines[] = RecipeLine::of(++$seen, $text);
        }

        return array_values($lines);
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
