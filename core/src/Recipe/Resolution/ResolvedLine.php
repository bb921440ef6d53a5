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
            $ingredient->mixture,
            [],
            [],
            sure: Sureness::Certain,
        );
    }

    /** The same thing in another amount; its doubt keeps its share. */
    public function times(float $factor): self
    {
        return new self(
            $this->text,
            $this->ingredient,
            $this->grams?->times($factor),
            $this->millilitres === null ? null : $this->millilitres * $factor,
            $this->status,
            $this->note,
            $this->hundredGrams,
            $this->alternatives,
            $this->tags,
            $this->writtenName,
            $this->measured?->times($factor),
            $this->amountText,
            $this->sure,
        );
    }

    /** The same thing in an amount that was measured anew. */
    public function inGrams(Amount $grams): self
    {
        return new self(
            $this->text,
            $this->ingredient,
            $grams,
            null,
            LineStatus::Measured,
            $this->note,
            $this->hundredGrams,
            $this->alternatives,
            $this->tags,
            $this->writtenName,
            $this->measured,
            $this->amountText,
            $this->sure,
        );
    }

    public function mixture(): Mixture
    {
        return $this->grams === null ? Mixture::nothing() : $this->hundredGrams->times($this->grams->value / 100.0);
    }

    public function countsInTheMixture(): bool
    {
        return $this->grams !== null && $this->grams->value > 0.0;
    }
}
