<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Facts\Words;

/** How hard a pan cooks, and so how fast water leaves it. */
final readonly class Heat
{
    /** Until a pan is calibrated, its flux is known within 40 % either way. */
    public const UNCERTAIN = 0.4;
    private const USUAL = 'simmering';

    /**
     * @param float $uncertain half of the 90 % interval of the flux, as a share of it
     * @param int $cooks how many weighed cooks it was learned from
     */
    private function __construct(
        public string $key,
        public float $kilogramsPerSquareMetreHour,
        public float $uncertain = self::UNCERTAIN,
        public int $cooks = 0,
    ) {}

    /** The heat that a method names; without any it simmers. */
    public static function inWords(string $method): self
    {
        return self::namedIn($method) ?? self::usual();
    }

    /** The heat that words name, the longest words winning; null where they name none. */
    public static function namedIn(string $method): ?self
    {
        [$best, $length] = [null, 0];
        foreach (preg_match(self::anyWord(), $method) === 1 ? FactsFile::named('heats') : [] as $key => $row) {
            foreach ($row->list('words') as $word) {
                if (strlen($word) > $length && Words::areIn($method, [$word])) {
                    [$best, $length] = [$key, strlen($word)];
                }
            }
        }

        return $best === null ? null : self::named($best);
    }

    private static function anyWord(): string
    {
        /** @var string|null $pattern */
        static $pattern = null;

        return $pattern ??= '/' . Words::pattern(array_merge(...array_map(
            static fn(Row $row): array => $row->list('words'),
            array_values(FactsFile::named('heats')),
        ))) . '/iu';
    }

    public static function usual(): self
    {
        return self::named(self::USUAL);
    }

    /** @return list<string> the gentlest first */
    public static function keys(): array
    {
        return array_keys(FactsFile::named('heats'));
    }

    /** As hard as a pan boils. */
    public static function strongest(): self
    {
        $keys = self::keys();

        return self::named($keys[count($keys) - 1]);
    }

    public static function named(string $key): self
    {
        return new self($key, FactsFile::named('heats')[$key]->number('flux'));
    }

    /** The same heat as a hob was found to give it. */
    public function calibrated(float $kilogramsPerSquareMetreHour, float $uncertain, int $cooks): self
    {
        return new self($this->key, $kilogramsPerSquareMetreHour, $uncertain, $cooks);
    }

    /**
     * Minutes for so many grams of water to leave an open surface.
     *
     * @return array{value: float, low: float, high: float}
     */
    public function minutes(float $grams, float $squareMetres): array
    {
        $minutes = $grams / $this->gramsPerMinute($squareMetres);

        return [
            'value' => $minutes,
            'low' => max($grams / self::mostGramsPerMinute(), $minutes / (1.0 + $this->uncertain)),
            'high' => $minutes / (1.0 - $this->uncertain),
        ];
    }

    /** Grams of water that leave an open surface in so many minutes. */
    public function grams(float $minutes, float $squareMetres): float
    {
        return $minutes * $this->gramsPerMinute($squareMetres);
    }

    /** What the latent heat of water leaves any pan on the strongest ring to give off. */
    public static function mostGramsPerMinute(): float
    {
        $facts = Facts::of(CookingFacts::class)->evaporation;

        return 60.0 * $facts->burner / $facts->latentHeat;
    }

    private function gramsPerMinute(float $squareMetres): float
    {
        return min(1000.0 * $this->kilogramsPerSquareMetreHour * $squareMetres / 60.0, self::mostGramsPerMinute());
    }
}
