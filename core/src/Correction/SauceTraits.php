<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Balance\SauceColour;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Texture;
use Vinculum\Ingredient\Work;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** What a sauce is made like, which no axis tells: what holds it, what carries it, what it is soured and sweetened with. */
final readonly class SauceTraits
{
    /** A share of the batch from which oil is what carries it. */
    private const CARRIED_BY_OIL_FROM = 0.25;
    /** g of sucrose equivalent in 100 g. */
    public const SWEET_FROM = 2.0;
    private const CARRIED_BY_FAT_FROM = 20.0;
    /** Shares of what goes in, from which a thing is seen, and from which it is mostly plants that let go of their juice. */
    public const SEEN_FROM = 0.05;
    /** g in 100 g from which sweet and sour are meant, and answer each other where it is not thin. */
    public const MEANT_SWEET_FROM = 8.0;
    private const MEANT_SOUR_FROM = 0.3;
    private const SALTED_FROM = 0.3;
    /** g of salt in 100 g: of what counts as unsalted, and of a sauce that salt carries. */
    private const UNSALTED_UNDER = 0.3;
    private const BRINY_FROM = 3.0;
    /** The share of herbs and nuts from which a sauce in oil is a paste of them. */
    private const PASTE_FROM = 0.12;
    private const OF_FRUIT_FROM = 0.3;
    /** g of fat in 100 g of what is called cream, and the share of the batch from which a sauce is creamy. */
    private const CREAM_FAT = 12.0;
    private const CREAMY_FROM = 0.12;

    private Balance $balance;

    public function __construct(Sauce $sauce)
    {
        $this->balance = $sauce->balance();
    }

    /** Whether cream, or what is as fat of milk, is a good part of it. */
    public function isCreamy(): bool
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
    public function isPulpy(): bool
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
    public function isHeldByEgg(): bool
    {
        return Balance::isEmulsified($this->balance->formula) && array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array('egg', $line->ingredient->suitability->allergens ?? [], true),
        ) !== [];
    }

    /** The oil that carries it, where oil does: in a vinaigrette, a sauce of herbs. */
    public function carryingOil(): ?string
    {
        return $this->balance->mixture->percent(Component::Fat) >= self::CARRIED_BY_FAT_FROM ? $this->oil() : null;
    }

    /** The oil that there is most of. */
    public function oil(): ?string
    {
        return $this->mostOf('oil');
    }

    /** The key of the ingredient of all these kinds that there is most of. */
    private function mostOf(string ...$kinds): ?string
    {
        [$key, $most] = [null, 0.0];
        foreach ($this->balance->formula->lines as $line) {
            $isSo = array_diff($kinds, $line->ingredient->kinds ?? []) === [];
            if ($isSo && ($line->grams->value ?? 0.0) > $most) {
                [$key, $most] = [$line->ingredient?->key, $line->grams->value ?? 0.0];
            }
        }

        return $key;
    }

    /** The butter that there is most of. */
    public function butter(): ?string
    {
        return $this->mostOf('butter');
    }

    /** The fresh herb that there is most of. */
    public function herb(): ?string
    {
        return $this->mostOf('herb', 'fresh');
    }

    public function hasItsOwnAcid(): bool
    {
        return $this->hasOf('acid');
    }

    public function hasItsOwnSweetener(): bool
    {
        return $this->hasOf('sweetener');
    }

    private function hasOf(string $role): bool
    {
        return array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool
                => ($line->ingredient->roles[0] ?? '') === $role && $line->countsInTheMixture(),
        ) !== [];
    }

    /** Whether salt carries it, as soy sauce and fish sauce do a dip. */
    public function isBriny(): bool
    {
        return $this->balance->taste->salt >= self::BRINY_FROM;
    }

    /**
     * What there is of herbs, nuts and oil without salt in a paste that oil carries, by its share of them: more of it is
     * the same paste, less salty.
     *
     * @return array<string, float> by ingredient; empty where it is no such paste
     */
    public function plainOfPaste(): array
    {
        $grams = [];
        foreach ($this->balance->formula->lines as $line) {
            $ingredient = $line->ingredient;
            $isPlain = $ingredient !== null && array_intersect(['herb', 'nut', 'oil'], $ingredient->kinds) !== []
                && !in_array('dried', $ingredient->kinds, true)
                && $ingredient->composition->mixture->percent(Component::Salt) < self::UNSALTED_UNDER;
            if ($isPlain) {
                $grams[$ingredient->key] = ($grams[$ingredient->key] ?? 0.0) + ($line->grams->value ?? 0.0);
            }
        }
        $all = array_sum($grams);
        $isPaste = $this->carryingOil() !== null && $this->shareOf(['herb', 'nut']) >= self::PASTE_FROM;
        $shares = array_map(static fn(float $one): float => $one / max(1e-9, $all), $grams);

        return $isPaste && !$this->isHeldByEgg()
            ? array_filter($shares, static fn(float $share): bool => $share >= self::SEEN_FROM)
            : [];
    }

    /** Whether it is sweet and sour on purpose, and stands: a thin dip or dressing is thinned first. */
    public function isSweetAndSour(): bool
    {
        return $this->balance->taste->sweet >= self::MEANT_SWEET_FROM
            && $this->balance->taste->sour >= self::MEANT_SOUR_FROM
            && $this->balance->body->class !== 'thin';
    }

    /** Whether fruit, tomato or other plants make up much of it: a dip or a dressing is thinned first. */
    public function isOfFruit(): bool
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $kinds = $line->ingredient->kinds ?? [];
            $isPlant = array_intersect(['plant', 'fruit'], $kinds) !== [] && !in_array('juice', $kinds, true);
            $grams += $isPlant ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams >= self::OF_FRUIT_FROM * $this->balance->mixture->grams();
    }

    /** Whether egg is what thickens it: at the boil it would curdle. */
    public function isOfEgg(): bool
    {
        return array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array('egg', $line->ingredient->kinds ?? [], true),
        ) !== [];
    }

    /**
     * Whether something of such a kind is more than a twentieth of it.
     *
     * @param list<string> $kinds
     */
    public function holds(array $kinds): bool
    {
        return $this->shareOf($kinds) >= self::SEEN_FROM;
    }

    /** The share of fresh plants that salt draws a juice from: no chilli, and nothing that is there for its smell. */
    public function shareOfJuicy(): float
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $isJuicy = in_array('fresh', $line->ingredient->kinds ?? [], true)
                && array_intersect(['vegetable', 'fruit', 'base'], $line->ingredient->roles ?? []) !== []
                && !in_array('heat', $line->ingredient->roles ?? [], true);
            $grams += $isJuicy ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams / max(1e-9, $this->balance->formula->mixed()->grams());
    }

    /** The share of pods, fresh or dried, in what goes in. */
    public function shareOfChillies(): float
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $isPod = $line->ingredient?->composition->heatIsOfPods === true;
            $grams += $isPod ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams / max(1e-9, $this->balance->formula->mixed()->grams());
    }

    /** @param list<string> $kinds */
    public function shareOf(array $kinds): float
    {
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $isSo = array_intersect($kinds, $line->ingredient->kinds ?? []) !== [];
            $grams += $isSo ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams / max(1e-9, $this->balance->formula->mixed()->grams());
    }

    /**
     * What is thick in it by itself, the most of it: mayonnaise, sour cream, yoghurt, a paste of nuts; where oil carries it,
     * nuts and hard cheese.
     */
    public function thickBase(): ?string
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

    /** Whether something in it splits at the boil: yoghurt, soured cream. */
    public function splits(): bool
    {
        $splits = FactsFile::named('remedies')['too-thin']->list('splits');

        return array_filter(
            $this->balance->formula->lines,
            static fn(ResolvedLine $line): bool => in_array($line->ingredient?->kind(), $splits, true),
        ) !== [];
    }

    /** What the recipe itself is loosened with: its own thin base, its oil where that is what carries it, else water. */
    public function mainLiquid(): string
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
        [$main, $most] = [$this->isOfThickMilk() ? 'milk' : 'water', 0.0];
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

    /** Whether sour cream, fresh or blue cheese is much of it: milk thins it, and water shows. */
    private function isOfThickMilk(): bool
    {
        $thick = FactsFile::named('remedies')['too-thick']->list('in_milk');
        $grams = 0.0;
        foreach ($this->balance->formula->lines as $line) {
            $grams += in_array($line->ingredient?->kind(), $thick, true) ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams >= self::OF_FRUIT_FROM * $this->balance->mixture->grams();
    }

    /** Whether it is green, by what is in it: peas, spinach, green herbs. */
    public function isGreen(): bool
    {
        return SauceColour::of($this->balance->formula, 0.0)?->isGreen() === true;
    }

    /** Whether it is red or purple, by what is in it: berries, beetroot, tomato. */
    public function isRed(): bool
    {
        return SauceColour::of($this->balance->formula, 0.0)?->isRed() === true;
    }

    /** Whether salt is tasted in it. */
    public function isSalted(): bool
    {
        return $this->balance->taste->salt >= self::SALTED_FROM;
    }

    /** Whether it tastes of sweetness already: what does not is not sweetened to mend it. */
    public function isSweet(): bool
    {
        return $this->balance->taste->sweet >= self::SWEET_FROM;
    }

    /** @param 'acid'|'sweetener'|'salt'|'fat' $role */
    public function usual(string $role): string
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
