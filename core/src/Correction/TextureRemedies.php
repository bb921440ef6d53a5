<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Balance\SauceColour;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Target;

/**
 * Ways to mend what is no taste: too thin, too thick, pasty, greasy, lumpy, harsh, dull, bitter (handbook, "Correcting a
 * batch" (i); the sentences are facts in remedies.ini). Each says what it moves on the axes.
 */
final readonly class TextureRemedies
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
    private const TO_THICKEN = 0.15;
    private const ACID_TO_OIL = 1.0 / 3.0;
    /** What colours a cold sauce, of the batch: a spoon in a bowl. */
    private const MORE_COLOUR = 0.04;
    private const STEP_OF_SWEET = 0.012;
    /** g of fat in 100 g from which a sauce is an emulsion or takes fat at all. */
    private const EMULSION_FROM = 25.0;
    private const FAT_FROM = 5.0;
    /** More of the oil that carries a sauce, as a share of it. */
    public const OIL_ON_SOUR = 0.15;
    private const OF_PLANTS_FROM = 0.6;
    private const OF_BROTH_FROM = 0.4;
    /** The share of fresh plants from which salt draws a juice that runs. */
    private const RUNS_FROM = 0.2;

    private Balance $balance;
    private Catalogue $catalogue;
    private SauceTraits $is;
    private RemedyMaker $remedy;

    /** @param Target $target that an answer is measured against */
    public function __construct(private Sauce $sauce, private Complaint $complaint, Target $target)
    {
        [$this->balance, $this->catalogue] = [$sauce->balance(), $sauce->catalogue()];
        $this->is = new SauceTraits($sauce);
        $this->remedy = new RemedyMaker($sauce, $complaint, $target, $this->is);
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
            'pasty' => [$this->loosened(self::LOOSEN_PASTE, self::ACID_TO_WAKE, $this->sauce->isCooked() ? 'whisk' : 'stir')],
            'greasy' => $this->leaner(),
            'lumpy' => [
                $this->lumpsOut(),
                $this->remedy->doing('rest', 'too much heat makes them'),
            ],
            'harsh' => $this->rounder(),
            'dull' => $this->brighter(),
            'bitter' => $this->lessBitter(),
            default => [],
        }));
    }

    /** @return list<Correction|null> */
    private function lessBitter(): array
    {
        $grams = $this->balance->mixture->grams();
        $sweetener = $this->is->usual('sweetener');
        $isBitter = in_array($sweetener, FactsFile::named('remedies')['bitter']->list('sweeteners'), true);
        $sweet = [[$isBitter ? 'white-sugar' : $sweetener, self::STEP_OF_SWEET * $grams]];

        return [
            $this->remedy->withAmounts(
                [[$this->is->usual('salt'), self::SALT_ON_BITTER * $grams], ...($this->is->isSweet() ? $sweet : [])],
                'salt dulls bitterness, sweetness covers it',
                new Remedy('whisk', $this->remedy->says('whisk')),
            ),
            $this->remedy->doing('second-batch', 'what is burnt stays burnt'),
        ];
    }

    /** @return list<Correction|null> */
    private function thicker(): array
    {
        $fat = $this->balance->mixture->percent(Component::Fat);
        $isCooked = $this->sauce->isCooked();
        $thick = $isCooked ? null : $this->is->thickBase();
        $held = $this->is->oil() ?? $this->is->butter();
        if ($fat >= self::EMULSION_FROM && $this->is->isOfEgg() && $held !== null) {
            return [$this->remedy->withAmounts(
                [[$held, self::LOOSEN * $this->balance->mixture->grams()]],
                'the more fat is held, the thicker it stands',
                new Remedy('whisk', $this->remedy->says('whisk')),
            )];
        }
        if ($thick !== null) {
            return [
                $this->remedy->withAmounts(
                    [[$thick, self::TO_THICKEN * $this->balance->mixture->grams()]],
                    'more of what is thick in it',
                    new Remedy('whisk', $this->remedy->says('more')),
                ),
                $this->is->shareOf(['dairy']) >= SauceTraits::SEEN_FROM ? $this->remedy->doing('strain', 'its whey runs off') : null,
            ];
        }
        if ($fat >= self::EMULSION_FROM && $this->is->carryingOil() !== null) {
            return $this->thickerInOil($this->is->carryingOil());
        }
        if ($isCooked && $this->is->isOfEgg()) {
            return [
                $this->remedy->correction(
                    [],
                    $this->balance->mixture,
                    'egg sets below the boil',
                    new Remedy('whisk', $this->remedy->says('egg')),
                ),
            ];
        }
        if ($isCooked && $this->is->splits()) {
            return [$this->slurry('gently')];
        }
        $kinds = array_merge([], ...array_map(
            static fn(ResolvedLine $line): array => $line->ingredient->kinds ?? [],
            $this->balance->formula->lines,
        ));
        if (!$isCooked && in_array('dairy', $kinds, true)) {
            return [$this->remedy->doing('strain', 'its whey runs off')];
        }
        if (!$isCooked && $this->is->shareOf(['fresh']) >= self::OF_PLANTS_FROM) {
            $drained = $this->remedy->doing('drain', 'its juice runs off');

            // fruit with sugar may be boiled, a salsa not
            return $this->is->isSweet() && $this->is->holds(['fruit']) && !$this->is->isSalted() ? [$this->reduced(), $drained] : [$drained];
        }

        $isOfStarch = array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array('thickener', $line->ingredient->roles ?? [], true),
        ) !== [];

        // what starch thickens catches before it boils down
        return $isOfStarch ? [$this->slurry(), $this->reduced()] : [$this->reduced(), $this->slurry()];
    }

    /**
     * Oil boils nothing down: what stands in it is more of its herb, or less of the juice that ran out of it, and what is
     * whisked stands by being whisked.
     *
     * @return list<Correction|null>
     */
    private function thickerInOil(string $oil): array
    {
        $grams = $this->balance->mixture->grams();
        $herb = $this->is->herb();
        if ($herb !== null && $this->is->shareOf(['herb']) >= SauceTraits::SEEN_FROM) {
            return [$this->remedy->withAmounts(
                [[$herb, self::LOOSEN * $grams]],
                'more of what is thick in it',
                new Remedy('whisk', $this->remedy->says('more')),
            )];
        }
        if ($this->is->shareOfJuicy() >= self::RUNS_FROM) {
            return [$this->remedy->doing('drain', 'its juice runs off')];
        }
        $beaten = new Remedy('whisk', $this->remedy->says('whisk'));

        return Balance::isEmulsified($this->balance->formula)
            ? [$this->remedy->withAmounts([[$oil, self::LOOSEN * $grams]], 'the more fat is held, the thicker it stands', $beaten)]
            : [$this->remedy->correction(
                [],
                $this->balance->mixture,
                'oil and vinegar stand thicker while they hold together',
                new Remedy('whisk', $this->remedy->says('shake')),
            )];
    }

    /**
     * Of what is no emulsion the fat that swims is lifted off first; held fat is only cut.
     *
     * @return list<Correction|null>
     */
    private function leaner(): array
    {
        $lifted = $this->remedy->doing('drain', 'what swims is lifted off');
        // a dressing is meant to hold one part of acid to three or four of oil
        $isHeldOtherwise = $this->is->carryingOil() === null || $this->is->isHeldByEgg();
        $lacks = $isHeldOtherwise
            ? 0.0
            : max(
                2.0 * self::ACID_TO_CUT,
                self::ACID_TO_OIL * $this->is->shareOf(['oil']) - $this->is->shareOf(['vinegar', 'juice']),
            );
        $cut = $this->remedy->adding(['acid' => max(self::ACID_TO_CUT, $lacks)], 'acid cuts the fat', 'whisk');

        if ($this->sauce->isCooked() && $this->is->shareOf(['hard']) >= SauceTraits::SEEN_FROM) {
            // cheese that got too hot lets go of its fat: a splash of what is thin in it takes it up again
            return [
                $this->remedy->withAmounts(
                    [[$this->is->mainLiquid(), self::LOOSEN_PASTE * $this->balance->mixture->grams()]],
                    'water binds the fat that has split off',
                    new Remedy('whisk', $this->remedy->says('cheese')),
                ),
            ];
        }
        $isOfThePot = $this->sauce->isCooked() || $this->is->shareOf(['broth']) >= self::OF_BROTH_FROM;
        $isHeld = $this->balance->mixture->percent(Component::Fat) >= self::EMULSION_FROM || !$isOfThePot;

        // nothing sets on top of a butter sauce or a dip but what it is made of
        return $isHeld ? [$cut] : [$lifted, $cut];
    }

    /** @return list<Correction|null> */
    private function brighter(): array
    {
        if (!$this->sauce->isCooked() && !$this->is->holds(['fruit', 'plant', 'herb']) && !$this->is->isGreen()) {
            return [$this->moreColour() ?? $this->remedy->doing('rest', 'nothing in it has browned', 'top')];
        }
        if ($this->is->shareOf(['broth']) >= self::OF_BROTH_FROM && !$this->is->holds(['herb'])) {
            return [
                $this->remedy->withAmounts(
                    [['butter', self::FAT_TO_ROUND * $this->balance->mixture->grams()]],
                    'fat makes what is brown shine',
                    new Remedy('whisk', $this->remedy->says('shine')),
                ),
                $this->remedy->doing('rest', 'what browned stays brown'),
            ];
        }

        return $this->is->holds(['herb']) || $this->is->isGreen()
            ? [$this->remedy->correction(
                [],
                $this->balance->mixture,
                'green fades',
                new Remedy('whisk', $this->remedy->says('leaves')),
            )]
            : [
                $this->is->holds(['fruit', 'plant'])
                    ? $this->remedy->adding(
                        ['acid' => self::ACID_TO_WAKE],
                        'acid keeps colours bright',
                        'whisk',
                        $this->is->isRed() ? 'whisk' : 'pale',
                    )
                    : null,
                $this->sauce->isCooked() ? $this->remedy->doing('rest', 'what browned stays brown') : null,
            ];
    }

    /** Of what is cold and mixed: a spoon more of what colours it. */
    private function moreColour(): ?Correction
    {
        $colouring = SauceColour::mostOf($this->balance->formula);

        return $colouring === null ? null : $this->remedy->withAmounts(
            [[$colouring->key, self::MORE_COLOUR * $this->balance->mixture->grams()]],
            'it is what colours it',
            new Remedy('whisk', $this->remedy->says('colours')),
        );
    }

    /** @return list<Correction|null> */
    private function rounder(): array
    {
        $hasFat = $this->balance->mixture->percent(Component::Fat) >= self::FAT_FROM;
        // where oil carries it, a drop of oil rounds nothing
        $fat = $this->is->carryingOil() === null ? self::FAT_TO_ROUND : self::OIL_ON_SOUR;

        return [
            $this->is->isSweet()
                ? $this->remedy->adding(['sweetener' => self::STEP_OF_SWEET], 'sweetness rounds what is harsh', 'whisk')
                : null,
            $hasFat ? $this->remedy->adding(['fat' => $fat], 'fat rounds what is harsh', 'whisk') : null,
            $this->remedy->doing('rest', 'a night takes the edge off'),
        ];
    }

    private function reduced(): ?Correction
    {
        $mixture = $this->balance->mixture;
        $lost = min(self::REDUCE_BY * $mixture->grams(), 0.5 * $mixture->get(Component::Water));
        if ($lost <= 0.0) {
            return null;
        }

        return $this->remedy->correction(
            [],
            $mixture->with(Component::Water, $mixture->get(Component::Water) - $lost),
            'what leaves is water, so all that stays tastes stronger',
            new Remedy('reduce', $this->remedy->says('reduce'), $mixture->grams() - $lost),
        );
    }

    private function slurry(string $says = 'slurry'): ?Correction
    {
        $water = $this->balance->mixture->get(Component::Water);
        $worth = $this->catalogue->get('cornflour')->composition->mixture->get(Component::Thickening) / 100.0;
        $starch = self::STARCH_PERCENT / 100.0 * $water / $worth;
        $amounts = [['cornflour', $starch], ['water', self::WATER_OF_STARCH * $starch]];

        return $this->remedy->withAmounts(
            $amounts,
            'starch takes up water and hardly thins the taste',
            new Remedy('whisk', $this->remedy->says($says)),
        );
    }

    private function loosened(float $share, float $acid = 0.0, string $says = 'whisk'): ?Correction
    {
        $grams = $this->balance->mixture->grams();
        $liquid = $this->is->mainLiquid();
        $amounts = [[$liquid, $share * $grams]];
        if ($acid > 0.0) {
            $amounts[] = [$this->is->usual('acid'), $acid * $grams];
        }

        return $this->remedy->withAmounts(
            $amounts,
            'loosens it, and thins every taste a little',
            new Remedy('whisk', $this->remedy->says($says)),
        );
    }

    /** Sauces of flour are brought to the boil again, those of egg, cheese or soured milk never. */
    private function lumpsOut(): Correction
    {
        return $this->remedy->correction(
            [],
            $this->balance->mixture,
            'lumps stay behind',
            new Remedy('strain', $this->remedy->says(match (true) {
                $this->is->isOfEgg() => 'egg',
                $this->is->holds(['hard']) || $this->is->splits() => 'cheese',
                default => 'strain',
            })),
        );
    }
}
