<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\Facts;
use Vinculum\Family\Dose;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Family\Makeup;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Texture;
use Vinculum\Ingredient\Work;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * What a cook would reach for when nobody names anything: what is in the recipe, the basics of any kitchen, and what the
 * family usually holds, each up to a dose that cooks use.
 */
final readonly class UsualAdditions
{
    /** A family that nobody chose lends its doses from this likelihood on. */
    private const LIKELY = 0.5;
    private const PODS = 2.0;
    private const WATER = 'water';
    /** g of fat in 100 g: of what counts as fat, and of a sauce that takes some. */
    private const FATTY = 30.0;
    /** The same, of a sauce that is carried by its fat. */
    private const FAT_CARRIES_FROM = 40.0;
    /** The share of such a sauce that may be added to it as water. */
    private const LOOSENS_FAT = 0.06;
    private const FAT_FROM = 20.0;
    /** The share of milk and what is made of it. */
    private const OF_MILK_FROM = 0.3;
    /** g of alcohol in 100 g that would have to be boiled off again. */
    private const STRONG_FROM = 5.0;

    /**
     * @param Dose[] $doses by ingredient key, of the family
     */
    private function __construct(
        private Balance $balance,
        private Makeup $makeup,
        private array $doses,
        private int $references,
        private KitchenBasics $basics,
        private Catalogue $catalogue,
    ) {}

    /**
     * @param bool $wantsAcid the cook says that acid is what it lacks, whatever it is made of
     *
     * @return list<Candidate> the nearest at hand first, as far as it is there
     */
    public static function to(Sauce $sauce, bool $wantsAcid = false): array
    {
        [$balance, $catalogue] = [$sauce->balance(), $sauce->catalogue()];
        $family = $sauce->family->key ?? self::likely($balance, $sauce->title());
        $usual = new self(
            $balance,
            Makeup::of($balance),
            $family === null ? [] : Dose::ofIngredients($family),
            $family === null ? 0 : FamilyBook::get($family)->references,
            Facts::of(KitchenBasics::class),
            $catalogue,
        );
        $candidates = [];
        foreach ($sauce->kitchen->usable($usual->keys()) as $key) {
            $candidate = $usual->candidate($catalogue->get($key));
            if (
                $candidate->most > 0.0
                && $balance->formula->isFitFor($candidate->ingredient)
                && !self::isOutOfPlace($candidate->ingredient, $sauce, $wantsAcid)
            ) {
                $candidates[] = $candidate;
            }
        }

        return $candidates;
    }

    /**
     * Nothing raw but chillies, no dry starch and no raw wine goes into what was cooked; meat and fish into nothing that
     * is finished; water into nothing dry; what is there for its smell is no thinner; and fat only where it carries the
     * sauce: it moves no axis, it only thins (handbook, "Correcting a batch" a, b).
     */
    private static function isOutOfPlace(Ingredient $ingredient, Sauce $sauce, bool $wantsAcid): bool
    {
        $balance = $sauce->balance();
        $isFlesh = array_intersect(['meat', 'fish', 'shellfish'], $ingredient->kinds) !== []
            && array_intersect(['broth', 'preserved', 'bottled'], $ingredient->kinds) === [];
        $fat = $balance->mixture->percent(Component::Fat);
        $isWet = in_array('water', $ingredient->roles, true)
            && $balance->isDry();
        $isRaw = array_diff(['plant', 'fresh'], $ingredient->kinds) === []
            && $ingredient->composition->mixture->get(Component::CapsaicinoidHeat) <= 0.0
            && $ingredient->portions->texture !== Texture::Liquid;
        $isFat = $ingredient->composition->mixture->percent(Component::Fat) >= self::FATTY;

        $isStarch = in_array('thickener', $ingredient->roles, true);

        $isWine = $ingredient->composition->mixture->percent(Component::Ethanol) >= self::STRONG_FROM;

        // it curdles, or tastes of a mistake: a milk sauce that has nothing sharp in it wants nothing sharp
        $isSharp = !$wantsAcid && ($ingredient->roles[0] ?? '') === 'acid' && self::isMilkWithoutAcid($balance);

        return $isFlesh || $isWet || $isSharp || self::isStrewn($ingredient, $balance)
            || ($isRaw || $isStarch || $isWine) && $sauce->isCooked()
            || $isFat && $fat < self::FAT_FROM;
    }

    private static function isMilkWithoutAcid(Balance $balance): bool
    {
        $milk = 0.0;
        foreach ($balance->formula->lines as $line) {
            if (in_array('acid', $line->ingredient->roles ?? [], true)) {
                return false;
            }
            $isMilk = in_array('dairy', $line->ingredient->kinds ?? [], true);
            $milk += $isMilk ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $milk >= self::OF_MILK_FROM * $balance->mixture->grams() && $milk > 0.0;
    }

    /** What is there for its smell alone, unless nothing else is more of it: leaves are no thinner, nor is a spice. */
    private static function isStrewn(Ingredient $ingredient, Balance $balance): bool
    {
        $isSo = array_intersect(['aromatic', 'herb'], $ingredient->roles) !== []
            && array_intersect(['spice', 'dried', 'herb'], $ingredient->kinds) !== []
            && array_intersect(['sweetener', 'acid', 'salt', 'umami'], $ingredient->roles) === []
            && $ingredient->composition->mixture->get(Component::CapsaicinoidHeat) <= 0.0;
        $most = max([0.0, ...array_map(
            static fn(ResolvedLine $line): float => $line->grams->value ?? 0.0,
            $balance->formula->lines,
        )]);
        foreach ($isSo ? $balance->formula->lines : [] as $line) {
            if ($line->ingredient?->kind() === $ingredient->kind() && ($line->grams->value ?? 0.0) >= 0.5 * $most) {
                return false;
            }
        }

        return $isSo;
    }

    private static function likely(Balance $balance, ?string $title): ?string
    {
        $guess = FamilyGuess::for($balance, $title)[0] ?? null;

        return $guess !== null && $guess->likelihood >= self::LIKELY ? $guess->style : null;
    }

    /** @return list<string> ingredient keys, those of the recipe first */
    private function keys(): array
    {
        $inIt = $this->inTheRecipe();
        $usual = [];
        foreach ($this->doses as $key => $dose) {
            if ($dose->references >= $this->basics->usual * $this->references && $this->catalogue->has($key)) {
                $usual[] = $key;
            }
        }
        $basics = array_values(array_filter(
            array_keys($this->basics->of),
            fn(string $key): bool => $this->isTheFamilys($key, $usual),
        ));
        $works = array_merge(...array_map(Work::of(...), [...array_keys($this->makeup->ingredients), '']));
        $isWanted = fn(string $key): bool => in_array($key, $inIt, true) || !$this->isReplaced($key, $works);
        // a long recipe leaves room for the salt and the water of any kitchen
        $plain = array_filter($inIt, fn(string $key): bool => $this->isPlain($this->catalogue->get($key)->kind()));
        $keys = array_unique(
            [...$plain, ...array_filter($basics, $isWanted), ...$inIt, ...array_filter($usual, $isWanted)],
        );

        return array_slice($keys, 0, (int) $this->basics->most);
    }

    /** @return list<string> what seasons the recipe or carries it: what is plain first, then the most of it */
    private function inTheRecipe(): array
    {
        $strong = Facts::of(StrongThings::class);
        $shares = [];
        foreach ($this->balance->formula->lines as $line) {
            $ingredient = $line->ingredient;
            if ($ingredient === null || !self::isNamed($line)) {
                continue;
            }
            $share = ($this->makeup->ingredients[$ingredient->kind()] ?? 0.0) / 100.0;
            $carriesFrom = in_array('aromatic', $ingredient->roles, true)
                ? $this->basics->smells
                : $this->basics->carries;
            if (Designer::seasons($ingredient) || ($share >= $carriesFrom && !$strong->have($ingredient))) {
                $shares[$ingredient->key] = $share + ($this->isPlain($ingredient->kind()) ? 1.0 : 0.0);
            }
        }
        arsort($shares);

        return array_keys($shares);
    }

    /** Whether a line says that a thing is in it: how much, or to taste. */
    private static function isNamed(ResolvedLine $line): bool
    {
        return $line->countsInTheMixture() || $line->status === LineStatus::ToTaste;
    }

    /**
     * A recipe that is soured, sweetened, oiled or salted by something of its own wants no other; but plain salt salts
     * whatever the family salts with it.
     *
     * @param list<string> $works that things in the recipe do
     */
    private function isReplaced(string $key, array $works): bool
    {
        foreach ([
            $this->basics->acids,
            $this->basics->fats,
            $this->basics->sweeteners,
            $this->basics->heats,
            isset($this->doses[$key]) && $key === 'salt' ? [] : $this->basics->salters,
        ] as $group) {
            if (array_intersect($group, Work::of($key)) !== [] && array_intersect($group, $works) !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * Of the basics, oil goes only where the family has it; of the acids, the one that the family uses most.
     *
     * @param list<string> $usual of the family
     */
    private function isTheFamilys(string $key, array $usual): bool
    {
        $works = Work::of($key);
        if (array_intersect($this->basics->fats, $works) !== []) {
            return in_array($key, $usual, true);
        }
        if (array_intersect($this->basics->acids, $works) !== []) {
            $ofFamily = array_values(array_filter(
                array_keys($this->doses),
                fn(string $one): bool => array_intersect($this->basics->acids, Work::of($one)) !== []
                    && isset($this->basics->of[$one]),
            ));

            return $key === ($ofFamily[0] ?? $this->basics->acid);
        }

        return true;
    }

    private function candidate(Ingredient $ingredient): Candidate
    {
        $costs = Facts::of(CorrectionCosts::class);
        $kind = $ingredient->kind();
        $isInIt = array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => $line->ingredient?->kind() === $kind && self::isNamed($line),
        ) !== [];
        // a basic that no reference of the family holds is strange to it
        $isBasic = isset($this->basics->of[$kind]) && ($this->doses === [] || isset($this->doses[$kind]));

        return Candidate::of(
            $ingredient,
            $this->mostOf($ingredient),
            ($isInIt ? 0.0 : ($isBasic ? $costs->basic : $costs->unusual))
                + ($ingredient->composition->heatIsOfPods ? $costs->doubtful : 0.0),
        );
    }

    /** Grams that may be added to the batch as it stands. */
    private function mostOf(Ingredient $ingredient): float
    {
        $limits = Facts::of(DoseLimits::class);
        $kind = $ingredient->kind();
        $there = $this->makeup->ingredients[$kind] ?? 0.0;
        $isStrong = Facts::of(StrongThings::class)->have($ingredient);
        $byFamily = isset($this->doses[$kind]) ? $limits->pastLargest * $this->doses[$kind]->largest : null;
        if ($this->onlyLoosens($kind)) {
            $byFamily = $this->basics->loosens;
        }
        $byRecipe = $there > 0.0 ? $limits->pastThere * $there : null;
        $most = match (true) {
            $byFamily !== null && $byRecipe !== null => $this->isPlain($kind) && !$isStrong
                ? max($byFamily, $byRecipe)
                : min($byFamily, $byRecipe),
            $byFamily !== null => $byFamily,
            isset($this->basics->of[$kind]) => max($this->basics->of[$kind], $byRecipe ?? 0.0),
            $byRecipe !== null => $byRecipe,
            default => 0.0,
        };
        // a spoon of water loosens what is held or carried by fat, a cup of it breaks it
        $isOfFat = $this->balance->mixture->percent(Component::Fat) >= self::FAT_CARRIES_FROM;
        if ($isOfFat && in_array('water', $ingredient->roles, true)) {
            return self::LOOSENS_FAT * $this->balance->mixture->grams();
        }
        $room = max($most - $there, $there > 0.0 && !$isStrong ? $limits->grows * $there : 0.0);

        $grams = $this->balance->mixture->grams();
        $heat = Taste::ofMixture($ingredient->composition->mixture)->heat;
        // twice of what nobody tastes yet is nothing: heat may always become slight
        $toSlight = $there > 0.0 && $heat > 0.0
            ? max(0.0, Axis::Heat->slight() - $this->balance->taste->heat) / $heat * $grams
            : 0.0;

        // of pods no cook slices in more than twice what is there: a pinch of powder does it
        $toSlight = $ingredient->portions->eachGrams() === null
            ? $toSlight
            : min($toSlight, self::PODS * $there / 100.0 * $grams);

        return max($room / 100.0 * $grams, $toSlight);
    }

    /** Water, where hardly any reference of the family is made with it: a splash loosens a chutney, a cup drowns it. */
    private function onlyLoosens(string $kind): bool
    {
        return $kind === self::WATER
            && $this->references > 0
            && ($this->doses[$kind]->references ?? 0) < $this->basics->usual * $this->references;
    }

    /** Whether it is of the kinds that every kitchen seasons with: acid, sugar, salt, water. */
    private function isPlain(string $kind): bool
    {
        return isset($this->basics->of[$kind])
            || array_intersect([...$this->basics->acids, ...$this->basics->sweeteners], Work::of($kind)) !== [];
    }
}
