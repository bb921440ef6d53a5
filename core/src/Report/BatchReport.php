<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Kitchen\Sauce;

/** What the whole comes to besides its five axes. */
final readonly class BatchReport extends Report
{
    /**
     * @param 'mixed'|'finished' $basis
     * @param array{class: string, from: string, starch_percent_of_water: float} $body
     * @param float $noseHeat in 100 g
     * @param array<string, BandReport> $bands of the other figures, by name
     * @param string|null $colour about, as "#b3261a"; null where nothing in it has one
     * @param list<StageReport> $stages
     * @param array{centimetres: float, assumed: bool}|null $pan that its cooking was reckoned in
     */
    private function __construct(
        public string $basis,
        public BatchFiguresReport $batch,
        public array $body,
        public RatiosReport $ratios,
        public float $noseHeat,
        public PungencyReport $pungency,
        public array $bands,
        public ?string $colour,
        public array $stages,
        public ?array $pan,
    ) {}

    public static function of(Sauce $sauce): self
    {
        $balance = $sauce->balance();
        $body = $balance->body;

        return new self(
            basis: $balance->isFinished ? 'finished' : 'mixed',
            batch: BatchFiguresReport::of($balance),
            body: [
                'class' => $body->class,
                'from' => $body->from,
                'starch_percent_of_water' => $body->starchPercentOfWater,
            ],
            ratios: RatiosReport::of($balance),
            noseHeat: $balance->figures->noseHeat->value,
            pungency: PungencyReport::of($balance),
            bands: array_map(BandReport::of(...), $balance->figures->byName()),
            colour: StandingReport::colour($sauce),
            stages: array_map(StageReport::of(...), $sauce->cook->stages ?? []),
            pan: PanReport::of($sauce->cook?->pan),
        );
    }
}
