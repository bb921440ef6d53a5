<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Family\Family;
use Vinculum\Family\FamilyIdentity;

/** What a family is made with: its base, what names it, what mends it. */
final readonly class FamilyMakeReport extends Report
{
    /**
     * @param list<string> $correctors
     * @param list<string> $namedBy ingredient keys that nearly every sauce of it holds and few others do
     * @param list<string> $aromas usual ones
     */
    private function __construct(
        public string $base,
        public array $correctors,
        public array $namedBy,
        public array $aromas,
    ) {}

    public static function of(Family $family): self
    {
        $identity = FamilyIdentity::of($family->key);

        return new self(
            base: $family->base,
            correctors: $family->correctors,
            namedBy: $identity->ingredients,
            aromas: $identity->aromas,
        );
    }
}
