<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Mixture\Mixture;
use Vinculum\Quantity\Measures;
use Vinculum\Reading\LineResolver;
use Vinculum\Reading\ResolvedLine;

/** The lines of a sauce as understood, with the yield the cook measured at the end, if any. */
final readonly class Formula
{
    /** Lines after this many are kept but not read. */
    public const MOST_LINES = 1000;

    /**
     * @param list<ResolvedLine> $lines
     */
    private function __construct(public array $lines, public ?Yielded $yield, public ?string $yieldText, public ?Catalogue $catalogue) {}

    /** @param list<string> $texts */
    public static function fromTexts(array $texts, Catalogue $catalogue, Measures $measures, ?string $yield = null): self
    {
        $resolver = new LineResolver($catalogue, $measures);
        $lines = [];
        foreach ($texts as $number => $text) {
            $lines[] = $number < self::MOST_LINES
                ? $resolver->resolve($text)
                : ResolvedLine::unread($text, sprintf('Only the first %d lines are read: make this sauce of two parts.', self::MOST_LINES));
        }

        return new self($lines, $yield === null ? null : Yielded::parse($yield, $measures), $yield, $catalogue);
    }

    /** @param list<ResolvedLine> $lines */
    public static function of(array $lines, ?Yielded $yield = null): self
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
}
