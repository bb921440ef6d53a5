<?php

declare(strict_types=1);

namespace Vinculum\Reading;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Mixture\Mixture;
use Vinculum\Quantity\Amount;

/** A line as understood: which ingredient, how many grams with their doubt, and why. */
final readonly class ResolvedLine
{
    /**
     * @param Ingredient|null $ingredient   null where none was found
     * @param Amount|null     $grams        null where nothing can be counted
     * @param float|null      $millilitres  of the amount
     * @param Mixture         $hundredGrams what 100 g of it brings, with the line's own states (roasted, seeded) worked in
     * @param list<string>    $alternatives keys it might also be, likeliest first
     * @param list<string>    $tags
     * @param string          $writtenName  the words of the text that name the ingredient
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
    ) {}

    /** A line that is kept but not looked at. */
    public static function unread(string $text, string $note): self
    {
        return new self($text, null, null, null, LineStatus::Unknown, $note, Mixture::nothing(), [], []);
    }

    /** So many grams of an ingredient, with no text behind it. */
    public static function ofGrams(Ingredient $ingredient, Amount $grams): self
    {
        return new self('', $ingredient, $grams, null, LineStatus::Measured, null, $ingredient->mixture, [], []);
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
