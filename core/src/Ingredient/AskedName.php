<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/**
 * A name that is looked for, weighed once and scored against many aliases.
 *
 * The score of an alias is the share of the asked words' weight that it covers, less what it says beyond them. Words
 * that say little about what a thing is ("fresh", "chopped") weigh little; the last telling word, which names the
 * thing, counts extra.
 */
final readonly class AskedName
{
    private const DESCRIPTOR_WEIGHT = 0.06;
    /** What a descriptor, and a telling word, cost that only the alias says. */
    private const BEYOND_DESCRIPTOR = 0.15;
    private const BEYOND = 1.0;
    private const WITHOUT_HEAD = 0.12;
    private const IN = 'in';

    /**
     * @param non-empty-list<string> $words
     * @param array<string, float> $weights by word
     * @param string|null $head the last telling word; null when the name tells nothing by itself
     */
    private function __construct(
        private array $words,
        private array $weights,
        private float $total,
        private ?string $head,
    ) {}

    /** @param non-empty-list<string> $words as NameWords::of() gives them */
    public static function of(array $words): self
    {
        $weights = [];
        $total = 0.0;
        $head = null;
        $tellsSomething = false;
        foreach ($words as $word) {
            $isDescriptor = NameWords::isDescriptor($word);
            $weights[$word] = $isDescriptor ? self::DESCRIPTOR_WEIGHT : 1.0;
            $total += $weights[$word];
            if (!$isDescriptor) {
                $head = $word;
                $tellsSomething = $tellsSomething || !self::isGeneric($word);
            }
        }

        return new self($words, $weights, $total, $tellsSomething ? $head : null);
    }

    /**
     * From 0, nothing in common, to 1, the same words.
     *
     * @param list<string> $alias
     */
    public function score(array $alias): float
    {
        if ($this->words === $alias) {
            return 1.0;
        }
        if ($this->namesWhatLiesAround($alias)) {
            return 0.0;
        }
        $covered = 0.0;
        foreach ($this->words as $word) {
            if (in_array($word, $alias, true)) {
                $covered += $this->weights[$word];
            }
        }
        $coverage = $covered / $this->total;
        if ($this->head === null) {
            return 0.4 * $coverage;
        }
        $beyond = 0.0;
        foreach ($alias as $word) {
            if (!isset($this->weights[$word])) {
                $beyond += NameWords::isDescriptor($word) ? self::BEYOND_DESCRIPTOR : self::BEYOND;
            }
        }
        $size = count($alias);
        $score = 0.98 * $coverage * $size / ($size + 2.0 * $beyond);

        return $score - (in_array($this->head, $alias, true) ? 0.0 : self::WITHOUT_HEAD) + 0.004 * min(4, $size);
    }

    /**
     * "Pineapple syrup" is no "pineapple in syrup".
     *
     * @param list<string> $alias
     */
    private function namesWhatLiesAround(array $alias): bool
    {
        return $this->head === end($alias)
            && in_array(self::IN, $alias, true)
            && !in_array(self::IN, $this->words, true);
    }

    /**
     * The telling words of the name that an alias does not say.
     *
     * @param list<string> $alias
     *
     * @return list<string>
     */
    public function missedBy(array $alias): array
    {
        return array_values(
            array_filter(
                $this->words,
                static fn(string $word): bool => !in_array($word, $alias, true) && !NameWords::isDescriptor($word),
            ),
        );
    }

    /**
     * The telling words that only an alias says.
     *
     * @param list<string> $alias
     *
     * @return list<string>
     */
    public function beyond(array $alias): array
    {
        return array_values(
            array_filter(
                $alias,
                fn(string $word): bool => !isset($this->weights[$word]) && !NameWords::isDescriptor($word),
            ),
        );
    }

    /** A word that names no thing by itself: "sauce", "paste". */
    private static function isGeneric(string $word): bool
    {
        /** @var array<string, true>|null $generic */
        static $generic = null;
        $generic ??= array_fill_keys(FactsFile::named('words')['generic']->list('words'), true);

        return isset($generic[$word]);
    }
}
