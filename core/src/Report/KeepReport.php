<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\KeepingClaim;
use Vinculum\Keeping\Keep;

/** How a sauce is kept: where, how long in days, why, and what to mind. */
final readonly class KeepReport extends Report
{
    /**
     * @param array{low: float, high: float} $days
     * @param list<string> $reasons
     * @param list<CautionReport> $cautions
     * @param list<string> $traditions what cooks say
     * @param list<string> $asks what to do
     * @param string|null $keepingClaim what its recipe says of it, in the cook's words
     */
    private function __construct(
        public string $storage,
        public array $days,
        public ?float $freezerMonths,
        public array $reasons,
        public array $cautions,
        public array $traditions,
        public array $asks,
        public ?string $keepingClaim,
    ) {}

    /** @param array<string> $texts of its method, and what stands beside it: what they say of keeping is shown beside ours */
    public static function of(Keep $keep, array $texts = []): self
    {
        return new self(
            $keep->storage,
            $keep->days,
            $keep->freezerMonths,
            $keep->reasons,
            CautionReport::all($keep->cautions),
            $keep->traditions,
            $keep->asks,
            KeepingClaim::in($texts),
        );
    }
}
