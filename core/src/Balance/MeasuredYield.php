<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\SpokenNumber;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\QuantityGrammar;

/** What the cook weighed or poured out at the end. */
final readonly class MeasuredYield
{
    private const WEIGHED = 0.01;
    private const POURED = 0.05;
    /** "3 jars (700 ml)", "4 small bottles (about 300 ml each)": how many, and what stands in brackets. */
    private const SEVERAL_VESSELS = '/\b([2-9]|\d\d+)\s+(?:\p{L}+\s+){0,2}(?:jars|bottles|pots|tubs)\s*\(([^)]*)\)/iu';

    private function __construct(public ?Amount $grams, public ?Amount $millilitres) {}

    /**
     * "500 ml", "1.2 kg", "about 2 cups", "6 x 250 ml"; null where no weight or volume is named, and for "3 jars
     * (700 ml)", which may be of all or of each.
     */
    public static function parse(string $text, Measures $measures): ?self
    {
        if (preg_match(self::SEVERAL_VESSELS, $text, $vessels) === 1) {
            return preg_match('/\beach\b/iu', $vessels[2]) === 1
                ? self::parse($vessels[2], $measures)?->times((float) $vessels[1])
                : null;
        }
        $tokens = Lexer::tokens(mb_substr(mb_scrub($text), 0, 200));
        foreach (array_keys($tokens) as $index) {
            $measured = (new QuantityGrammar($measures))->quantity(new Cursor(array_slice($tokens, $index)));
            if ($measured === null || $measured->unit === null || !$measured->isSensible()) {
                continue;
            }
            if ($measured->unit->grams !== null) {
                return new self(Amount::within($measured->middle() * $measured->unit->grams, self::WEIGHED), null);
            }

            return new self(
                null,
                Amount::within($measured->middle() * (float) $measured->unit->millilitres, self::POURED),
            );
        }

        return null;
    }

    /** How many jars a yield names without saying how large they are; null where it does not. */
    public static function jarsOfUnknownSize(string $text, Measures $measures): ?int
    {
        // "3 jars", "about 4 small bottles", "one jar"
        $several = SpokenNumber::pattern(2);
        $vessels = "/\\b({$several})\\s+(?:\\p{L}+\\s+){0,2}(?:jars|bottles|pots|tubs)\\b"
            . '|\b(?:a|an|one|1)\s+(?:\p{L}+\s+){0,2}(?:jar|bottle|pot|tub)\b/iu';
        if (preg_match($vessels, $text, $found) !== 1 || self::parse($text, $measures) !== null) {
            return null;
        }
        $count = SpokenNumber::value($found[1] ?? '1') ?? 0;

        return $count > 0 ? $count : null;
    }

    /** What a batch comes to by an estimate, in grams with one standard deviation. */
    public static function estimated(float $grams, float $deviation): self
    {
        return new self(Amount::of($grams, $deviation), null);
    }

    /** So many grams as a yield is written. */
    public static function written(float $grams): string
    {
        return sprintf('%d g', round($grams));
    }

    public function times(float $factor): self
    {
        return new self($this->grams?->times($factor), $this->millilitres?->times($factor));
    }

    /** Grams of water that left on the way from this mixture to the yield; negative when more came out than went in. */
    public function waterLostFrom(Mixture $mixed): float
    {
        return $this->grams !== null
            ? $mixed->grams() - $this->grams->value
            : Volume::waterToLose($mixed, (float) $this->millilitres?->value);
    }
}
