<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Chemistry\Component;
use Vinculum\Ingredient\Ingredient;

/** What may take a line's place, and what may be put in or taken out to make up for it. */
final readonly class SwapCandidates
{
    /** The share of a sauce that leaves are made the sauce by. */
    private const BASE_FROM = 0.1;
    /** The share of oil or butter from which egg holds that rather than sets milk. */
    private const EMULSION_FROM = 0.25;
    private const IS_NOTHING_BUT = 0.85;
    private const HALF = 0.5;
    /** g of water in 100 g. */
    private const WET_FROM = 70.0;
    /** Of the whole sauce, where less than that stands in it; else as much again as there is. */
    private const MOST_PUT_IN = ['salt' => 0.03, 'sweetener' => 0.08, 'acid' => 0.02, 'water' => 1.0];
    /** Kinds of things that do that work and no other. */
    private const PLAIN = [
        'salt' => ['salt'],
        'sweetener' => ['sweetener'],
        'acid' => ['vinegar', 'juice', 'acid'],
        'water' => [],
    ];
    /** Of a line that makes up for another, this share may be left out; of salt all of it, where the new thing is salted. */
    private const MOST_TAKEN_OUT = ['salt' => 1.0, 'sweetener' => 0.5, 'acid' => 0.5, 'water' => 0.5];

    public function __construct(private SwapTask $task) {}

    /** @return list<array{Ingredient, StandIn}> what cooks take in its place */
    public function nearer(): array
    {
        return [
            ...$this->lessOfItself(),
            ...$this->fromAnotherPack(),
            ...$this->admitted(StandIn::of($this->task->gone)),
        ];
    }

    /**
     * Where there must be less of what a thing is nothing but, half of it: less salt is no other salt.
     *
     * @return list<array{Ingredient, StandIn}>
     */
    private function lessOfItself(): array
    {
        $gone = $this->task->gone;
        $isIt = $this->task->reason->less === 'salt' && $this->task->reason->burden($gone, 1.0) >= self::IS_NOTHING_BUT;

        return $isIt ? [[$gone, new StandIn($gone->kind(), StandIn::SAME, self::HALF)]] : [];
    }

    /** What is taken for holding less is not taken in the larger amount that would make up for it. */
    public function limited(StandIn $standIn): StandIn
    {
        return $this->task->reason->less === null || $standIn->ratio === null
            ? $standIn
            : new StandIn($standIn->kind, $standIn->class, min(1.0, $standIn->ratio), $standIn->place);
    }

    /**
     * The very thing from a pack that is free of what someone cannot eat, where packs differ in that: gluten-free stock.
     *
     * @return list<array{Ingredient, StandIn}>
     */
    private function fromAnotherPack(): array
    {
        $gone = $this->task->gone;
        $other = $this->task->reason->fitting($gone);

        return $other === $gone || !$this->task->reason->tolerates($other)
            ? []
            : [[$other, new StandIn($gone->kind(), StandIn::SAME, 1.0)]];
    }

    /** @return list<array{Ingredient, StandIn}> everything else that does the same kind of work */
    public function byNumbers(): array
    {
        $near = array_map(static fn(StandIn $one): string => $one->kind, StandIn::of($this->task->gone));
        $kinds = array_unique(
            array_merge([], ...array_map(static fn(Role $role): array => $role->members, Role::of($this->task->gone))),
        );

        return $this->admitted(array_map(
            static fn(string $kind): StandIn => new StandIn($kind, StandIn::NUMBERS, null),
            array_values(array_diff($kinds, $near)),
        ));
    }

    /**
     * @param list<StandIn> $standIns
     *
     * @return list<array{Ingredient, StandIn}> those that there are, the cook's own among them, and that the reason
     *     admits
     */
    private function admitted(array $standIns): array
    {
        $candidates = [];
        foreach ($standIns as $standIn) {
            $standIn = $this->limited($standIn);
            foreach ([$standIn->kind, ...$this->ownOf($standIn->kind)] as $key) {
                $candidate = $this->task->catalogue->has($key)
                    ? $this->task->reason->fitting($this->task->catalogue->get($key))
                    : null;
                if (
                    $candidate !== null
                    && $key !== $this->task->gone->key
                    && !$this->isDriedForABase($candidate)
                    && $this->setsAsEggDoes($candidate)
                    && $this->task->reason->admits(
                        $candidate,
                        $this->task->gone,
                        $this->task->main,
                        $standIn->ratio ?? 1.0,
                    )
                ) {
                    $candidates[] = [$candidate, $standIn];
                }
            }
        }

        return $this->fit($candidates);
    }

    /** Where egg sets what is no emulsion, a custard or a curd, only what thickens does its work. */
    private function setsAsEggDoes(Ingredient $candidate): bool
    {
        return !$this->isSetByEgg()
            || in_array('egg', $candidate->kinds, true)
            || $candidate->composition->mixture->get(Component::Thickening) > 0.0;
    }

    private function isSetByEgg(): bool
    {
        $kinds = $this->task->gone->kinds;

        return in_array('egg', $kinds, true) && !in_array('sauce', $kinds, true)
            && $this->shareOfLooseFat() < self::EMULSION_FROM;
    }

    /** The share of it that is oil or butter, which something has to hold; the fat of cream is held already. */
    private function shareOfLooseFat(): float
    {
        $grams = 0.0;
        foreach ($this->task->formula->lines as $line) {
            $isLoose = array_intersect(['oil', 'butter'], $line->ingredient->kinds ?? []) !== [];
            $grams += $isLoose ? $line->grams->value ?? 0.0 : 0.0;
        }

        return $grams / max(1e-9, $this->task->whole->grams());
    }

    /** A spoon of dried leaves stands in for a sprig, and never for the leaves that a sauce is made of. */
    private function isDriedForABase(Ingredient $candidate): bool
    {
        return array_intersect(['herb', 'aromatic'], $this->task->gone->roles) !== []
            && array_intersect(['herb', 'aromatic'], $candidate->roles) !== []
            && in_array('dried', $candidate->kinds, true)
            && !in_array('dried', $this->task->gone->kinds, true)
            && $this->task->grams() >= self::BASE_FROM * $this->task->whole->grams();
    }

    /**
     * Nothing brings an allergen or an animal thing that the recipe lacks. Only where the old line itself holds one, and
     * nothing as near does without, may another allergen take its place: soya for fish, never fish for soya.
     *
     * @param list<array{Ingredient, StandIn}> $candidates
     *
     * @return list<array{Ingredient, StandIn}>
     */
    private function fit(array $candidates): array
    {
        $formula = $this->task->eaten;
        $isFit = array_map(static fn(array $one): bool => $formula->isFitFor($one[0]), $candidates);
        $without = array_intersect_key($candidates, array_filter($isFit));
        // what is often not borne either holds nothing else off
        $sure = array_filter($without, fn(array $one): bool => !$this->task->reason->isNear($one[0]));
        $nearest = min([INF, ...array_map(static fn(array $one): int => $one[1]->class, $sure)]);
        $isExchanged = $this->task->gone->suitability->isAvoided();

        return array_values(array_filter(
            $candidates,
            static fn(array $one, int $at): bool => $isFit[$at]
                || $isExchanged && $one[1]->class < $nearest && !$formula->lacksAnimalsOf($one[0]),
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /**
     * What may be put in or taken out to make up: water, sugar, salt and acid, as they already stand in the recipe.
     *
     * @return list<array{Ingredient, int|null, array<int, float>, float, float}> ingredient, the line it stands in, a
     *     row of one gram, the least grams and the most
     */
    public function compensations(Ingredient $candidate): array
    {
        $options = [];
        foreach ([
            'water' => 'water',
            'sweetener' => 'white-sugar',
            'salt' => 'salt',
            'acid' => 'white-vinegar',
        ] as $role => $usual) {
            // what a sauce has its fat from is not watered down
            $isOfFat = $this->task->carriesFat() && !$this->isSetByEgg();
            // one vegetable in another's place wants none either, as a paste of it would
            $isAsWet = $this->task->isBulk()
                && $candidate->composition->mixture->percent(Component::Water) >= self::WET_FROM;
            if ($this->task->reason->forbidsMore($role) || $role === 'water' && ($isOfFat || $isAsWet)) {
                continue;
            }
            [$line, $found] = $this->standing($role, $usual);
            $ingredient = $found ?? $this->task->catalogue->get($usual);
            if (
                in_array($ingredient->key, [$candidate->key, $this->task->gone->key], true)
                || !$this->task->reason->tolerates($ingredient)
                || !$this->task->eaten->isFitFor($ingredient)
            ) {
                continue;
            }
            // a sauce without anything sharp in it gets no vinegar to make up for a cheese
            if ($role === 'acid' && $line === null && ($this->task->gone->roles[0] ?? '') !== 'acid') {
                continue;
            }
            $there = $line === null ? 0.0 : $this->task->formula->lines[$line]->grams->value ?? 0.0;
            $options[] = [
                $ingredient,
                $line,
                SwapObjective::row($ingredient->grams(1.0)),
                -self::MOST_TAKEN_OUT[$role] * $there,
                max($there, self::MOST_PUT_IN[$role] * $this->task->whole->grams()),
            ];
        }

        return $options;
    }

    /** @return list<list<int>> every choice of one or two */
    public static function supports(int $of): array
    {
        $supports = [];
        for ($a = 0; $a < $of; ++$a) {
            $supports[] = [$a];
            for ($b = $a + 1; $b < $of; ++$b) {
                $supports[] = [$a, $b];
            }
        }

        return $supports;
    }

    /** @return list<string> keys of the cook's own products of a kind */
    private function ownOf(string $kind): array
    {
        return array_values(
            array_filter(
                $this->task->catalogue->ownKeys(),
                fn(string $key): bool => $this->task->catalogue->get($key)->kind() === $kind,
            ),
        );
    }

    /** Whether a thing is there for that alone: capers are no salt, and a sweet wine no sugar. */
    private static function isPlain(Ingredient $ingredient, string $role): bool
    {
        return ($ingredient->roles[0] ?? '') === $role
            && array_intersect(self::PLAIN[$role], $ingredient->kinds) !== []
            && !in_array('alcohol', $ingredient->kinds, true)
            && !in_array('sauce', $ingredient->kinds, true);
    }

    /**
     * @return array{int|null, Ingredient|null} the line that brings most of what one compensates with, if there is one
     */
    private function standing(string $role, string $usual): array
    {
        $most = 0.0;
        $found = [null, null];
        foreach ($this->task->formula->lines as $number => $line) {
            $ingredient = $line->ingredient;
            $isIt = $ingredient !== null
                && ($ingredient->key === $usual || self::isPlain($ingredient, $role));
            if (
                $isIt
                && $number !== $this->task->line
                && !in_array($number, $this->task->settled, true)
                && !in_array('lock', $line->written->tags, true)
                && ($line->grams->value ?? 0.0) > $most
            ) {
                $most = $line->grams->value ?? 0.0;
                $found = [$number, $ingredient];
            }
        }

        return $found;
    }
}
