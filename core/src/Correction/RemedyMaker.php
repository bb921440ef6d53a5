<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** Makes a correction of what is to be done about a word, with what it moves on the axes. */
final readonly class RemedyMaker
{
    private const NOTICED = 0.5;

    private Balance $balance;
    private Catalogue $catalogue;
    private Spoons $spoons;
    private Taste $before;

    /** @param Target $target that an answer is measured against */
    public function __construct(
        Sauce $sauce,
        private Complaint $complaint,
        private Target $target,
        private SauceTraits $is,
    ) {
        [$this->balance, $this->catalogue] = [$sauce->balance(), $sauce->catalogue()];
        $this->spoons = $sauce->spoons();
        $this->before = $this->balance->taste;
    }

    /**
     * @param array<'acid'|'sweetener'|'salt'|'fat', float> $shares of the batch
     * @param 'whisk' $kind
     * @param string|null $says which sentence of the word, where it is another than that of its kind
     */
    public function adding(array $shares, string $why, string $kind, ?string $says = null): ?Correction
    {
        $grams = $this->balance->mixture->grams();
        $amounts = [];
        foreach ($shares as $role => $share) {
            $amounts[] = [$this->is->usual($role), $share * $grams];
        }

        return $this->withAmounts($amounts, $why, new Remedy($kind, $this->says($says ?? $kind)));
    }

    /** @param 'strain'|'rest'|'drain'|'second-batch' $kind */
    public function doing(string $kind, string $why, ?string $says = null): Correction
    {
        return $this->correction([], $this->balance->mixture, $why, new Remedy($kind, $this->says($says ?? $kind)));
    }

    /** @param list<array{string, float}> $amounts ingredient and grams */
    public function withAmounts(array $amounts, string $why, ?Remedy $remedy): ?Correction
    {
        $mixture = $this->balance->mixture;
        $additions = [];
        foreach ($amounts as [$key, $grams]) {
            $ingredient = $this->catalogue->get($key);
            if (!$this->balance->formula->isFitFor($ingredient)) {
                return null;
            }
            $density = $ingredient->portions->spoonDensity();
            $grams = max($this->spoons->nearest($grams, $density), $this->spoons->notch($grams, $density));
            $half = $this->spoons->nearest($grams / 2.0, $density);
            $additions[] = new Addition(
                $ingredient,
                $grams,
                $ingredient->portions->measure($grams, $this->spoons),
                $half > 0.0 ? $half : $grams,
                $ingredient->portions->measure($half > 0.0 ? $half : $grams, $this->spoons)->words(),
            );
            $mixture = $mixture->plus($ingredient->grams($grams));
        }

        return $this->correction($additions, $mixture, $why, $remedy);
    }

    /** @param list<Addition> $additions */
    public function correction(array $additions, Mixture $mixture, string $why, ?Remedy $remedy): Correction
    {
        $after = Taste::ofMixture($mixture);
        $effects = [];
        foreach ($this->before->stepsTo($after) as $axis => $moved) {
            if (abs($moved) >= self::NOTICED) {
                $effects[] = sprintf('%s also %+.1f steps', Axis::from($axis)->value, $moved);
            }
        }
        $gained = array_merge([], ...array_map(
            static fn(Addition $one): array => $one->ingredient->suitability->allergens,
            $additions,
        ));

        return new Correction(
            $additions,
            $mixture,
            $after,
            $this->target->distance($after),
            array_sum(array_map(static fn(Addition $one): float => $one->grams, $additions)),
            $effects,
            array_values(array_diff($gained, $this->balance->allergens())),
            0.0,
            $why,
            $remedy,
        );
    }

    public function says(string $kind): string
    {
        return FactsFile::named('remedies')[$this->complaint->key]->text($kind);
    }
}
