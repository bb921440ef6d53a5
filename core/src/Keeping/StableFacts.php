<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

/** Where so little water is free that little can grow: water activity, per cent (keeping.ini). */
final readonly class StableFacts
{
    public const FILE = 'keeping';
    public const SECTION = 'stable';
    /** What the rule itself says: Keep reads it. */
    public const BESIDES = ['stable', 'days', 'reason', 'tradition', 'date'];

    /**
     * @param list<string> $asBought kinds
     * @param list<string> $notAsBought kinds that soon go off once opened, whatever else they are
     */
    public function __construct(
        public float $waterActivityAtMost,
        public float $ethanolOfWaterFrom,
        public float $saltOfWaterFrom,
        public float $dryAtMost,
        public array $asBought,
        public array $notAsBought,
    ) {}
}
