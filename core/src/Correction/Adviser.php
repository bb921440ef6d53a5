<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Component;
use Vinculum\Facts\Facts;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/** Answers what to add to a sauce: to bring it to what it is held against, or to what a cook says of it. */
final readonly class Adviser
{
    private const GROUND_CHILLI = 'cayenne';
    /** Towards a family that was only guessed, one answer goes so far. */
    private const GUESSED_STEPS = 2.0;
    /** A share of the batch. */
    private const MOST_SEASONING = 0.25;

    public function __construct(private Sauce $sauce) {}

    public function answer(Wish $wish): Advice
    {
        $balance = $this->sauce->balance();
        [$taste, $complaint] = [$balance->taste, $wish->complaint];
        $aim = $this->sauce->aim->wanting($wish->target);
        $aim = $wish->shift === null || $aim->target() === null
            ? $aim
            : $aim->wanting($wish->shift->apply($aim->target()));
        $standard = $aim->target();
        $aim = $aim->asking($complaint?->target($taste, $this->sauce->likeliestFamily()?->target));
        $target = $aim->target();
        if ($target === null) {
            return Advice::without(
                $taste,
                ['Nothing to aim at: choose a family, or say what is wrong ("too salty").'],
            );
        }
        if ($complaint?->isOfTexture() === true) {
            return new Advice(
                $taste,
                $aim,
                $target->distance($taste),
                (new TextureRemedies($this->sauce, $complaint, $target))->ofTexture(),
                [$complaint->says],
            );
        }
        $remedies = $complaint === null ? null : new TasteRemedies($this->sauce, $complaint, $target);
        $limits = new CorrectionLimits(
            $wish->with === null ? $this->usual($complaint) : $this->named($wish->with),
            $wish->most,
            $wish->capacityMillilitres,
            $this->sauce->measures(),
            $this->sauce->kitchen->hasScale,
        );
        $advice = $this->towards($aim, $limits, $wish->isFamilyGuessed && $complaint === null);
        if ($complaint?->tooMuchOn() !== null && $wish->with === null) {
            $advice = $advice->answering(...array_filter($advice->corrections, $this->staysThatSauce(...)));
        }
        if ($remedies !== null && $wish->with === null) {
            $advice = $advice->answering(...$remedies->before(), ...$advice->corrections);
            if ($advice->corrections === []) {
                $advice = $advice->answering(
                    ...$remedies->secondBatch(),
                    ...$remedies->pinchOfSalt(),
                );
            }
            if ($advice->corrections === [] && $complaint->absent !== null) {
                $advice = $advice->saying($complaint->absent);
            }
        }

        $advice = $complaint === null || $wish->with !== null
            ? $advice
            : $this->habit([$complaint->key])->ordering($advice);

        return $complaint === null || $standard === null
            ? $advice->withMends(AxisMends::of($aim, $balance, $limits))
            : $advice->withBesides($this->besides($complaint, $aim->wanting($standard)->asking(null), $limits));
    }

    /** Sugar and vinegar enough to thin a chutney make a syrup of it. */
    private function staysThatSauce(Correction $correction): bool
    {
        $seasoning = array_filter(
            $correction->additions,
            static fn(Addition $one): bool => in_array($one->ingredient->roles[0] ?? '', ['acid', 'sweetener'], true)
                && !in_array('plant', $one->ingredient->kinds, true),
        );
        $grams = array_sum(array_map(static fn(Addition $one): float => $one->grams, $seasoning));

        return $grams <= self::MOST_SEASONING * $this->sauce->balance()->mixture->grams();
    }

    /**
     * What to add, of what a cook would reach for, to get as near as may be to a target that the tongue has set.
     *
     * @param list<string> $words keys of what it said
     */
    public function toReach(Target $target, ?float $capacityMillilitres, array $words = []): Advice
    {
        return $this->habit($words)->ordering($this->towards($this->sauce->aim->asking($target), new CorrectionLimits(
            UsualAdditions::to($this->sauce),
            capacityMillilitres: $capacityMillilitres,
            measures: $this->sauce->measures(),
            hasScale: $this->sauce->kitchen->hasScale,
        )));
    }

    /** @param list<string> $words */
    private function habit(array $words): Habit
    {
        return Habit::of($this->sauce->kitchen->answers($this->sauce->family), $words);
    }

    /** @param bool $isGuessed a family that nobody named moves a sauce by no more than a little at once */
    private function towards(Aim $aim, CorrectionLimits $limits, bool $isGuessed = false): Advice
    {
        [$balance, $target] = [$this->sauce->balance(), $aim->target()];
        assert($target !== null);
        $advice = CorrectionSearch::advise(
            $balance->mixture,
            $isGuessed ? $target->reaching($balance->taste, self::GUESSED_STEPS) : $target,
            $limits,
            $balance->allergens(),
        );
        $advice = $isGuessed ? $advice->toldAgainst($target) : $advice;

        return new Advice(
            $advice->before,
            $aim,
            $advice->distanceBefore,
            $advice->corrections,
            [...$advice->notes, ...Doubt::notes($balance, $target, $advice)],
            Alternatives::for($balance, $target, $advice),
            $limits->candidates,
        );
    }

    /** What the sauce is held against would want on the axes that nobody spoke of: another offer, for another moment. */
    private function besides(Complaint $complaint, Aim $aim, CorrectionLimits $limits): Advice
    {
        $target = $aim->target() ?? Target::of([]);
        foreach ($complaint->axes() as $axis) {
            $target = $target->without($axis);
        }
        $balance = $this->sauce->balance();

        return CorrectionSearch::advise($balance->mixture, $target, $limits, $balance->allergens())->heldAgainst($aim);
    }

    /**
     * What a cook would reach for; heat that is missing is brought by ground chilli where nothing in the recipe may.
     *
     * @return list<Candidate>
     */
    private function usual(?Complaint $complaint): array
    {
        $candidates = UsualAdditions::to($this->sauce, $complaint?->key === 'not-sour');
        if ($complaint !== null && $complaint->tooMuchOn() === null) {
            // what is lacking is not brought by more of what is thick in it
            $candidates = array_values(array_filter(
                $candidates,
                static fn(Candidate $one): bool => array_diff(['base', 'fat'], $one->ingredient->roles) !== [],
            ));
        }
        $balance = $this->sauce->balance();
        $cayenne = $this->sauce->catalogue()->get(self::GROUND_CHILLI);
        $isThere = array_filter(
            $candidates,
            static fn(Candidate $one): bool => 0.0
                < $one->ingredient->composition->mixture->get(Component::CapsaicinoidHeat),
        ) !== [];
        if ($complaint?->brings(Axis::Heat) !== true || $isThere || !$balance->formula->isFitFor($cayenne)) {
            return $candidates;
        }
        $basics = Facts::of(KitchenBasics::class);

        return [...$candidates, Candidate::of(
            $cayenne,
            $basics->of[self::GROUND_CHILLI] / 100.0 * $balance->mixture->grams(),
            Facts::of(CorrectionCosts::class)->basic,
        )];
    }

    /**
     * What the cook names, bounded by the room alone.
     *
     * @param list<string> $keys
     *
     * @return list<Candidate>
     */
    private function named(array $keys): array
    {
        $catalogue = $this->sauce->catalogue();

        return array_map(static fn(string $key): Candidate => Candidate::of($catalogue->get($key)), $keys);
    }
}
