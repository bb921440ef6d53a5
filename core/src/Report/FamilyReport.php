<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Family\Family;
use Vinculum\Family\FamilyIdentity;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TargetWindow;

/** A style family with its windows. */
final readonly class FamilyReport extends Report
{
    /**
     * @param array<value-of<Axis>, array{float, float}> $windows by axis, in its unit
     * @param list<string> $correctors
     * @param list<string> $namedBy ingredient keys that nearly every sauce of it holds and few others do
     * @param list<string> $aromas usual ones
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $windows,
        public int $references,
        public string $source,
        public string $base,
        public array $correctors,
        public string $body,
        public string $schools,
        public array $namedBy,
        public array $aromas,
        public TypicalReport $typical,
    ) {}

    public static function of(Family $style): self
    {
        $identity = FamilyIdentity::of($style->key);

        return new self(
            $style->key,
            $style->name,
            array_map(
                static fn(TargetWindow $window): array => [$window->low, $window->high],
                array_filter(Axis::each($style->target->window(...))),
            ),
            $style->references,
            $style->source,
            $style->base,
            $style->correctors,
            $style->usage->body,
            $style->usage->schools,
            $identity->ingredients,
            $identity->aromas,
            TypicalReport::of($style),
        );
    }
}
