<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\MethodStep;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\StepWatch;

/**
 * A step of the method in a cook: its number from 0, when it was begun and done, in seconds since the epoch, the minute
 * from which it is worth a look, and what can be done meanwhile.
 */
final readonly class MoveStepReport extends Report
{
    public const INLINE = ['step'];

    /**
     * @param Exact<float|null> $started
     * @param Exact<float|null> $done
     */
    private function __construct(
        public StepReport $step,
        public int $number,
        public Exact $started,
        public Exact $done,
        public ?float $lookFrom,
        public ?string $meanwhile,
    ) {}

    /** @param list<MethodStep> $later those that come after it */
    public static function of(MethodStep $step, int $number, CookRecord $record, array $later): self
    {
        $times = $record->times->ofStep($number);

        return new self(
            StepReport::of($step),
            $number,
            new Exact($times['started']),
            new Exact($times['done']),
            StepWatch::lookFrom($step),
            StepWatch::meanwhile($step, $later),
        );
    }
}
