<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;

/** Where a sauce stands, with everything that follows from it. */
final readonly class BalanceReport extends Report
{
    public const INLINE = ['recipe', 'makeup', 'batch', 'aim', 'safety'];

    /** @param list<string> $notes on how it was read and cooked, and on the balance */
    private function __construct(
        public RecipeReport $recipe,
        public MakeupReport $makeup,
        public BatchReport $batch,
        public AimReport $aim,
        public SafetyReport $safety,
        public array $notes,
    ) {}

    /** @param list<string> $notes besides those on how it was read and cooked; those on the balance follow */
    public static function of(Sauce $sauce, array $notes = []): self
    {
        $balance = $sauce->balance();

        return new self(
            RecipeReport::of($sauce),
            MakeupReport::of($sauce),
            BatchReport::of($sauce),
            AimReport::of($sauce),
            SafetyReport::of($balance),
            [...$sauce->notes(), ...$notes, ...$balance->notes],
        );
    }
}
