<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\PlainText;
use Vinculum\Recipe\Parser\QuantityGrammar;
use Vinculum\Recipe\Parser\Vocabulary;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Writing\PackWriter;

/** A line as understood: which ingredient, how many grams with their doubt, and why. */
final readonly class ResolvedLine
{
    /**
     * @param Item $written its own words, without an amount where they were not read
     * @param Ingredient|null $ingredient null where none was found
     * @param Amount|null $grams null where nothing can be counted
     * @param float|null $millilitres of the amount
     * @param Mixture $hundredGrams what 100 g of it brings, its own states (roasted, seeded) worked in
     * @param list<string> $alternatives keys it might also be, likeliest first
     * @param Sureness|null $sure how sure the name is; null where no ingredient was found
     * @param list<string> $choices keys of the other ways that it names itself
     * @param RecipeLine|null $source the line of the recipe that it was read from; null where it is of none
     * @param int|null $part which of several that it names, from 1; null where it names one
     * @param list<string> $unread words of its text that have no role: with any, it is never certain
     */
    public function __construct(
        public Item $written,
        public ?Ingredient $ingredient,
        public ?Amount $grams,
        public ?float $millilitres,
        public LineStatus $status,
        public ?string $note,
        public Mixture $hundredGrams,
        public array $alternatives = [],
        public ?Sureness $sure = null,
        public ?RecipeLine $source = null,
        public ?int $part = null,
        public array $unread = [],
        public array $choices = [],
    ) {
        assert($unread === [] || $sure !== Sureness::Certain, 'with a word unread no line is certain');
    }

    /**
     * A heading that starts a stage, an empty line, or how large a vessel is: nothing goes in.
     *
     * @param string|null $note what was made of it
     */
    public static function heading(string $text, ?string $note = null): self
    {
        return new self(new Item($text), null, null, null, LineStatus::Heading, $note, Mixture::nothing());
    }

    /** Whether a text is a heading ("For the pot:") or empty; what begins with an amount is none ("2 tbsp fish sauce:"). */
    public static function isHeading(string $text): bool
    {
        return preg_match('/^\s*+(?:[^:\s][^:]{1,59}:)?\s*+$/u', mb_scrub($text)) === 1
            && !self::beginsWithAnAmount($text);
    }

    private static function beginsWithAnAmount(string $text): bool
    {
        $tokens = Lexer::tokens(mb_substr(PlainText::of($text)->text, 0, 80));
        if ($tokens === []) {
            return false;
        }
        $cursor = new Cursor($tokens);
        $amount = (new QuantityGrammar(Measures::Us))->quantity($cursor);
        $isBare = $amount?->unit === null && in_array($amount?->counted, [null, 'whole', 'part'], true);
        $isOther = Vocabulary::has('not-counted', $cursor->peek()->lower ?? '');

        return $amount !== null && !$isOther && (!$isBare || $tokens[0]->isNumber());
    }

    /** A line that is kept but not looked at. */
    public static function unread(string $text, string $note): self
    {
        return new self(new Item($text), null, null, null, LineStatus::Unknown, $note, Mixture::nothing());
    }

    /** So many grams of an ingredient, with no text behind it. */
    public static function ofGrams(Ingredient $ingredient, Amount $grams): self
    {
        return new self(
            new Item(''),
            $ingredient,
            $grams,
            null,
            LineStatus::Measured,
            null,
            $ingredient->composition->mixture,
            sure: Sureness::Certain,
        );
    }

    /** The same thing in another amount; its doubt keeps its share. */
    public function times(float $factor): self
    {
        return $this->with([
            'grams' => $this->grams?->times($factor),
            'millilitres' => $this->millilitres === null ? null : $this->millilitres * $factor,
            'written' => $this->written->times($factor),
        ]);
    }

    /** The same thing in an amount that was measured anew. */
    public function inGrams(Amount $grams): self
    {
        return $this->with(['grams' => $grams, 'millilitres' => null, 'status' => LineStatus::Measured]);
    }

    /** The same thing, its amount not believed until the cook says that it is meant. */
    public function questioned(string $note): self
    {
        return $this->with([
            'grams' => null,
            'millilitres' => null,
            'status' => LineStatus::Unknown,
            'note' => $note,
            'hundredGrams' => Mixture::nothing(),
        ]);
    }

    /**
     * The same, some words of its text having no role.
     *
     * @param list<string> $unread
     */
    public function leaving(array $unread): self
    {
        return $unread === [] ? $this : $this->with([
            'unread' => $unread,
            'sure' => $this->ingredient === null ? null : Sureness::Likely,
        ]);
    }

    /** The same, its text being longer than anybody reads. */
    public function cutAt(int $letters): self
    {
        $note = "only the first {$letters} letters of the line are read";

        return $this->with([
            'sure' => $this->sure === null ? null : Sureness::Likely,
            'status' => $this->status === LineStatus::Measured ? LineStatus::Assumed : $this->status,
            'note' => $this->note === null ? $note : "{$note}; {$this->note}",
        ]);
    }

    /**
     * The same, naming other ways itself.
     *
     * @param list<string> $choices keys
     */
    public function choosing(array $choices): self
    {
        return $choices === [] ? $this : $this->with(['choices' => $choices]);
    }

    /** The same, read from this whole text. */
    public function of(string $text): self
    {
        return $this->with(['written' => $this->written->of($text)]);
    }

    /** Grams of water that roasting takes from it; null where it says itself that it is, or has none to lose. */
    public function waterLostRoasting(): ?Amount
    {
        if ($this->ingredient === null || $this->grams === null || str_contains($this->note ?? '', 'roasted:')) {
            return null;
        }
        $roasted = (new LineStates($this->ingredient, $this->hundredGrams, $this->grams))->roasted();

        return $roasted->notes === []
            ? null
            : Amount::of($this->grams->value - $roasted->grams->value, $roasted->grams->deviation);
    }

    /** The same, with something more that is not sure. */
    public function assuming(string $note): self
    {
        return $this->with([
            'status' => LineStatus::Assumed,
            'note' => $this->note === null ? $note : "{$note} {$this->note}",
        ]);
    }

    /** The same, as one of several that its text names, from 1. */
    public function asPart(int $part): self
    {
        return $this->with(['part' => $part]);
    }

    /** The same, read from that line of a recipe. */
    public function from(RecipeLine $source): self
    {
        return $this->with(['source' => $source]);
    }

    /** The same thing, standing where another stood. */
    public function inPlaceOf(self $other): self
    {
        return $this->with(['source' => $other->source, 'part' => $other->part]);
    }

    /** The text of the recipe that it was read from, also where that names several. */
    public function text(): string
    {
        return $this->part === null ? $this->written->text : ($this->source->text ?? $this->written->text);
    }

    /**
     * What a cook calls it: "bourbon" and "black treacle", whatever they are taken for; of a part, and of what is counted,
     * the name that the part has ("lemon juice", not "lemons").
     */
    public function called(): string
    {
        $piece = preg_match('/(\pL+)\W*$/u', $this->written->amountText, $found) === 1 ? mb_strtolower($found[1]) : '';
        // "2 sticks of cinnamon" are none of the ground one, and of "2 star anise" the star is half the name
        $isNamed = $this->written->name !== '' && $this->written->part === null && $piece !== ''
            && preg_match("/\\b{$piece}\\b/iu", $this->ingredient->name ?? '') !== 1;

        return match (true) {
            $this->ingredient === null || $this->status === LineStatus::Unknown => $this->written->text,
            $isNamed, $this->isNamedByItsPiece() => $this->asPacked() . $this->written->name,
            default => $this->ingredient->name,
        };
    }

    /** The tomatoes of a 400 g tin are tinned, where they are weighed out. */
    private function asPacked(): string
    {
        $measured = $this->written->measured;
        $packed = $measured?->unit === null ? null : PackWriter::PACKED[$measured->pack ?? ''] ?? null;

        return $packed === null || preg_match('/\b(?:tinned|canned|jarred)\b/iu', $this->written->name) === 1
            ? ''
            : "{$packed} ";
    }

    /** "2 cinnamon sticks" are none of the ground one: the name says the piece that is counted, the ingredient's does not. */
    private function isNamedByItsPiece(): bool
    {
        if ($this->written->part !== null || $this->written->measured?->unit !== null) {
            return false;
        }
        foreach (preg_split('/\s+/u', $this->written->name) ?: [] as $word) {
            $piece = Counts::named($word);
            if ($piece !== null && $piece !== 'whole' && stripos($this->ingredient->name ?? '', $piece) === false) {
                return true;
            }
        }

        return false;
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
