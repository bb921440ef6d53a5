<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\Catalogue;

/**
 * Lines that were read against a catalogue: while one is typed, the others are read as they were. What is worked out of
 * a line (its doubts) stays with it.
 */
final class LineMemory
{
    private const MOST = 1_500;

    /** @var \WeakMap<Catalogue, self>|null */
    private static ?\WeakMap $known = null;

    /** @var array<string, non-empty-list<ResolvedLine>> */
    private array $lines = [];

    private function __construct() {}

    public static function of(Catalogue $catalogue): self
    {
        self::$known ??= new \WeakMap();

        return self::$known[$catalogue] ??= new self();
    }

    /**
     * @param string $said what it was read from and under which settings
     *
     * @return non-empty-list<ResolvedLine>|null null where it was not read yet
     */
    public function recall(string $said): ?array
    {
        return $this->lines[$said] ?? null;
    }

    /** @param non-empty-list<ResolvedLine> $lines that hang on nothing else */
    public function keep(string $said, array $lines): void
    {
        if (count($this->lines) >= self::MOST) {
            $this->lines = [];
        }
        $this->lines[$said] = $lines;
    }
}
