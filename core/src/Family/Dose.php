<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** How much of a thing the cooks of a family use, from its reference formulas (core/data/doses.ini). */
final readonly class Dose
{
    /**
     * @param int $references how many of the references hold it
     * @param float $median g in 100 g of the finished sauce, among those that hold it
     * @param float $low where a quarter of them stay under
     * @param float $high where three quarters stay under
     * @param float $largest the largest share seen
     */
    public function __construct(
        public int $references,
        public float $median,
        public float $low,
        public float $high,
        public float $largest,
    ) {}

    /** @param non-empty-list<float> $shares g in 100 g, of the references that hold it */
    public static function among(array $shares): self
    {
        return new self(
            count($shares),
            Quantile::median($shares),
            Quantile::of($shares, 0.25),
            Quantile::of($shares, 0.75),
            max($shares),
        );
    }

    /**
     * The doses of a family by ingredient key.
     *
     * @return array<string, self>
     *
     * @throws FactsFault when there is no such family
     */
    public static function ofIngredients(string $style): array
    {
        return self::read(FactsFile::named('doses')[$style] ?? throw FactsFault::unknownKey('style', $style));
    }

    /**
     * The doses of a family by the work that things do.
     *
     * @return array<string, self>
     *
     * @throws FactsFault when there is no such family
     */
    public static function ofWorks(string $style): array
    {
        return self::read(FactsFile::named('doses')["{$style} works"] ?? throw FactsFault::unknownKey('style', $style));
    }

    /** As a line of the facts file. */
    public function asFact(): string
    {
        $figures = array_map(
            static fn(float $share): string => sprintf('%.3g', $share),
            [$this->median, $this->low, $this->high, $this->largest],
        );

        return "{$this->references}, " . implode(', ', $figures);
    }

    /** @return array<string, self> */
    private static function read(Row $row): array
    {
        $doses = [];
        foreach ($row->fields() as $thing) {
            [$references, $median, $low, $high, $largest] = $row->numbers($thing);
            $doses[$thing] = new self((int) $references, $median, $low, $high, $largest);
        }

        return $doses;
    }
}
