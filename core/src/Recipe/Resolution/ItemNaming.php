<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\NameMatch;
use Vinculum\Ingredient\NameSearch;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Item;

/** Which ingredient an item names: by its name, by what a bracket calls it, by what its words mean in this country. */
final readonly class ItemNaming
{
    /** A name that fits another ingredient this well may mean that one. */
    private const AS_LIKELY = 0.96;
    private const MOST_OTHERS = 3;
    /** Of these, what an unknown word may be that was misheard. */
    private const MOST_HEARD = 2;
    private const STYLED = '/^(?<before>(?:[\pL\']+\s){0,3})(?<manner>[\pL\']+)[- ](?:style|type|like)\s(?<rest>.+)$/iu';

    public function __construct(
        private Catalogue $catalogue,
        private NameReading $names,
        private Measures $measures,
    ) {}

    public function of(Item $item): Naming
    {
        $naming = $this->named($item);
        // "stock, gluten-free"
        $free = $naming->ingredient === null ? null : FreeFrom::in("{$item->preparation} {$item->gloss}");
        $other = $free === null ? null : $naming->ingredient?->fitting($free->allergens, $free->diets);

        return match (true) {
            $free === null => $naming,
            $other === null => new Naming($item, null, array_filter([$naming->ingredient?->key])),
            default => new Naming($item, $other, $naming->others, $naming->sure),
        };
    }

    private function named(Item $item): Naming
    {
        $matches = $this->names->match($item);
        $best = $this->names->understood($item, $matches);
        $gloss = $item->gloss === '' ? null : $item->called($item->gloss);
        $glossed = $gloss === null ? [] : $this->names->match($gloss);
        $called = $gloss === null ? null : $this->names->understood($gloss, $glossed);
        if ($best === null && $gloss !== null && $called !== null) {
            // "komezu (rice vinegar)"
            return $this->naming($gloss, $called, $glossed, [], true);
        }
        $isOwn = $best !== null && $this->catalogue->get($best->key)->isOwn();
        $meaning = $item->part !== null || $isOwn ? null : CountryWords::in($this->measures, $item);
        if ($meaning !== null) {
            $best = ($best ?? new NameMatch($meaning->key, $item->name, 1.0))->takenFor($meaning->key, false);
        }
        $free = $best === null ? FreeFrom::in($item->name) : null;
        if ($free !== null && $free->rest !== '') {
            return $this->freeOf($free, $item, $matches);
        }
        if (preg_match(self::STYLED, $item->name, $styled) === 1 && $best?->isExact !== true) {
            return $this->styled($item, $styled);
        }
        if ($best === null) {
            $near = array_values(array_unique([
                ...$this->catalogue->names()->soundingLike($item->name, self::MOST_HEARD),
                ...array_map(static fn(NameMatch $match): string => $match->key, $matches),
            ]));

            return new Naming($item, null, array_slice($near, 0, self::MOST_OTHERS));
        }
        $differs = $called !== null && $called->key !== $best->key ? [$called->key] : [];

        return $this->naming($item, $best, $matches, [...$differs, ...($meaning->others ?? [])], $differs !== []);
    }

    /**
     * "Umbrian-style fish sauce" is a fish sauce, of some manner or other; "parmesan-style hard cheese" is taken for
     * parmesan, being of one kind and holding all its allergens; else it is not known.
     *
     * @param array<string> $styled
     */
    private function styled(Item $item, array $styled): Naming
    {
        $manner = $this->names->keyOf($styled['manner']);
        $plain = $this->named($item->called($styled['before'] . $styled['rest']));
        $rest = $plain->ingredient;
        $of = $manner === null ? $rest : $this->catalogue->get($manner);
        $isOfItsKind = $of !== null && $rest !== null && array_intersect($of->kinds, $rest->kinds) !== []
            && array_diff($rest->suitability->allergens, $of->suitability->allergens) === [];
        if (!$isOfItsKind) {
            return new Naming($item, null, array_values(array_filter([$manner, $rest?->key])));
        }

        $others = array_values(array_diff([$rest->key, ...$plain->others], [$of->key]));

        return new Naming($item, $of, $others, Sureness::Likely);
    }

    /**
     * "Gluten-free stock" is stock from a pack without; what is never without is not known by that name.
     *
     * @param list<NameMatch> $matches of the whole name
     */
    private function freeOf(FreeFrom $free, Item $item, array $matches): Naming
    {
        $near = array_map(static fn(NameMatch $match): string => $match->key, $matches);
        $naming = $this->named($item->called($free->rest));
        $ingredient = $naming->ingredient?->fitting($free->allergens, $free->diets);

        return new Naming(
            $item,
            $ingredient,
            $ingredient === null ? array_slice($near, 0, self::MOST_OTHERS) : $naming->others,
            $ingredient === null ? null : $naming->sure,
        );
    }

    /** @return list<string> keys of the other ways that it names itself */
    public function choices(Item $item): array
    {
        $keys = [];
        foreach ([...$item->alternatives, ...$item->offers] as $name) {
            $other = $this->catalogue->names()->find($name, 1)[0] ?? null;
            if ($other !== null && $other->score >= NameSearch::ACCEPTED) {
                $keys[] = $other->key;
            }
        }

        return array_values(array_unique($keys));
    }

    /**
     * @param list<NameMatch> $matches of its name
     * @param list<string> $others what it also means
     */
    private function naming(Item $item, NameMatch $best, array $matches, array $others, bool $isDoubtful): Naming
    {
        foreach ($matches as $match) {
            if ($match->key !== $best->key && $match->score > self::AS_LIKELY && count($others) < self::MOST_OTHERS) {
                $others[] = $match->key;
            }
        }
        $others = array_diff([...$others, ...$this->choices($item)], [$best->key]);
        $isOpen = $isDoubtful || $item->isGuessed || NameReading::isTied($matches);

        return new Naming(
            $item,
            $this->catalogue->get($best->key),
            array_values(array_unique($others)),
            $isOpen ? Sureness::Likely : $this->names->sureness($item, $best),
        );
    }
}
