<?php

declare(strict_types=1);

namespace Vinculum\Style;

use Vinculum\Sensory\Target;

/** A kind of sauce: where its references stand on the axes, and what its cooks reach for. */
final readonly class StyleFamily
{
    /**
     * @param string       $base       ingredient key of what usually carries or thins it
     * @param list<string> $correctors ingredient keys
     * @param string       $body       its usual consistency
     * @param string       $schools    where cooks differ, in words
     * @param int          $references how many formulas the windows were derived from
     */
    public function __construct(
        public string $key,
        public string $name,
        public Target $target,
        public string $base,
        public array $correctors,
        public string $body,
        public string $schools,
        public int $references,
        public string $source,
    ) {}
}
