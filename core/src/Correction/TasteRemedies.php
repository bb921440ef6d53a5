<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Sauce;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** What a cook does about a taste before thinning it, and where nothing that is added mends it. */
final readonly class TasteRemedies
{
    private const LEAST_OF_SALT = 0.0025;
    private const PINCH_IN_AN_EMULSION = 0.004;
    /** g of acetic acid equivalent in 100 g. */
    private const SOUR_FROM = 0.15;
    private const ONE_STEP = 1.0;
    /** A share of the batch that makes a bite two steps milder. */
    private const TO_MILDEN = 0.3;
    private const SWEET_ON_THE_NOSE = 0.04;
    private const OF_MILK_FROM = 0.3;
    private const OF_CHILLIES_FROM = 0.3;
    private const MILD = 'jarred-pepper';
    private const CARRIED_BY_BUTTER_FROM = 0.3;
    /** Shares: of the batch, from which a thing is meant to bite, and of that thing, what is added of it at first. */
    private const BITES_FROM = 0.01;
    private const SALT_ON_SWEET = 0.002;
    /** g in 100 g. */
    private const UNSALTED_UNDER = 0.15;
    private const MORE_BITE = 0.5;
    private const OF_BROTH_FROM = 0.4;
    /** Shares of the batch that a paste grows by. */
    private const LEAST_OF_PASTE = 0.1;
    private const MOST_OF_PASTE = 0.35;
    /** Steps that what masks may leave it further off: the sourness that hides sweetness was not wanted by itself. */
    private const MASKS_WITHIN = 1.0;
    /** Of an acid that a recipe has, the least share of the batch that is tasted against its sweetness. */
    private const LEAST_OF_ACID = 0.006;

    private Balance $balance;
    private Catalogue $catalogue;
    private SauceTraits $is;
    private RemedyMaker $remedy;

    /** @param Target $target that an answer is measured against */
    public function __construct(private Sauce $sauce, private Complaint $complaint, private Target $target)
    {
        [$this->balance, $this->catalogue] = [$sauce->balance(), $sauce->catalogue()];
        $this->is = new SauceTraits($sauce);
        $this->remedy = new RemedyMaker($sauce, $complaint, $target, $this->is);
    }

    /**
     * What comes before any thinning: in fruit, tomato and pickle sweetness and sourness answer each other, so too sharp
     * gets sugar and too sweet gets acid; it is masking, and says so (handbook, "Correcting a batch" c).
     *
     * @return list<Correction>
     */
    public function before(): array
    {
        $axis = $this->complaint->tooMuchOn();
        $taste = $this->balance->taste;
        $grams = $this->balance->mixture->grams() / 100.0;
        if ($this->complaint->brings(Axis::Heat)) {
            return array_values(array_filter([$this->moreOfItsBite()]));
        }
        $carried = $axis === Axis::Sour && $this->is->shareOf(['butter']) >= self::CARRIED_BY_BUTTER_FROM;
        if ($carried && $this->is->butter() !== null) {
            return array_values(array_filter([$this->remedy->withAmounts(
                [[$this->is->butter(), TextureRemedies::OIL_ON_SOUR * 100.0 * $grams]],
                'more of the butter that carries it thins the acid',
                null,
            )]));
        }
        if ($this->sauce->isCooked() && $this->is->shareOf(['broth']) >= self::OF_BROTH_FROM && !$this->is->hasItsOwnAcid()) {
            // a gravy wants salt: acid has no place in it
            return $this->pinchOfSalt();
        }
        $isOfMilk = $this->is->shareOf(['dairy']) >= self::OF_MILK_FROM;
        if (
            $axis === Axis::Sour && $taste->sweet < SauceTraits::MEANT_SWEET_FROM
            && ($this->is->isHeldByEgg() || $this->is->isCreamy() || $isOfMilk)
        ) {
            // more oil would double it, and nobody waters cream: a pinch of sugar is what a cook reaches for
            return array_values(array_filter([$this->remedy->withAmounts(
                [[$this->is->usual('sweetener'), self::PINCH_IN_AN_EMULSION * 100.0 * $grams]],
                'sweetness hides the acid: it is masking, the acid stays',
                null,
            )]));
        }
        if ($axis === Axis::Salt && $this->is->plainOfPaste() !== []) {
            return array_values(array_filter([$this->morePaste()]));
        }
        if ($axis === Axis::Heat && $this->is->shareOfChillies() >= self::OF_CHILLIES_FROM && !$this->is->isGreen()) {
            // water thins a sauce of chillies to nothing: mild peppers keep what it is
            return array_values(array_filter([$this->remedy->withAmounts(
                [[self::MILD, self::TO_MILDEN * 100.0 * $grams]],
                'mild peppers keep its colour and body, and share the heat out',
                null,
            )]));
        }
        if ($axis === Axis::Heat && $taste->heat < Axis::Heat->slight()) {
            return array_values(array_filter([$this->milder()]));
        }
        if (
            $axis === Axis::Sweet && $taste->salt < self::UNSALTED_UNDER
            && !$this->is->hasItsOwnAcid() && !$this->is->isOfFruit()
        ) {
            // caramel and chocolate have no acid to answer with: a pinch of salt is what is tasted first
            return array_values(array_filter([$this->remedy->withAmounts(
                [[$this->is->usual('salt'), self::SALT_ON_SWEET * 100.0 * $grams]],
                'a pinch of salt makes it taste less sweet',
                null,
            )]));
        }
        $oil = $this->is->carryingOil();
        if ($axis === Axis::Sour && $oil !== null) {
            return array_values(array_filter([$this->remedy->withAmounts(
                [[$oil, TextureRemedies::OIL_ON_SOUR * 100.0 * $grams]],
                'more of the oil that carries it thins the acid',
                null,
            )]));
        }

        return $this->masked($axis);
    }

    /**
     * Too sharp gets sugar, too sweet gets acid, where the two are meant to answer each other.
     *
     * @return list<Correction>
     */
    private function masked(?Axis $axis): array
    {
        $taste = $this->balance->taste;
        $grams = $this->balance->mixture->grams() / 100.0;
        $isSharpAndSweet = $taste->sweet >= SauceTraits::SWEET_FROM && $taste->sour >= self::SOUR_FROM;
        $isMeant = $this->is->isOfFruit() || $this->is->isSweetAndSour();
        $isAnswered = match ($axis) {
            // what stands is not watered: tomatoes, fruit and pickles get sugar
            Axis::Sour => $this->is->isPulpy()
                || $taste->sweet >= SauceTraits::MEANT_SWEET_FROM && $this->is->isHeldByEgg()
                || $this->is->isOfFruit() && $this->balance->body->class !== 'thin'
                || $isSharpAndSweet && ($isMeant || $this->is->isBriny() && $this->is->hasItsOwnSweetener()),
            // what has acid of its own gets more of that
            Axis::Sweet => $isSharpAndSweet && $isMeant
                || $taste->sweet >= SauceTraits::SWEET_FROM && $this->is->hasItsOwnAcid(),
            default => false,
        };
        if (!$isAnswered) {
            return [];
        }
        $sharpness = Taste::ofMixture($this->catalogue->get($this->is->usual('acid'))->composition->mixture)->sour;
        $answer = match ($axis) {
            Axis::Sour => $this->remedy->withAmounts(
                [[$this->is->usual('sweetener'), self::ONE_STEP * Axis::Sweet->stepWidth() * $taste->sweet * $grams]],
                'sweetness hides the acid: it is masking, the acid stays',
                null,
            ),
            default => $this->remedy->withAmounts(
                [[
                    $this->is->usual('acid'),
                    max(
                        self::ONE_STEP * Axis::Sour->stepWidth() * $taste->sour * $grams * 100.0 / max(1.0, $sharpness),
                        self::LEAST_OF_ACID * 100.0 * $grams,
                    ),
                ]],
                'acid hides the sweetness: it is masking, the sugar stays',
                null,
            ),
        };

        return $answer === null || $answer->distanceAfter > $this->target->distance($taste) + self::MASKS_WITHIN
            ? []
            : [$answer];
    }

    /** A paste of herbs in oil is made less salty by more of all that is plain in it: oil alone would drown it. */
    private function morePaste(): ?Correction
    {
        [$salt, $grams] = [$this->balance->taste->salt, $this->balance->mixture->grams()];
        $wanted = max(1e-9, $this->target->window(Axis::Salt)->high ?? $salt);
        $more = min(self::MOST_OF_PASTE, max(self::LEAST_OF_PASTE, $salt / $wanted - 1.0)) * $grams;

        return $this->remedy->withAmounts(
            array_map(
                static fn(string $key, float $share): array => [$key, $share * $more],
                array_keys($this->is->plainOfPaste()),
                array_values($this->is->plainOfPaste()),
            ),
            'more of all that is plain in it',
            null,
        );
    }

    /** What is sharp by pepper, wasabi or horseradish, and by no chilli, is made sharper by more of that. */
    private function moreOfItsBite(): ?Correction
    {
        [$bite, $most] = [null, 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $ingredient = $line->ingredient;
            $grams = $line->grams->value ?? 0.0;
            if ($ingredient === null || !in_array('heat', $ingredient->roles, true)) {
                continue;
            }
            if ($ingredient->composition->mixture->get(Component::CapsaicinoidHeat) > 0.0) {
                return null;
            }
            if ($grams > $most) {
                [$bite, $most] = [$ingredient->key, $grams];
            }
        }

        return $bite === null || $most < self::BITES_FROM * $this->balance->mixture->grams()
            ? null
            : $this->remedy->withAmounts(
                [[$bite, self::MORE_BITE * $most]],
                'more of what bites in it',
                null,
            );
    }

    /** Horseradish, mustard and garlic bite the nose, which no chilli does: they are thinned with what is mild in it. */
    private function milder(): ?Correction
    {
        $biting = $this->balance->figures->noseHeat->value;
        [$mild, $most] = [null, 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $ingredient = $line->ingredient;
            $isMild = $ingredient !== null && array_intersect(['base', 'fat'], $ingredient->roles) !== []
                && $ingredient->composition->mixture->get(Component::Pungency) <= 0.0;
            if ($isMild && ($line->grams->value ?? 0.0) > $most) {
                [$mild, $most] = [$ingredient->key, $line->grams->value ?? 0.0];
            }
        }

        $grams = $this->balance->mixture->grams();

        return match (true) {
            $biting <= 0.0 => null,
            $mild !== null => $this->remedy->withAmounts(
                [[$mild, self::TO_MILDEN * $grams]],
                'thins what bites the nose, which also fades as it stands',
                null,
            ),
            // a mustard holds nothing mild
            default => $this->remedy->withAmounts(
                [[$this->is->usual('sweetener'), self::SWEET_ON_THE_NOSE * $grams]],
                'sweetness covers what bites the nose, which also fades as it stands',
                null,
            ),
        };
    }

    /**
     * Where nothing that is added mends it: a second batch without what brings it, mixed half and half.
     *
     * @return list<Correction>
     */
    public function secondBatch(): array
    {
        $axis = $this->complaint->tooMuchOn();
        $main = $axis === null ? null : Alternatives::mainSource($this->balance->formula, $axis);
        if ($main === null) {
            return [];
        }
        $lines = $this->balance->formula->lines;
        $name = mb_strtolower($lines[$main]->ingredient->name ?? $lines[$main]->text());
        unset($lines[$main]);
        $plain = Formula::of(array_values($lines))->mixed();
        $grams = $this->balance->mixture->grams();
        if ($plain->grams() <= 0.0) {
            return [];
        }
        return [$this->remedy->correction(
            [],
            $this->balance->mixture->plus($plain->times($grams / $plain->grams())),
            "halves what {$name} brings",
            new Remedy('second-batch', "Make a second batch without the {$name}, and mix it half and half with this one."),
        )];
    }

    /**
     * What is flat and takes no acid, as a white sauce does not: a step of salt, and then the tongue again.
     *
     * @return list<Correction>
     */
    public function pinchOfSalt(): array
    {
        $salt = $this->balance->taste->salt;
        if ($this->complaint->key !== 'flat' || $salt <= 0.0) {
            return [];
        }
        return array_values(array_filter([$this->remedy->withAmounts(
            [[
                $this->is->usual('salt'),
                max(Axis::Salt->stepWidth() * $salt / 100.0, self::LEAST_OF_SALT) * $this->balance->mixture->grams(),
            ]],
            'salt lifts what is there: acid has no place in it',
            null,
        )]));
    }
}
