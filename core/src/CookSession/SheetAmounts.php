<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Scaling\ScaledLine;

/**
 * What a cook measures out, in the cook's own words where the amount is the cook's own; in spoons, cups and pieces where
 * there is no scale.
 */
final readonly class SheetAmounts
{
    private const TO_TASTE = 'to taste';
    /** Shares that have a name, within a hundredth. */
    private const NAMED = [
        'a quarter' => 0.25, 'a third' => 1.0 / 3.0, 'half' => 0.5, 'two thirds' => 2.0 / 3.0, 'three quarters' => 0.75,
    ];
    private const NEAR = 0.015;

    /** @param array<int, ScaledLine> $scaled where it is made at another size */
    public function __construct(private array $scaled, private Measures $measures, private bool $hasScale) {}

    public function item(int $number, ResolvedLine $line, float $share): SheetItem
    {
        $grams = $this->grams($number, $line);
        $whole = $this->measure($number, $line);
        $measure = $this->ofShare($whole, $share);
        // at another size the cook's own line is written anew
        $text = isset($this->scaled[$number]) ? $this->scaled[$number]->written($this->measures) : $line->written->text;

        return new SheetItem(
            $number,
            $line->ingredient?->key,
            $text,
            $measure,
            $grams === null ? null : $share * $grams,
            $share,
            $this->says($line, $text, $whole, $measure),
        );
    }

    /** The whole of a line: "3 tbsp", "1½ onions", "to taste". */
    public function measure(int $number, ResolvedLine $line): string
    {
        $grams = $this->grams($number, $line);
        $scaled = $this->scaled[$number] ?? null;
        $own = trim($line->written->amountText);
        $says = $scaled === null ? $own : (string) $scaled->measure;
        if ($grams === null || $grams <= 0.0) {
            return $own === '' ? self::TO_TASTE : $own;
        }
        $says = $says === '' ? KitchenNumber::grams($grams) : $says;
        if ($this->hasScale || !UnweighedAmount::isWeight($says)) {
            return $says;
        }

        return UnweighedAmount::words($line, $grams, $this->measures);
    }

    /** The cook's own words, unless only a part goes in, or there is no scale for what they weigh. */
    private function says(ResolvedLine $line, string $text, string $whole, string $measure): string
    {
        if ($whole === $measure && ($this->hasScale || !UnweighedAmount::isWeight($text))) {
            // tags are for the kitchen, not for the stove
            return (string) preg_replace('/(?:\s*\[[^\]]{1,40}\])+$/u', '', $text);
        }
        $preparation = $line->written->preparation === '' ? '' : ", {$line->written->preparation}";

        return trim("{$measure} {$line->written->name}") . $preparation;
    }

    private function grams(int $number, ResolvedLine $line): ?float
    {
        return isset($this->scaled[$number]) ? $this->scaled[$number]->grams : $line->grams?->value;
    }

    private function ofShare(string $measure, float $share): string
    {
        if ($share <= 0.0 || $share >= 1.0 - self::NEAR || $measure === self::TO_TASTE) {
            return $measure;
        }
        foreach (self::NAMED as $name => $of) {
            if (abs($share - $of) < self::NEAR) {
                return "{$name} of {$measure}";
            }
        }

        return sprintf('%d %% of %s', (int) round(100.0 * $share), $measure);
    }
}
