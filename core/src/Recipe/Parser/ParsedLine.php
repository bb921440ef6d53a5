<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** An ingredient line after its grammar is understood and before its ingredient is looked up. */
final readonly class ParsedLine
{
    /**
     * @param WrittenAmount|null $measured     null where no amount is written
     * @param WrittenAmount|null $second       the same amount said another way: "½ cup (110 g)"
     * @param string        $name         the words that name the ingredient
     * @param list<string>  $alternatives names after "or"
     * @param string        $preparation  what stands after the comma or in brackets
     * @param string|null   $part         juice or zest, when only that part of a fruit is used
     * @param list<string>  $tags         cold, steeped, optional, lock, roasted, drained
     * @param bool          $isNonsense   an amount is written that cannot be one
     * @param string        $amountText   the part of the text that says the amount, empty where none does
     */
    public function __construct(
        public string $text,
        public ?WrittenAmount $measured,
        public ?WrittenAmount $second,
        public string $name,
        public array $alternatives,
        public string $preparation,
        public ?string $part,
        public array $tags,
        public bool $isNonsense,
        public string $amountText = '',
    ) {}

    /** Words that were not read. */
    public static function unread(string $text): self
    {
        return new self($text, null, null, '', [], '', null, [], false);
    }

    /** The same reading, of this text. */
    public function of(string $text): self
    {
        return $this->with(['text' => $text]);
    }

    /** The same thing in another amount. */
    public function times(float $factor): self
    {
        return $this->with(['measured' => $this->measured?->times($factor)]);
    }

    /** @param array<string, mixed> $other */
    private function with(array $other): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$other]);
    }
}
