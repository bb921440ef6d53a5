<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Volume;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Correction;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;

/** A batch after a correction: where it stands then, and how much it is. */
final readonly class MendedBatchReport extends Report
{
    /**
     * @param array<value-of<Axis>, AxisReport> $after by axis
     * @param float $distanceAfter in steps
     * @param string $verdict on the whole, afterwards
     * @param string|null $yield as it then reads, for what is added to a finished sauce makes it more
     */
    private function __construct(
        public array $after,
        public float $distanceAfter,
        public string $verdict,
        public float $addedGrams,
        public float $batchGrams,
        public float $batchMillilitres,
        public ?string $yield,
    ) {}

    public static function of(Correction $correction, Aim $aim, Balance $balance): self
    {
        $added = array_map(
            static fn(Addition $one): ResolvedLine => ResolvedLine::ofGrams(
                $one->ingredient,
                Amount::within($one->grams, $one->ingredient->portions->texture->deviation()),
            ),
            $correction->additions,
        );
        $axes = $correction->does?->kind === 'reduce'
            ? $balance->axesAs($correction->mixture)
            : $balance->axesAfter($added);

        return new self(
            after: AxisReport::all($axes, $aim),
            distanceAfter: $correction->distanceAfter,
            // what is done about thickness or edge was not asked of any axis
            verdict: $correction->does === null
                ? $aim->afterwards($correction->after)
                : Verdict::ofChange(
                    $balance->taste->stepsTo($correction->after),
                    $balance->taste->stepsApart($correction->after),
                ),
            addedGrams: $correction->addedGrams,
            batchGrams: $correction->mixture->grams(),
            batchMillilitres: Volume::millilitres($correction->mixture),
            yield: $balance->isFinished ? MeasuredYield::written($correction->mixture->grams()) : null,
        );
    }
}
