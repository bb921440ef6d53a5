<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Tokens that belong together. */
final readonly class Phrase
{
    /**
     * @param int $from its first token
     * @param int $to the token behind its last
     * @param list<WrittenAmount> $amounts the same amount in several forms
     * @param list<float> $shares of a ratio
     * @param list<Phrase> $inner what a bracket holds
     * @param string $says which joiner or tag it is
     */
    public function __construct(
        public PhraseKind $kind,
        public int $from,
        public int $to,
        public array $amounts = [],
        public array $shares = [],
        public array $inner = [],
        public string $says = '',
    ) {}

    public function is(PhraseKind ...$kinds): bool
    {
        return in_array($this->kind, $kinds, true);
    }
}
