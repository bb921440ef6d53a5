<?php

declare(strict_types=1);

namespace Vinculum\Correction;

/** What is done about a sauce instead of, or beside, adding something. */
final readonly class Remedy
{
    /**
     * @param 'reduce'|'whisk'|'strain'|'rest'|'drain'|'second-batch' $kind
     * @param string $text in a sentence
     * @param float|null $panReadsGrams the sauce alone, at the end
     */
    public function __construct(
        public string $kind,
        public string $text,
        public ?float $panReadsGrams = null,
    ) {}
}
