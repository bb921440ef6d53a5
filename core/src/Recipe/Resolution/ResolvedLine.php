<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Parser\WrittenAmount;

/** A line as understood: which ingredient, how many grams with their doubt, and why. */
final readonly class ResolvedLine
{
    /**
     * @param Ingredient|null $ingredient   null where none was found
     * @param Amount|null     $grams        null where nothing can be counted
     * @param float|null      $millilitres  of the amount
     * @param Mixture $hundredGrams what 100 g of it brings, with the line's own states (roasted, seeded) worked in
     * @param list<string>    $alternatives keys it might also be, likeliest first
     * @param list<string>    $tags
     * @param string          $writtenName  the words of the text that name the ingredient
     * @param WrittenAmount|null   $measured     the amount as it was written
     * @param string          $amountText   the part of the text that says it
     * @param Sureness|null   $sure         how sure the name is; null where no ingredient was found
     * @param int|null        $part         which of several that its text names, from 1; null where it names one
     * @param string|null     $alone        that part as it would stand in a line of its own
     * @param int             $row          the text of the recipe that it was read from, from 0; −1 where it is of none
     */
    public function __construct(
        public string $text,
        public ?Ingredient $ingredient,
        public ?Amount $grams,
        public ?float $millilitres,
        public LineStatus $status,
        public ?string $note,
        public Mixture $hundredGrams,
        public array $alternatives,
        public array $tags,
        public string $writtenName = '',
        public ?WrittenAmount $measured = null,
        public string $amountText = '',
        public ?Sureness $sure = null,
        public ?int $part = null,
        public ?string $alone = null,
        public int $row = -1,
    ) {}

    /** A heading that starts a stage, or an empty line: nothing goes in. */
    public static function heading(string $text): self
    {
        return new self($text, null, null, null, LineStatus::Heading, null, Mixture::nothing(), [], []);
    }

    /** Whether a text is a heading ("For the pot:") or empty. */
    public static function isHeading(string $text): bool
    {
        return preg_match('/^\s*(?:[^:]{2,60}:)?\s*$/u', mb_scrub($text)) === 1;
    }

    /** A line that is kept but not looked at. */
    public static function unread(string $text, string $note): self
    {
        return new self($text, null, null, null, LineStatus::Unknown, $note, Mixture::nothing(), [], []);
    }

    /** So many grams of an ingredient, with no text behind it. */
    public static function ofGrams(Ingredient $ingredient, Amount $grams): self
    {
        return new self(
            '',
            $ingredient,
            $grams,
            null,
            LineStatus::Measured,
            null,
            $ingredient->composition->mixture,
            [],
            [],
            sure: Sureness::Certain,
        );
    }

    /** The same thing in another amount; its doubt keeps its share. */
    public function times(float $factor): self
    {
        return $this->with([
            'grams' => $this->grams?->times($factor),
            'millilitres' => $this->millilitres === null ? null : $this->millilitres * $factor,
            'measured' => $this->measured?->times($factor),
        ]);
    }

    /** The same thing in an amount that was measured anew. */
    public function inGrams(Amount $grams): self
    {
        return $this->with(['grams' => $grams, 'millilitres' => null, 'status' => LineStatus::Measured]);
    }

    /** The same, as one of several that a text names. */
    public function asPartOf(string $text, int $part): self
    {
        return $this->with(['text' => $text, 'part' => $part, 'alone' => $this->text]);
    }

    /** The same, read from that text of a recipe, counted from 0. */
    public function atRow(int $row): self
    {
        return $this->with(['row' => $row]);
    }

    /** Its own words: its text, or what of it names this one of several. */
    public function ownText(): string
    {
        return $this->alone ?? $this->text;
    }

    /**
     * The number that a person counts it by, from 1: that of its text.
     *
     * @param int $at its place among the lines, from 0, for where it is of no text
     */
    public function number(int $at): int
    {
        return ($this->row < 0 ? $at : $this->row) + 1;
    }

    public function mixture(): Mixture
    {
        return $this->grams === null ? Mixture::nothing() : $this->hundredGrams->times($this->grams->value / 100.0);
    }

    public function countsInTheMixture(): bool
    {
        return $this->grams !== null && $this->grams->value > 0.0;
    }

    /** @param array<string, mixed> $other */
    private function with(array $other): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$other]);
    }
}
