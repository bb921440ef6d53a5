<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/**
 * A colour by how much of the light of three bands it sends back, 0 to 1: the linear values of sRGB (IEC 61966-2-1).
 * Colours mix as pigments do, by the ratio of absorption to scattering (Kubelka and Munk 1931, one constant a band).
 */
final readonly class Colour
{
    /** No thing is quite black, nor quite white. */
    private const DARKEST = 0.003;
    private const LIGHTEST = 0.97;

    /** Of linear light. */
    private const RED_OVER_GREEN = 6.0;

    private function __construct(public float $red, public float $green, public float $blue) {}

    /** From the values of sRGB, 0 to 255. */
    public static function of(float $red, float $green, float $blue): self
    {
        return new self(self::linear($red), self::linear($green), self::linear($blue));
    }

    /**
     * What so much of each makes together; null where nothing tints.
     *
     * @param list<array{self, float}> $parts each with how much it tints
     */
    public static function mixed(array $parts): ?self
    {
        $whole = array_sum(array_column($parts, 1));
        if ($whole <= 0.0) {
            return null;
        }
        $bands = [];
        foreach (['red', 'green', 'blue'] as $band) {
            $ratio = 0.0;
            foreach ($parts as [$colour, $tints]) {
                $ratio += $tints / $whole * self::absorbed($colour->{$band});
            }
            $bands[] = 1.0 + $ratio - sqrt($ratio * ($ratio + 2.0));
        }

        return new self(...$bands);
    }

    /** As "#b3261a". */
    public function hex(): string
    {
        return sprintf('#%02x%02x%02x', ...array_map(self::coded(...), [$this->red, $this->green, $this->blue]));
    }

    /** Whether green is the most of it. */
    public function isGreen(): bool
    {
        return $this->green > $this->red && $this->green > $this->blue;
    }

    /** Whether it is red or purple, and no yellow or brown of pale things. */
    public function isRed(): bool
    {
        return $this->red > self::RED_OVER_GREEN * $this->green;
    }

    /** How light it looks, 0 to 1: relative luminance. */
    public function lightness(): float
    {
        return 0.2126 * $this->red + 0.7152 * $this->green + 0.0722 * $this->blue;
    }

    /** Kubelka and Munk's ratio of absorption to scattering: (1 − R)² / 2R. */
    private static function absorbed(float $reflectance): float
    {
        $kept = min(max($reflectance, self::DARKEST), self::LIGHTEST);

        return (1.0 - $kept) ** 2 / (2.0 * $kept);
    }

    private static function linear(float $coded): float
    {
        $share = $coded / 255.0;

        return $share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4;
    }

    private static function coded(float $linear): int
    {
        $share = $linear <= 0.0031308 ? 12.92 * $linear : 1.055 * $linear ** (1.0 / 2.4) - 0.055;

        return (int) round(255.0 * min(1.0, max(0.0, $share)));
    }
}
