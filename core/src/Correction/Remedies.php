<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Texture;
use Vinculum\Ingredient\Work;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/**
 * Ways to mend what is no taste: too thin, too thick, pasty, greasy, lumpy, harsh, bitter (handbook, "Correcting a batch"
 * (i); the sentences are facts in remedies.ini). Each says what it moves on the axes.
 */
final readonly class Remedies
{
    /** A first reduction takes a fifth; more is tasted for. */
    private const REDUCE_BY = 0.2;
    /** Cornflour for 100 g of water, to pour less: half of what coats a spoon. */
    private const STARCH_PERCENT = 1.5;
    private const WATER_OF_STARCH = 1.5;
    /** Shares of the batch that loosen it. */
    private const LOOSEN = 0.08;
    private const LOOSEN_PASTE = 0.06;
    private const ACID_TO_CUT = 0.015;
    private const ACID_TO_WAKE = 0.006;
    private const FAT_TO_ROUND = 0.02;
    private const SALT_ON_BITTER = 0.0015;
    private const LEAST_OF_SALT = 0.0025;
    private const TO_THICKEN = 0.15;
    private const ACID_TO_OIL = 0.25;
    private const STEP_OF_SWEET = 0.012;
    private const PINCH_IN_AN_EMULSION = 0.004;
    /** A share of the batch from which oil is what carries it. */
    private const CARRIED_BY_OIL_FROM = 0.25;
    /** g of fat in 100 g from which a sauce is an emulsion or takes fat at all. */
    private const EMULSION_FROM = 25.0;
    private const FAT_FROM = 5.0;
    /** g of sucrose equivalent in 100 g. */
    private const SWEET_FROM = 2.0;
    /** g of acetic acid equivalent in 100 g. */
    private const SOUR_FROM = 0.15;
    private const ONE_STEP = 1.0;
    /** More of the oil that carries a sauce, as a share of it. */
    private const OIL_ON_SOUR = 0.15;
    private const CARRIED_BY_FAT_FROM = 20.0;
    /** Shares of what goes in, from which a thing is seen, and from which it is mostly plants that let go of their juice. */
    private const SEEN_FROM = 0.05;
    private const OF_PLANTS_FROM = 0.6;
    /** g in 100 g from which sweet and sour are meant, and answer each other where it is not thin. */
    private const MEANT_SWEET_FROM = 8.0;
    private const MEANT_SOUR_FROM = 0.3;
    /** A share of the batch that makes a bite two steps milder. */
    private const TO_MILDEN = 0.3;
    private const SWEET_ON_THE_NOSE = 0.04;
    private const OF_FRUIT_FROM = 0.3;
    /** g of fat in 100 g of what is called cream, and the share of the batch from which a sauce is creamy. */
    private const CREAM_FAT = 12.0;
    private const CREAMY_FROM = 0.12;
    private const OF_MILK_FROM = 0.3;
    private const OF_BROTH_FROM = 0.4;
    /** Steps that what masks may leave it further off: the sourness that hides sweetness was not wanted by itself. */
    private const MASKS_WITHIN = 1.0;
    /** Of an acid that a recipe has, the least share of the batch that is tasted against its sweetness. */
    private const LEAST_OF_ACID = 0.006;
    private const NOTICED = 0.5;

    private Balance $balance;
    private Catalogue $catalogue;
    private Spoons $spoons;
    private Taste $before;

    /** @param Target $target that an answer is measured against */
    public function __construct(private Sauce $sauce, private Complaint $complaint, private Target $target)
    {
        [$this->balance, $this->catalogue] = [$sauce->balance(), $sauce->catalogue()];
        $this->spoons = $sauce->spoons();
        $this->before = $this->balance->taste;
    }

    /** @return list<Correction> the plainest first */
    public function ofTexture(): array
    {
        if ($this->balance->mixture->grams() <= 0.0 || $this->balance->isDry()) {
            return [];
        }

        return array_values(array_filter(match ($this->complaint->key) {
            'too-thin' => $this->thicker(),
            'too-thick' => [$this->loosened(self::LOOSEN, 0.0, $this->sauce->isCooked() ? 'whisk' : 'stir')],
            'pasty' => [$this->loosened(self::LOOSEN_PASTE, self::ACID_TO_WAKE)],
            'greasy' => $this->leaner(),
            'lumpy' => [
                $this->lumpsOut(),
                $this->doing('rest', 'too much heat makes them'),
            ],
            'harsh' => $this->rounder(),
            'dull' => $this->brighter(),
            'bitter' => $this->lessBitter(),
            default => [],
        }));
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
        if ($this->sauce->isCooked() && $this->shareOf(['broth']) >= self::OF_BROTH_FROM && !$this->hasItsOwnAcid()) {
            // a gravy wants salt: acid has no place in it
            return $this->pinchOfSalt();
        }
        $isOfMilk = $this->shareOf(['dairy']) >= self::OF_MILK_FROM;
        if (
            $axis === Axis::Sour && $taste->sweet < self::MEANT_SWEET_FROM
            && ($this->isHeldByEgg() || $this->isCreamy() || $isOfMilk)
        ) {
            // more oil would double it, and nobody waters cream: a pinch of sugar is what a cook reaches for
            return array_values(array_filter([$this->withAmounts(
                [[$this->usual('sweetener'), self::PINCH_IN_AN_EMULSION * 100.0 * $grams]],
                'sweetness hides the acid: it is masking, the acid stays',
                null,
            )]));
        }
        if ($axis === Axis::Heat && $taste->heat < Axis::Heat->slight()) {
            return array_values(array_filter([$this->milder()]));
        }
        $oil = $this->carryingOil();
        if ($axis === Axis::Sour && $oil !== null) {
            return array_values(array_filter([$this->withAmounts(
                [[$oil, self::OIL_ON_SOUR * 100.0 * $grams]],
                'more of the oil that carries it thins the acid',
                null,
            )]));
        }
        $isSharpAndSweet = $taste->sweet >= self::SWEET_FROM && $taste->sour >= self::SOUR_FROM;
        $isMeant = $this->isOfFruit() || $this->isSweetAndSour();
        $isAnswered = match ($axis) {
            // what stands is not watered: tomatoes, fruit and pickles get sugar
            Axis::Sour => $this->isPulpy()
                || $taste->sweet >= self::MEANT_SWEET_FROM && $this->isHeldByEgg()
                || $this->isOfFruit() && $this->balance->body->class !== 'thin'
                || $isSharpAndSweet && $isMeant,
            // what has acid of its own gets more of that
            Axis::Sweet => $isSharpAndSweet && $isMeant || $taste->sweet >= self::SWEET_FROM && $this->hasItsOwnAcid(),
            default => false,
        };
        if (!$isAnswered) {
            return [];
        }
        $sharpness = Taste::ofMixture($this->catalogue->get($this->usual('acid'))->composition->mixture)->sour;
        $answer = match ($axis) {
            Axis::Sour => $this->withAmounts(
                [[$this->usual('sweetener'), self::ONE_STEP * Axis::Sweet->stepWidth() * $taste->sweet * $grams]],
                'sweetness hides the acid: it is masking, the acid stays',
                null,
            ),
            default => $this->withAmounts(
                [[
                    $this->usual('acid'),
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
            $mild !== null => $this->withAmounts(
                [[$mild, self::TO_MILDEN * $grams]],
                'thins what bites the nose, which also fades as it stands',
                null,
            ),
            // a mustard holds nothing mild
            default => $this->withAmounts(
                [[$this->usual('sweetener'), self::SWEET_ON_THE_NOSE * $grams]],
                'sweetness covers what bites the nose, which also fades as it stands',
                null,
            ),
        };
    }

    /** Whether cream, or what is as fat of milk, is a good part of it. */
    private function isCreamy(): bool
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $isCream = in_array('dairy', $line->ingredient->kinds ?? [], true)
                && ($line->ingredient?->composition->mixture->percent(Component::Fat) ?? 0.0) >= self::CREAM_FAT;
            $grams += $isCream ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams >= self::CREAMY_FROM * $this->balance->mixture->grams();
    }

    /** Whether it stands by its own pulp, which no starch or solids tell: tomato, fruit. */
    private function isPulpy(): bool
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $isPulp = in_array('tomatoes', Work::of($line->ingredient?->kind() ?? ''), true)
                || in_array('fruit', $line->ingredient->kinds ?? [], true) && !in_array('juice', $line->ingredient->kinds ?? [], true);
            $grams += $isPulp ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams >= self::OF_FRUIT_FROM * $this->balance->mixture->grams();
    }

    /** Whether egg, or mayonnaise, holds the fat that is in it. */
    private function isHeldByEgg(): bool
    {
        return Balance::isEmulsified($this->balance->formula) && array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array('egg', $line->ingredient->suitability->allergens ?? [], true)
                || in_array('emulsion', $line->ingredient->kinds ?? [], true),
        ) !== [];
    }

    /** The oil that carries it, where oil does: in a vinaigrette, a sauce of herbs. */
    private function carryingOil(): ?string
    {
        return $this->balance->mixture->percent(Component::Fat) >= self::CARRIED_BY_FAT_FROM ? $this->oil() : null;
    }

    /** The oil that there is most of. */
    private function oil(): ?string
    {
        [$oil, $most] = [null, 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $isOil = in_array('oil', $line->ingredient->kinds ?? [], true);
            if ($isOil && ($line->grams->value ?? 0.0) > $most) {
                [$oil, $most] = [$line->ingredient?->key, $line->grams->value ?? 0.0];
            }
        }

        return $oil;
    }

    private function hasItsOwnAcid(): bool
    {
        return array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool
                => ($line->ingredient->roles[0] ?? '') === 'acid' && $line->countsInTheMixture(),
        ) !== [];
    }

    /** Whether it is sweet and sour on purpose, and stands: a thin dip or dressing is thinned first. */
    private function isSweetAndSour(): bool
    {
        return $this->balance->taste->sweet >= self::MEANT_SWEET_FROM
            && $this->balance->taste->sour >= self::MEANT_SOUR_FROM
            && $this->balance->body->class !== 'thin';
    }

    /** Whether fruit, tomato or other plants make up much of it: a dip or a dressing is thinned first. */
    private function isOfFruit(): bool
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $kinds = $line->ingredient->kinds ?? [];
            $isPlant = array_intersect(['plant', 'fruit'], $kinds) !== [] && !in_array('juice', $kinds, true);
            $grams += $isPlant ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams >= self::OF_FRUIT_FROM * $this->balance->mixture->grams();
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
        return [$this->correction(
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
        return array_values(array_filter([$this->withAmounts(
            [[
                $this->usual('salt'),
                max(Axis::Salt->stepWidth() * $salt / 100.0, self::LEAST_OF_SALT) * $this->balance->mixture->grams(),
            ]],
            'salt lifts what is there: acid has no place in it',
            null,
        )]));
    }

    /** @return list<Correction|null> */
    private function lessBitter(): array
    {
        $grams = $this->balance->mixture->grams();
        $sweetener = $this->usual('sweetener');
        $isBitter = in_array($sweetener, FactsFile::named('remedies')['bitter']->list('sweeteners'), true);
        $sweet = [[$isBitter ? 'white-sugar' : $sweetener, self::STEP_OF_SWEET * $grams]];

        return [
            $this->withAmounts(
                [[$this->usual('salt'), self::SALT_ON_BITTER * $grams], ...($this->isSweet() ? $sweet : [])],
                'salt dulls bitterness, sweetness covers it',
                new Remedy('whisk', $this->says('whisk')),
            ),
            $this->doing('second-batch', 'what is burnt stays burnt'),
        ];
    }

    /** @return list<Correction|null> */
    private function thicker(): array
    {
        $fat = $this->balance->mixture->percent(Component::Fat);
        $isCooked = $this->sauce->isCooked();
        $thick = $isCooked ? null : $this->thickBase();
        if ($fat >= self::EMULSION_FROM && self::isOfEgg($this->balance) && $this->oil() !== null) {
            return [$this->adding(['fat' => self::LOOSEN], 'the more oil is held, the thicker it stands', 'whisk')];
        }
        if ($thick !== null) {
            return [
                $this->withAmounts(
                    [[$thick, self::TO_THICKEN * $this->balance->mixture->grams()]],
                    'more of what is thick in it',
                    new Remedy('whisk', $this->says('more')),
                ),
                $this->shareOf(['dairy']) >= self::SEEN_FROM ? $this->doing('strain', 'its whey runs off') : null,
            ];
        }
        if ($fat >= self::EMULSION_FROM && $this->carryingOil() !== null) {
            // oil boils nothing down
            return [$this->doing('drain', 'its juice runs off')];
        }
        if ($isCooked && self::isOfEgg($this->balance)) {
            return [
                $this->correction(
                    [],
                    $this->balance->mixture,
                    'egg sets below the boil',
                    new Remedy('whisk', $this->says('egg')),
                ),
                $this->slurry(),
            ];
        }
        $kinds = array_merge([], ...array_map(
            static fn(ResolvedLine $line): array => $line->ingredient->kinds ?? [],
            $this->balance->formula->lines,
        ));
        if (!$isCooked && in_array('dairy', $kinds, true)) {
            return [$this->doing('strain', 'its whey runs off')];
        }
        if (!$isCooked && $this->shareOf(['fresh']) >= self::OF_PLANTS_FROM) {
            return [$this->doing('drain', 'its juice runs off')];
        }

        $isOfStarch = array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array('thickener', $line->ingredient->roles ?? [], true),
        ) !== [];

        // what starch thickens catches before it boils down
        return $isOfStarch ? [$this->slurry(), $this->reduced()] : [$this->reduced(), $this->slurry()];
    }

    /**
     * What is thick in it by itself, the most of it: mayonnaise, sour cream, yoghurt, a paste of nuts; where oil carries it,
     * nuts and hard cheese.
     */
    private function thickBase(): ?string
    {
        $thick = FactsFile::named('remedies')['too-thin']->list('bases');
        $isOfOil = $this->carryingOil() !== null;
        [$base, $most] = [null, 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $isThick = in_array($line->ingredient?->kind(), $thick, true)
                || $isOfOil && array_intersect(['nut', 'hard'], $line->ingredient->kinds ?? []) !== [];
            if ($isThick && ($line->grams->value ?? 0.0) > $most) {
                [$base, $most] = [$line->ingredient?->key, $line->grams->value ?? 0.0];
            }
        }

        return $base;
    }

    /** Whether egg is what thickens it: at the boil it would curdle. */
    private static function isOfEgg(Balance $balance): bool
    {
        return array_filter(
            $balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array('egg', $line->ingredient->kinds ?? [], true),
        ) !== [];
    }

    /**
     * Of what is no emulsion the fat that swims is lifted off first; held fat is only cut.
     *
     * @return list<Correction|null>
     */
    private function leaner(): array
    {
        $lifted = $this->doing('drain', 'what swims is lifted off');
        // a dressing is meant to hold one part of acid to three or four of oil
        $isHeldOtherwise = $this->carryingOil() === null || $this->isHeldByEgg();
        $lacks = $isHeldOtherwise
            ? 0.0
            : max(
                2.0 * self::ACID_TO_CUT,
                self::ACID_TO_OIL * $this->shareOf(['oil']) - $this->shareOf(['vinegar', 'juice']),
            );
        $cut = $this->adding(['acid' => max(self::ACID_TO_CUT, $lacks)], 'acid cuts the fat', 'whisk');

        if ($this->sauce->isCooked() && $this->shareOf(['hard']) >= self::SEEN_FROM) {
            // cheese that got too hot lets go of its fat: a splash of what is thin in it takes it up again
            return [
                $this->withAmounts(
                    [[$this->mainLiquid(), self::LOOSEN_PASTE * $this->balance->mixture->grams()]],
                    'water binds the fat that has split off',
                    new Remedy('whisk', $this->says('cheese')),
                ),
                $lifted,
            ];
        }
        $isHeld = $this->balance->mixture->percent(Component::Fat) >= self::EMULSION_FROM;

        return $isHeld ? [$cut, $lifted] : [$lifted, $cut];
    }

    /** @return list<Correction|null> */
    private function brighter(): array
    {
        return $this->holds(['herb'])
            ? [$this->correction(
                [],
                $this->balance->mixture,
                'green fades',
                new Remedy('whisk', $this->says('leaves')),
            )]
            : [
                $this->holds(['fruit', 'plant'])
                    ? $this->adding(['acid' => self::ACID_TO_WAKE], 'acid brightens red and purple', 'whisk')
                    : null,
                $this->doing('rest', 'what browned stays brown'),
            ];
    }

    /**
     * Whether something of such a kind is more than a twentieth of it.
     *
     * @param list<string> $kinds
     */
    private function holds(array $kinds): bool
    {
        return $this->shareOf($kinds) >= self::SEEN_FROM;
    }

    /** @param list<string> $kinds */
    private function shareOf(array $kinds): float
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $isSo = array_intersect($kinds, $line->ingredient->kinds ?? []) !== [];
            $grams += $isSo ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams / max(1e-9, $this->balance->formula->mixed()->grams());
    }

    /** @return list<Correction|null> */
    private function rounder(): array
    {
        $hasFat = $this->balance->mixture->percent(Component::Fat) >= self::FAT_FROM;
        // where oil carries it, a drop of oil rounds nothing
        $fat = $this->carryingOil() === null ? self::FAT_TO_ROUND : self::OIL_ON_SOUR;

        return [
            $this->isSweet()
                ? $this->adding(['sweetener' => self::STEP_OF_SWEET], 'sweetness rounds what is harsh', 'whisk')
                : null,
            $hasFat ? $this->adding(['fat' => $fat], 'fat rounds what is harsh', 'whisk') : null,
            $this->doing('rest', 'a night takes the edge off'),
        ];
    }

    private function reduced(): ?Correction
    {
        $mixture = $this->balance->mixture;
        $lost = min(self::REDUCE_BY * $mixture->grams(), 0.5 * $mixture->get(Component::Water));
        if ($lost <= 0.0) {
            return null;
        }

        return $this->correction(
            [],
            $mixture->with(Component::Water, $mixture->get(Component::Water) - $lost),
            'what leaves is water, so all that stays tastes stronger',
            new Remedy('reduce', $this->says('reduce'), $mixture->grams() - $lost),
        );
    }

    private function slurry(): ?Correction
    {
        $water = $this->balance->mixture->get(Component::Water);
        $worth = $this->catalogue->get('cornflour')->composition->mixture->get(Component::Thickening) / 100.0;
        $starch = self::STARCH_PERCENT / 100.0 * $water / $worth;
        $amounts = [['cornflour', $starch], ['water', self::WATER_OF_STARCH * $starch]];

        return $this->withAmounts(
            $amounts,
            'starch takes up water and hardly thins the taste',
            new Remedy('whisk', $this->says('slurry')),
        );
    }

    private function loosened(float $share, float $acid = 0.0, string $says = 'whisk'): ?Correction
    {
        $grams = $this->balance->mixture->grams();
        $liquid = $this->mainLiquid();
        $amounts = [[$liquid, $share * $grams]];
        if ($acid > 0.0) {
            $amounts[] = [$this->usual('acid'), $acid * $grams];
        }

        return $this->withAmounts(
            $amounts,
            'loosens it, and thins every taste a little',
            new Remedy('whisk', $this->says($says)),
        );
    }

    /**
     * @param array<'acid'|'sweetener'|'salt'|'fat', float> $shares of the batch
     * @param 'whisk' $kind
     */
    private function adding(array $shares, string $why, string $kind): ?Correction
    {
        $grams = $this->balance->mixture->grams();
        $amounts = [];
        foreach ($shares as $role => $share) {
            $amounts[] = [$this->usual($role), $share * $grams];
        }

        return $this->withAmounts($amounts, $why, new Remedy($kind, $this->says($kind)));
    }

    /** Sauces of flour are brought to the boil again, those of egg never. */
    private function lumpsOut(): Correction
    {
        return $this->correction(
            [],
            $this->balance->mixture,
            'lumps stay behind',
            new Remedy('strain', $this->says(self::isOfEgg($this->balance) ? 'egg' : 'strain')),
        );
    }

    /** @param 'strain'|'rest'|'drain'|'second-batch' $kind */
    private function doing(string $kind, string $why): Correction
    {
        return $this->correction([], $this->balance->mixture, $why, new Remedy($kind, $this->says($kind)));
    }

    /** @param list<array{string, float}> $amounts ingredient and grams */
    private function withAmounts(array $amounts, string $why, ?Remedy $remedy): ?Correction
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
    private function correction(array $additions, Mixture $mixture, string $why, ?Remedy $remedy): Correction
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

    /** What the recipe itself is loosened with: its own thin base, its oil where that is what carries it, else water. */
    private function mainLiquid(): string
    {
        $isHeld = array_intersect(['egg', 'mustard'], Balance::allergensIn($this->balance->formula)) !== [];
        $much = self::CARRIED_BY_OIL_FROM * $this->balance->mixture->grams();
        foreach ($isHeld ? [] : $this->balance->formula->lines as $line) {
            $isOil = $line->ingredient?->portions->texture === Texture::Liquid
                && in_array('oil', $line->ingredient->kinds, true);
            if ($isOil && ($line->grams->value ?? 0.0) >= $much) {
                return $line->ingredient->key;
            }
        }
        [$main, $most] = ['water', 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $ingredient = $line->ingredient;
            if (
                $ingredient !== null
                && $ingredient->portions->texture === Texture::Liquid
                && in_array('base', $ingredient->roles, true)
                && array_intersect(['broth', 'milk-like', 'juice', 'dairy'], $ingredient->kinds) !== []
                // what is thick itself loosens nothing
                && !in_array($ingredient->kind(), FactsFile::named('remedies')['too-thin']->list('bases'), true)
                && ($line->grams->value ?? 0.0) > $most
            ) {
                [$main, $most] = [$ingredient->key, $line->grams->value ?? 0.0];
            }
        }

        return $main;
    }

    private function says(string $kind): string
    {
        return FactsFile::named('remedies')[$this->complaint->key]->text($kind);
    }

    /** Whether it tastes of sweetness already: what does not is not sweetened to mend it. */
    private function isSweet(): bool
    {
        return $this->before->sweet >= self::SWEET_FROM;
    }

    /** @param 'acid'|'sweetener'|'salt'|'fat' $role */
    private function usual(string $role): string
    {
        $works = ['acid' => 'acids', 'sweetener' => 'sweeteners', 'salt' => 'salts', 'fat' => 'oils'][$role];
        [$found, $most] = [null, 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $ingredient = $line->ingredient;
            $isSo = $ingredient !== null && in_array($works, Work::of($ingredient->kind()), true)
                && !array_intersect(['fresh', 'preserved', 'dried'], $ingredient->kinds);
            if ($isSo && ($line->grams->value ?? 0.0) >= $most) {
                [$found, $most] = [$ingredient, $line->grams->value ?? 0.0];
            }
        }

        return $found instanceof Ingredient
            ? $found->key
            : ['acid' => 'lemon-juice', 'sweetener' => 'white-sugar', 'salt' => 'salt', 'fat' => 'neutral-oil'][$role];
    }
}
