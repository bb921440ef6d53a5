<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;

/** How hard a pan cooks, and so how fast water leaves it. */
final readonly class Heat
{
    /** Until a pan is calibrated, its flux is known within 40 % either way. */
    public const UNCERTAIN = 0.4;
    private const USUAL = 'simmering';

    private function __construct(public string $key, public float $kilogramsPerSquareMetreHour) {}

    /** The heat that a method names; without any it simmers. */
    public static function inWords(string $method): self
    {
        return self::namedIn($method) ?? self::named(self::USUAL);
    }

    /** The heat that words name, the longest words winning; null where they name none. */
    public static function namedIn(string $method): ?self
    {
        [$best, $length] = [null, 0];
        foreach (FactsFile::named('heats') as $key => $row) {
            foreach ($row->list('words') as $word) {
                if (strlen($word) > $length && preg_match('/\b' . preg_quote($word, '/') . '\b/iu', $method) === 1) {
                    [$best, $length] = [$key, strlen($word)];
                }
            }
        }

        return $best === null ? null : self::named($best);
    }

    /** @return list<string> the gentlest first */
    public static function keys(): array
    {
        return array_keys(FactsFile::named('heats'));
    }

    public static function named(string $key): self
    {
        return new self($key, FactsFile::named('heats')[$key]->number('flux'));
    }

    /**
     * Minutes for so many grams of water to leave an open surface.
     *
     * @return array{value: float, low: float, high: float}
     */
    public function minutes(float $grams, float $squareMetres): array
    {
        $minutes = 60.0 * $grams / 1000.0 / ($this->kilogramsPerSquareMetreHour * $squareMetres);

        return ['value' => $minutes, 'low' => $minutes / (1.0 + self::UNCERTAIN), 'high' => $minutes / (1.0 - self::UNCERTAIN)];
    }

    /** Grams of water that leave an open surface in so many minutes. */
    public function grams(float $minutes, float $squareMetres): float
    {
        return 1000.0 * $this->kilogramsPerSquareMetreHour * $squareMetres * $minutes / 60.0;
    }
}
