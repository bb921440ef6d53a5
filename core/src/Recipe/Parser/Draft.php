<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** One thing of a line while it is being read: which tokens are its amount, its name, and what else is said of it. */
final class Draft
{
    /** @var list<WrittenAmount> the same amount in several forms */
    public array $amounts = [];

    /** @var list<WrittenAmount> how much there is of what it is a part of: the two limes of "2 limes, zest of 1" */
    public array $whole = [];

    /** @var list<int> tokens of the amount */
    public array $amountTokens = [];

    /** @var list<int> */
    public array $name = [];

    /** @var list<list<int>> what is said of it, each in one go */
    public array $said = [];

    /** @var list<string> */
    public array $alternatives = [];

    /** @var list<string> what would do as well: "oat milk is fine too" */
    public array $offers = [];

    /** @var list<int> tokens of other choices */
    public array $choices = [];

    /** @var list<string> */
    public array $tags = [];

    public ?string $part = null;
    /** The token that says so. */
    public ?int $partAt = null;
    public ?string $gloss = null;
    /** In which form it is bought, said of it or of the one before: "ground". */
    public ?string $form = null;
    public ?AsMuch $sameAs = null;
    public ?float $percent = null;
    public bool $isEach = false;
    /** Its amount is what is left of what was bought: "(480 g drained)". */
    public bool $isNet = false;
    public bool $isSome = false;
    public bool $isEqual = false;
    public bool $isToTaste = false;
    /** Its amount is half of what was written for two. */
    public bool $isShared = false;
    /** Its name may be two: "dried mushrooms, wood ear". */
    public bool $isGuessed = false;
    /** Its name has nothing to do with those before: "the same of". */
    public bool $isApart = false;
    /** Its amount is for each of so many: "1 tsp per bottle". */
    public bool $isRate = false;
    /** It may go in instead of the one before: "oat milk is fine too". */
    public bool $isChoice = false;

    /** @var list<float> */
    public array $shares = [];

    /** Its name, where it stands elsewhere or is put together. */
    public ?string $called = null;

    /** Its amount in words, where it is worked out. */
    public ?string $amountText = null;

    /**
     * @param list<int> $name
     * @param list<int> $said
     */
    public static function choice(array $name, array $said): self
    {
        $draft = new self();
        [$draft->name, $draft->said, $draft->isChoice] = [$name, [$said], true];

        return $draft;
    }

    public function measured(): ?WrittenAmount
    {
        return $this->amounts[0] ?? null;
    }

    public function hasAmount(): bool
    {
        return $this->amounts !== [];
    }

    public function isCounted(): bool
    {
        return $this->hasAmount() && $this->amounts[0]->unit === null;
    }

    /** Whether an amount is written that cannot be one. */
    public function isNonsense(): bool
    {
        return array_filter($this->amounts, static fn(WrittenAmount $one): bool => !$one->isSensible()) !== [];
    }

    public function isNameless(): bool
    {
        return $this->name === [] && $this->called === null;
    }

    /** Whether it says how much of what follows: "1 tsp each", "equal parts", "3:1". */
    public function isOfAll(): bool
    {
        return $this->isEach || $this->isEqual || $this->shares !== [];
    }

    /** As much of it as of another. */
    public function measureLike(self $other): void
    {
        $this->amounts = $other->amounts;
        $this->amountTokens = $other->amountTokens;
        if ($this->sameAs !== null && $this->sameAs->times !== 1.0 && $this->amounts !== []) {
            $this->amounts = array_map($this->sameAs->applied(...), $this->amounts);
            $this->amountText = trim($this->amounts[0]->written());
        }
    }

    /** What else is said of another is said of this. */
    public function takeOn(self $other): void
    {
        $this->said = [...$this->said, ...$other->said];
        $this->tags = [...$this->tags, ...$other->tags];
        $this->isToTaste = $this->isToTaste || $other->isToTaste;
        $this->percent ??= $other->percent;
        $this->gloss ??= $other->gloss;
    }
}
