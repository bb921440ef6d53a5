<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Work;

/** A kind of work in a sauce, with the ingredients that can do it for one another (works.ini). */
final readonly class Role
{
    /**
     * @param list<string> $members
     * @param 'weight'|'fat'|'thickening'|'aroma' $by what the amount follows where the axes do not settle it
     * @param array<string, float> $strengths of a spoonful, by member
     */
    private function __construct(
        public string $key,
        public array $members,
        public string $by,
        private array $strengths,
    ) {}

    /** @return list<self> every work that an ingredient does */
    public static function of(Ingredient $ingredient): array
    {
        $works = FactsFile::named('works');

        return array_map(
            static fn(string $work): self => self::fromRow($works[$work]),
            Work::of($ingredient->kind()),
        );
    }

    /** Grams of another that smell and taste as strong as so many grams of one; null where this work does not say. */
    public function equallyStrong(Ingredient $one, float $grams, Ingredient $other): ?float
    {
        $from = $this->strengths[$one->kind()] ?? null;
        $to = $this->strengths[$other->kind()] ?? null;
        if ($from === null || $to === null || $to <= 0.0) {
            return null;
        }
        [$had, $has] = [$one->portions->density, $other->portions->density];
        $bulk = $had !== null && $has !== null ? $has / $had : 1.0;

        return $grams * $from / $to * $bulk;
    }

    private static function fromRow(Row $row): self
    {
        $by = $row->text('by');
        assert($by === 'weight' || $by === 'fat' || $by === 'thickening' || $by === 'aroma');

        return new self($row->key, $row->list('of'), $by, $row->has('strength') ? $row->amounts('strength') : []);
    }
}
