<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Chemistry\Body;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\Facts;
use Vinculum\Optimisation\Bisection;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/**
 * Boiling a sauce down: solids stay, water leaves (handbook, "Cooking"). The reliable end is a weight; the minutes
 * carry the doubt of a hob nobody has measured.
 */
final readonly class Reduction
{
    private const POINTS = 10;
    private const PLACES_TRIED = 60;

    /** @param list<string> $warnings */
    private function __construct(
        public Mixture $before,
        public Mixture $after,
        public float $waterToLose,
        public array $warnings,
    ) {}

    /** @throws CookFault */
    public static function toVolume(Mixture $sauce, float $millilitres): self
    {
        self::checked($sauce, $millilitres);
        if ($millilitres > Volume::millilitres($sauce)) {
            throw CookFault::aboveTheStart(
                KitchenNumber::millilitres($millilitres),
                KitchenNumber::millilitres(Volume::millilitres($sauce)),
            );
        }

        return self::losing($sauce, Volume::waterToLose($sauce, $millilitres));
    }

    /** @throws CookFault */
    public static function toWeight(Mixture $sauce, float $grams): self
    {
        self::checked($sauce, $grams);
        if ($grams > $sauce->grams()) {
            throw CookFault::aboveTheStart(KitchenNumber::grams($grams), KitchenNumber::grams($sauce->grams()));
        }

        return self::losing($sauce, $sauce->grams() - $grams);
    }

    /**
     * @param float $percent g of what is dissolved in 100 g of the water phase, as a refractometer reads
     *
     * @throws CookFault
     */
    public static function toSolids(Mixture $sauce, float $percent): self
    {
        self::checked($sauce, $percent);
        $now = Solids::dissolvedPercent($sauce);
        if ($percent < $now || $percent >= 100.0) {
            throw CookFault::aboveTheStart(sprintf('%.0f %% dissolved', $percent), sprintf('%.0f %% dissolved', $now));
        }
        $water = $sauce->get(Component::Water);

        // the dissolved part stays: water left = dissolved · (100 − p)/p
        return self::losing($sauce, $water - $water * $now / (100.0 - $now) * (100.0 - $percent) / $percent);
    }

    /**
     * Until it is as thick as one of Body's classes, by what is in it alone: rough, as that class is.
     *
     * @throws CookFault when boiling never makes it that thick
     */
    public static function toThickness(Mixture $sauce, string $class, bool $isEmulsified): self
    {
        self::checked($sauce, 1.0);
        $wanted = Body::rank($class) ?? throw CookFault::notANumber();
        [$low, $high] = [0.0, self::mostOfTheWater() * $sauce->get(Component::Water)];
        $isThick = static fn(float $lost): bool => Body::rank(
            Body::of(self::without($sauce, $lost), $isEmulsified)->class,
        ) >= $wanted;
        if ($isThick(0.0)) {
            return self::losing($sauce, 0.0);
        }
        if (!$isThick($high)) {
            throw CookFault::neverThatThick($class);
        }

        return self::losing($sauce, Bisection::edge($isThick, $low, $high));
    }

    /**
     * As near to a target as boiling alone brings it.
     *
     * @throws CookFault
     */
    public static function intoTheWindow(Mixture $sauce, Target $target): self
    {
        self::checked($sauce, 1.0);
        [$low, $high] = [0.0, self::mostOfTheWater() * $sauce->get(Component::Water)];
        $best = [0.0, $target->distance(Taste::ofMixture($sauce))];
        for ($round = 0; $round <= self::PLACES_TRIED; ++$round) {
            $lost = $low + ($high - $low) * $round / self::PLACES_TRIED;
            $distance = $target->distance(Taste::ofMixture(self::without($sauce, $lost)));
            if ($distance < $best[1] - 1e-3) {
                $best = [$lost, $distance];
            }
        }

        return self::losing($sauce, $best[0]);
    }

    /**
     * How the axes move on the way: from nothing lost to all of it.
     *
     * @return list<array{grams: float, millilitres: float, steps: array<value-of<Axis>, float>}>
     */
    public function curve(): array
    {
        $points = [];
        for ($point = 0; $point <= self::POINTS; ++$point) {
            $mixture = self::without($this->before, $this->waterToLose * $point / self::POINTS);
            $taste = Taste::ofMixture($mixture);
            $points[] = [
                'grams' => $mixture->grams(),
                'millilitres' => Volume::millilitres($mixture),
                'steps' => Axis::each($taste->stepsOn(...)),
            ];
        }

        return $points;
    }

    /** @throws CookFault */
    private static function losing(Mixture $sauce, float $grams): self
    {
        $water = $sauce->get(Component::Water);
        $most = self::mostOfTheWater() * $water;
        if ($grams > $most + 1e-9) {
            $nearest = self::without($sauce, $most);
            throw CookFault::moreWaterThanThereIs(
                $grams,
                $water,
                KitchenNumber::grams($nearest->grams()) . ' or ' . KitchenNumber::millilitres(
                    Volume::millilitres($nearest),
                ),
            );
        }
        $after = self::without($sauce, max(0.0, $grams));

        return new self($sauce, $after, max(0.0, $grams), self::warnings($after));
    }

    /** @return list<string> */
    private static function warnings(Mixture $after): array
    {
        $warnings = [];
        if (Solids::dissolvedPercent($after) >= Facts::of(CookingFacts::class)->reduction->scorchesFrom) {
            $warnings[] = sprintf(
                'At %.0f %% dissolved it catches on the bottom: low heat, stir all the time, and stop early.',
                Solids::dissolvedPercent($after),
            );
        }
        if (Body::of($after, false)->class === 'paste') {
            $warnings[] = 'So far down it turns pasty: thin it with water, or stop sooner.';
        }

        return $warnings;
    }

    private static function without(Mixture $sauce, float $water): Mixture
    {
        return $sauce->with(Component::Water, $sauce->get(Component::Water) - $water);
    }

    private static function checked(Mixture $sauce, float $wanted): void
    {
        if (!is_finite($wanted) || $wanted <= 0.0) {
            throw CookFault::notANumber();
        }
        if ($sauce->get(Component::Water) <= 0.0) {
            throw CookFault::nothingIn();
        }
    }

    /** The share of the water beyond which a sauce scorches first. */
    private static function mostOfTheWater(): float
    {
        return Facts::of(CookingFacts::class)->reduction->mostOfTheWater;
    }
}
