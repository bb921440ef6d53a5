<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** One thing of an ingredient line: how much of it, what it is called, and what else is said, before it is looked up. */
final readonly class Item
{
    /**
     * @param string $text as a cook would have written it alone
     * @param WrittenAmount|null $measured null where no amount is written
     * @param list<WrittenAmount> $forms the same amount said in other ways: "½ cup (110 g)"
     * @param string $name the words that name the ingredient
     * @param list<string> $alternatives names after "or", with which it may share its last words
     * @param list<string> $offers names of what would do as well
     * @param string $preparation what stands after the comma or in brackets
     * @param string|null $part juice or zest, when only that part of a fruit is used
     * @param list<string> $tags cold, steeped, optional, lock, roasted, drained
     * @param bool $isNonsense an amount is written that cannot be one
     * @param bool $isRate its amount is for each of so many: "1 tsp per bottle"
     * @param string $amountText the part of the text that says the amount, empty where none does
     * @param float|null $percent how strong it is, or its share
     * @param array{int, int}|null $amountSpan where the amount stands in its text, in bytes
     * @param array{int, int}|null $lineSpan where it stands in the whole line
     * @param array{int, int}|null $nameSpan where in the whole line its name and other choices stand
     * @param string $gloss what else a bracket calls it: "komezu (rice vinegar)"
     * @param bool $isShared its amount is half of what was written for two
     * @param bool $isSome said loosely: "a ton of", "a little"
     * @param bool $isGuessed its name may be that of two things
     * @param AsMuch|null $sameAs of which thing it has the amount too
     */
    public function __construct(
        public string $text,
        public ?WrittenAmount $measured = null,
        public array $forms = [],
        public string $name = '',
        public array $alternatives = [],
        public array $offers = [],
        public string $preparation = '',
        public ?string $part = null,
        public array $tags = [],
        public bool $isNonsense = false,
        public bool $isRate = false,
        public string $amountText = '',
        public ?float $percent = null,
        public ?array $amountSpan = null,
        public ?array $lineSpan = null,
        public ?array $nameSpan = null,
        public string $gloss = '',
        public ?AsMuch $sameAs = null,
        public bool $isGuessed = false,
        public bool $isSome = false,
        public bool $isShared = false,
    ) {}

    /** What the line says of this thing itself: nothing of what would do as well, nor of where to find more. */
    public function ownWords(): string
    {
        return implode(' ', array_filter([$this->amountText, $this->name, $this->gloss, $this->preparation]));
    }

    /** The same thing in another amount. */
    public function times(float $factor): self
    {
        return $this->with(['measured' => $this->measured?->times($factor)]);
    }

    /** The same thing under another name. */
    public function called(string $name): self
    {
        return $this->with(['name' => $name]);
    }

    /** The same thing, so much of it. */
    public function measuring(?WrittenAmount $measured): self
    {
        return $this->with(['measured' => $measured]);
    }

    /** The same reading, of this text. */
    public function of(string $text): self
    {
        return $text === $this->text ? $this : $this->with(['text' => $text]);
    }

    /** @param array<string, mixed> $other */
    private function with(array $other): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$other]);
    }
}
