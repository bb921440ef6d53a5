<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Ingredient\Texture;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Scaling\ScaledLine;

/** One thing to measure out: which line of the formula, for which stage, how much. */
final readonly class MeasureTask
{
    /** A hundredth, and no less than a kitchen scale shows: finer than any tongue (common practice). */
    private const TOLERANCE = 0.01;
    private const LEAST_TOLERANCE = 1.0;

    public function __construct(
        public int $line,
        public int $stage,
        public string $name,
        public float $grams,
        public string $measure,
        public ?Texture $texture,
        public ?string $note = null,
        public bool $isToTaste = false,
        public bool $isWeighed = true,
    ) {}

    /** The same in spoons, cups and pieces. */
    public function withoutScale(ScaledLine $line, Measures $measures): self
    {
        return new self(
            $this->line,
            $this->stage,
            $this->name,
            $this->grams,
            UnweighedAmount::isWeight($this->measure) && $this->grams > 0.0
                ? UnweighedAmount::words($line->line, $this->grams, $measures)
                : $this->measure,
            $this->texture,
            $this->note,
            $this->isToTaste,
            false,
        );
    }

    /**
     * What stands beneath it: what so many spoons weigh, unless the measure is a weight already, and what to mind.
     *
     * @return list<string>
     */
    public function notes(?float $grams, string $measure, bool $isChanged): array
    {
        $isWeightTold = !$this->isWeighed || preg_match('/(?:^|\s)[\d.]+ k?g$/u', $measure) === 1;

        return array_values(array_filter([
            $this->isToTaste ? 'to taste' : '',
            $isWeightTold || $grams === null || $grams <= 0.0 ? '' : KitchenNumber::grams($grams),
            $isChanged ? 'changed to keep the balance' : '',
            $this->note ?? '',
        ]));
    }

    /** What to measure in one sentence; a measure that names the thing needs no name after it. */
    public function says(string $measure): string
    {
        return str_contains($measure, ' of ') ? $measure : trim("{$measure} " . mb_strtolower($this->name));
    }

    /** Within this many grams of what is asked it is on the line. */
    public static function tolerance(?float $grams): float
    {
        return max(self::LEAST_TOLERANCE, self::TOLERANCE * ($grams ?? 0.0));
    }
}
