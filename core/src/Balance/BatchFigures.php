<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Body;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;

/** What the whole comes to besides its taste, each figure with its doubt. */
final readonly class BatchFigures
{
    /**
     * @param Estimate $density g/ml; 0 of nothing
     * @param Estimate $dissolvedSolids per cent of the mass, as a refractometer reads them
     * @param Estimate $fat g in 100 g
     * @param Estimate $alcohol g in 100 g
     * @param Estimate $noseHeat in 100 g, of which only what is awake counts
     * @param Estimate $starch per cent of the water
     */
    private function __construct(
        public Estimate $grams,
        public Estimate $millilitres,
        public Estimate $density,
        public Estimate $dissolvedSolids,
        public Estimate $fat,
        public Estimate $alcohol,
        public Estimate $noseHeat,
        public Estimate $starch,
    ) {}

    /**
     * @param float $awake the share of the pungency that is awake
     * @param Estimate|null $solids as an instrument read them
     */
    public static function of(DoubtPropagation $doubt, float $awake, ?Estimate $solids): self
    {
        $read = $doubt->on(static function (Mixture $trial) use ($awake): array {
            $grams = $trial->grams();
            $millilitres = Volume::millilitres($trial);
            $per100 = $grams > 0.0 ? 100.0 / $grams : 0.0;

            return [
                'grams' => $grams,
                'millilitres' => $millilitres,
                'density' => $millilitres > 0.0 ? $grams / $millilitres : 0.0,
                'dissolvedSolids' => Solids::dissolvedPercent($trial),
                'fat' => $per100 * $trial->get(Component::Fat),
                'alcohol' => $per100 * $trial->get(Component::Ethanol),
                'noseHeat' => $per100 * $awake * $trial->get(Component::Pungency),
                'starch' => Body::starchPercentOfWater($trial),
            ];
        });

        return new self(...[...$read, ...array_filter(['dissolvedSolids' => $solids])]);
    }

    /** @return array<string, Estimate> by the name that each has in the contract */
    public function byName(): array
    {
        return [
            'grams' => $this->grams,
            'millilitres' => $this->millilitres,
            'density' => $this->density,
            'dissolved_solids' => $this->dissolvedSolids,
            'fat' => $this->fat,
            'alcohol' => $this->alcohol,
            'nose_heat' => $this->noseHeat,
            'starch' => $this->starch,
        ];
    }
}
