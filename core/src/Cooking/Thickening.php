<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\Body;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Optimisation\Bisection;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * A way to make a sauce thicker with starch or gum: how much, in how much cold water, when, and what it does to the
 * taste.
 */
final readonly class Thickening
{
    /** @param array<value-of<Axis>, float> $changeSteps by axis */
    private function __construct(
        public Ingredient $ingredient,
        public float $grams,
        public float $slurryWater,
        public string $how,
        public ?string $mind,
        public array $changeSteps,
    ) {}

    /** @return list<string> consistencies that can be asked for */
    public static function consistencies(): array
    {
        return array_values(array_filter(FactsFile::named('thickeners')['edges']->fields()));
    }

    /**
     * Every thickener that brings the sauce to a consistency, the least of it first; none where it is there already.
     *
     * @param bool $isEmulsified something in it holds oil and water together
     *
     * @return list<self>
     *
     * @throws CookFault when there is no water to thicken, or nobody knows the consistency
     */
    public static function to(
        Mixture $sauce,
        string $consistency,
        Catalogue $catalogue,
        bool $isEmulsified = false,
    ): array {
        $edges = FactsFile::named('thickeners')['edges'];
        if ($sauce->get(Component::Water) <= 0.0) {
            throw CookFault::nothingIn();
        }
        $wanted = $edges->has($consistency) ? $edges->number($consistency) : throw CookFault::notANumber();
        if (Body::starchPercentOfWater($sauce) >= $wanted) {
            return [];
        }
        $ways = [];
        foreach (FactsFile::named('thickeners') as $key => $row) {
            $ways[] = match (true) {
                $key === 'edges' => null,
                $row->has('by') => self::byBulk(
                    $sauce,
                    $consistency,
                    $catalogue->get($key),
                    $row,
                    $isEmulsified || $row->text('by') === 'emulsion',
                ),
                default => self::with($sauce, $wanted, $catalogue->get($key), $row),
            };
        }
        $ways = array_values(array_filter($ways));
        usort($ways, static fn(self $a, self $b): int => $a->grams <=> $b->grams);

        return $ways;
    }

    /**
     * What thickens by its own bulk or oil: the least that reaches the class, null where as much as the sauce itself
     * does not, or it is there already.
     */
    private static function byBulk(
        Mixture $sauce,
        string $class,
        Ingredient $thickener,
        Row $row,
        bool $isEmulsified,
    ): ?self {
        $wanted = Body::rank($class) ?? throw CookFault::notANumber();
        $isThick = static fn(float $grams): bool => Body::rank(
            Body::of($sauce->plus($thickener->grams($grams)), $isEmulsified)->class,
        ) >= $wanted;
        [$low, $high] = [0.0, $sauce->grams()];
        if ($isThick(0.0) || !$isThick($high)) {
            return null;
        }
        $high = Bisection::edge($isThick, $low, $high);

        return new self(
            $thickener,
            $high,
            0.0,
            $row->text('how'),
            self::mind($sauce, $row),
            Taste::ofMixture($sauce)->stepsTo(Taste::ofMixture($sauce->plus($thickener->grams($high)))),
        );
    }

    private static function with(Mixture $sauce, float $wanted, Ingredient $thickener, Row $row): self
    {
        $worth = $thickener->composition->mixture->get(Component::Thickening) / 100.0;
        $slurryWater = $row->textOr('dry', 'no') === 'yes'
            ? 0.0
            : Facts::of(CookingFacts::class)->thickening->slurryWater;
        $ownWater = $thickener->composition->mixture->get(Component::Water) / 100.0 + $slurryWater;
        [$water, $there] = [$sauce->get(Component::Water), $sauce->get(Component::Thickening)];
        // the slurry brings water that has to be thickened too: worth·g + there = wanted·(water + ownWater·g)/100
        $grams = ($wanted * $water / 100.0 - $there) / ($worth - $wanted * $ownWater / 100.0);
        $slurry = $slurryWater * $grams;
        $after = $sauce->plus($thickener->grams($grams))->plus(Mixture::of([Component::Water->value => $slurry]));

        return new self(
            $thickener,
            $grams,
            $slurry,
            $row->text('how'),
            self::mind($sauce, $row),
            Taste::ofMixture($sauce)->stepsTo(Taste::ofMixture($after)),
        );
    }

    /** What a sharp sauce does to it; null where the sauce is not sharp enough to matter. */
    private static function mind(Mixture $sauce, Row $row): ?string
    {
        $ph = Acidity::ph($sauce);

        return $ph !== null && $ph < Facts::of(CookingFacts::class)->thickening->sharpBelowPh
            ? $row->text('acid')
            : null;
    }
}
