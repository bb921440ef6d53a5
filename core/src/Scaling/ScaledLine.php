<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;

/** One line of a scaled recipe: what the arithmetic asked, and what the cook is told to measure. */
final readonly class ScaledLine
{
    /**
     * @param ResolvedLine $line of the recipe as it was
     * @param float|null $grams to measure; null where nothing is counted
     * @param string|null $text as it reads at the new size, where nothing in it was understood but a number
     * @param float|null $errorPercent how far that, or the nearest that can be measured, is off
     */
    public function __construct(
        public ResolvedLine $line,
        public ?float $grams,
        public ?float $exactGrams,
        public ?string $measure,
        public ?float $errorPercent,
        public ?string $note,
        private ?string $text = null,
    ) {}

    /** The line as it reads at the new size. */
    public function written(Measures $measures): string
    {
        return $this->text ?? ($this->line->status === LineStatus::Heading || $this->grams === null
            ? $this->line->written->text
            : AmountWriter::inGrams($this->line, $this->grams, $measures));
    }
}
