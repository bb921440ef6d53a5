<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\Facts;

/** A pan as a cook names it: "24 cm", "24 × 12 cm", "5 l". */
final readonly class Pan
{
    /**
     * @param float|null $squareMetres open surface; null where only a volume is named
     * @param float|null $millilitres brimful; null where the height is not named
     * @param bool $isAssumed no recipe names it
     */
    private function __construct(
        public ?float $squareMetres,
        public ?float $millilitres,
        public bool $isAssumed = false,
    ) {}

    /** One that no recipe names. */
    public static function assumed(float $centimetres): self
    {
        return new self(M_PI / 4.0 * $centimetres ** 2 / 1e4, null, true);
    }

    /** Its width; null where only a volume is named. */
    public function centimetres(): ?float
    {
        return $this->squareMetres === null ? null : 100.0 * sqrt(4.0 * $this->squareMetres / M_PI);
    }

    /** Null where neither a width nor a volume is named. */
    public static function parse(string $text): ?self
    {
        $text = mb_strtolower(str_replace(',', '.', mb_substr($text, 0, 100)));
        $litres = preg_match('/(\d+(?:\.\d+)?)\s*(?:l|litres?|liters?)\b/u', $text, $found) === 1
            ? (float) $found[1]
            : null;
        if (preg_match(
            '/(?<![\d.])(\d{1,6}(?:\.\d{1,6})?)\s{0,3}(?:(cm|mm|in|inch|inches|")\s{0,3})?(?:[x×*]\s{0,3}(\d{1,6}(?:\.\d{1,6})?)\s{0,3})?(cm|mm|inches|inch|in|")/u',
            $text,
            $found,
        ) === 1) {
            $centimetres = match ($found[4]) {
                'mm' => 0.1,
                'cm' => 1.0,
                default => Facts::of(CookingFacts::class)->pan->inch,
            };
            $diameter = (float) $found[1] * $centimetres;
            $height = $found[3] === '' ? null : (float) $found[3] * $centimetres;
            $area = M_PI / 4.0 * $diameter ** 2;

            return $diameter < 5.0 || $diameter > 200.0
                ? null
                : new self(
                    $area / 1e4,
                    $litres !== null ? 1000.0 * $litres : ($height === null ? null : $area * $height),
                );
        }

        return $litres === null || $litres <= 0.0 ? null : new self(null, 1000.0 * $litres);
    }

    /** Millilitres of it that may be full: a boiling sauce needs room to rise. Null where only its width is named. */
    public function boilingMillilitres(): ?float
    {
        return $this->millilitres === null
            ? null
            : Facts::of(CookingFacts::class)->evaporation->fullWhenBoiling * $this->millilitres;
    }
}
