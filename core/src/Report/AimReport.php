<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Volume;
use Vinculum\Family\FamilyGuess;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;

/** Where a sauce stands against what is wanted of it, and what it looks like. */
final readonly class AimReport extends Report
{
    /**
     * @param array<value-of<Axis>, AxisReport> $axes by axis
     * @param float|null $distance from the style, in steps
     * @param string $verdict on the whole
     * @param array{grams: float, millilitres: float, axes: array<value-of<Axis>, AxisReport>}|null $mixed the same lines before cooking
     * @param list<array{style: string, likelihood: float}> $families that it looks like, the likeliest first
     * @param string|null $presumed the one to compare it with where it is of none as yet
     * @param list<string> $offered families that a cook is asked about
     * @param list<value-of<Axis>> $mayLetGo axes of its style of which it holds nothing: whether they are to count is to be asked
     */
    private function __construct(
        public array $axes,
        public ?float $distance,
        public string $verdict,
        public ?array $mixed,
        public array $families,
        public ?string $presumed,
        public array $offered,
        public array $mayLetGo,
    ) {}

    public static function of(Sauce $sauce): self
    {
        [$balance, $aim] = [$sauce->balance(), $sauce->aim];
        $families = FamilyGuess::for($balance, $sauce->title());

        return new self(
            axes: AxisReport::all($balance->axes, $aim),
            distance: $aim->fromFamily($balance->taste),
            verdict: $aim->onTheWhole($balance->taste),
            mixed: self::mixed($balance, $aim),
            families: array_map(
                static fn(FamilyGuess $one): array => ['style' => $one->style, 'likelihood' => $one->likelihood],
                $families,
            ),
            presumed: $sauce->family === null ? FamilyGuess::presumed($balance, $families) : null,
            offered: FamilyGuess::offered($families),
            mayLetGo: array_map(
                static fn(Axis $axis): string => $axis->value,
                $aim->family?->missingFrom($balance->taste) ?? [],
            ),
        );
    }

    /** @return array{grams: float, millilitres: float, axes: array<value-of<Axis>, AxisReport>}|null */
    private static function mixed(Balance $balance, Aim $aim): ?array
    {
        $mixed = $balance->asMixed();

        return $mixed === null
            ? null
            : [
                'grams' => $mixed->mixture->grams(),
                'millilitres' => Volume::millilitres($mixed->mixture),
                'axes' => AxisReport::all($mixed->axes, $aim),
            ];
    }
}
