<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameMatch;
use Vinculum\Ingredient\NameSearch;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Units;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\DecimalMark;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\WrittenAmount;

/** Turns a line of text into an ingredient and grams with doubt. */
final readonly class LineResolver
{
    private const MOST_GRAMS = 1e6;
    /** Less than a microgram is a slip of the pen. */
    private const LEAST_GRAMS = 1e-6;
    private const LONGEST_LINE = 400;
    /** A name that fits another ingredient this well may mean that one. */
    private const AS_LIKELY = 0.96;
    /** One "part" where nobody says how large it is: only the ratio matters. */
    public const PART_MILLILITRES = 100.0;

    private LineGrammar $grammar;
    private Measures $measures;
    private NameReading $names;
    private AmountReading $amounts;

    /**
     * @param float       $partMillilitres the vessel that a "part" is
     * @param DecimalMark $mark            of the page that the lines stand on
     * @param array<string, float> $vessels millilitres of vessels that the recipe says the size of, by the name of their unit
     */
    public function __construct(
        private Catalogue $catalogue,
        Measures $measures,
        private float $partMillilitres = self::PART_MILLILITRES,
        private DecimalMark $mark = DecimalMark::NotShown,
        private array $vessels = [],
    ) {
        $this->measures = $measures;
        $this->names = new NameReading($catalogue);
        $this->grammar = new LineGrammar($measures, $this->names, $mark);
        $this->amounts = new AmountReading($partMillilitres, $measures, $vessels);
    }

    /** The same, for the lines behind one that says how large a vessel is. */
    public function knowing(VesselSize $vessel): self
    {
        $part = $vessel->of === 'part' ? $vessel->millilitres : $this->partMillilitres;
        $vessels = [$vessel->of => $vessel->millilitres] + $this->vessels;

        return new self($this->catalogue, $this->measures, $part, $this->mark, $vessels);
    }

    /**
     * The ingredients that a line names, in order: nearly always one.
     *
     * @param list<ResolvedLine> $before the lines before it, for "the same amount of"
     *
     * @return non-empty-list<ResolvedLine>
     */
    public function entries(string $text, array $before = []): array
    {
        $line = $this->grammar->read($text);
        $items = array_map(fn(Item $item): Item => $this->measuredLike($item, $before), $line->items);
        $entries = $this->resolved($items);
        if (count($items) > 1 && array_filter($entries, self::isBareNumber(...)) === $entries) {
            // "soy 3, mirin 1"
            $part = static fn(Item $item): Item => $item->measuring($item->measured?->of('part'));
            $entries = $this->resolved(array_map($part, $items));
        }
        $isCut = strlen($text) > self::LONGEST_LINE && mb_strlen($text) > self::LONGEST_LINE;
        if ($isCut) {
            $cut = static fn(ResolvedLine $one): ResolvedLine => $one->cutAt(self::LONGEST_LINE);
            $entries = array_map($cut, $entries);
        }
        if (count($entries) === 1) {
            return [$entries[0]->of($text)->leaving($this->open($line->unread, $entries[0]))];
        }

        return array_map(
            static fn(ResolvedLine $entry, int $number): ResolvedLine
                => $entry->asPartOf($text, $number + 1)->leaving($line->unread),
            $entries,
            array_keys($entries),
        );
    }

    /** The one ingredient of a line, or the first that it names. */
    public function resolve(string $text): ResolvedLine
    {
        return $this->entries($text)[0];
    }

    /**
     * What stays unread where the name itself says some of it: the "whites" of two eggs.
     *
     * @param list<string> $unread
     *
     * @return list<string>
     */
    private function open(array $unread, ResolvedLine $entry): array
    {
        $said = $entry->ingredient === null ? [] : array_merge(
            [],
            ...array_map(NameWords::of(...), [$entry->ingredient->name, ...$entry->ingredient->aliases]),
        );

        return array_values(array_filter(
            $unread,
            static fn(string $words): bool => array_diff(NameWords::of($words), $said) !== [],
        ));
    }

    /**
     * @param non-empty-list<Item> $items
     *
     * @return non-empty-list<ResolvedLine>
     */
    private function resolved(array $items): array
    {
        return array_map(
            fn(Item $item): ResolvedLine => $this->item($item)->choosing($this->choices($item)),
            $items,
        );
    }

    /** A number of what nobody counts: three of soy sauce. */
    private static function isBareNumber(ResolvedLine $entry): bool
    {
        return $entry->status === LineStatus::Unknown && $entry->ingredient !== null
            && $entry->written->measured?->counted === 'whole' && !$entry->written->isNonsense;
    }

    /**
     * "the same amount of mirin", "as much soy sauce as honey": measured as the line before, or as the one that it names.
     *
     * @param list<ResolvedLine> $before
     */
    private function measuredLike(Item $item, array $before): Item
    {
        if ($item->sameAs === null || $item->measured !== null) {
            return $item;
        }
        $key = $item->sameAs === '' ? null : $this->names->keyOf($item->sameAs);
        foreach (array_reverse($before) as $line) {
            $isIt = $item->sameAs === '' || ($key !== null && $line->ingredient?->key === $key);
            if ($isIt && $line->written->measured !== null) {
                return $item->measuring($line->written->measured);
            }
        }

        return $item;
    }

    /** @return list<string> keys of the other ways that it names itself */
    private function choices(Item $line): array
    {
        $keys = [];
        foreach ($line->alternatives as $name) {
            $other = $this->catalogue->names()->find($name, 1)[0] ?? null;
            if ($other !== null && $other->score >= NameSearch::ACCEPTED) {
                $keys[] = $other->key;
            }
        }

        return array_values(array_unique($keys));
    }

    private function item(Item $line): ResolvedLine
    {
        $matches = $this->names->match($line);
        $best = $this->names->understood($line, $matches);
        if ($line->measured?->unit === null && Equipment::isOne($line)) {
            return $this->without($line, null, LineStatus::Unknown, 'A tool of the kitchen: nothing of it goes in.', []);
        }
        $isGloss = false;
        if ($line->gloss !== '') {
            $gloss = $line->called($line->gloss);
            $other = $this->names->understood($gloss, $found = $this->names->match($gloss));
            $isGloss = $best === null && $other !== null;
            if ($isGloss) {
                [$line, $matches, $best] = [$gloss, $found, $other];
            } elseif ($best !== null && $other !== null && $other->key !== $best->key) {
                $differs = $other->key;
            }
        }
        $isOwn = $best !== null && $this->catalogue->get($best->key)->isOwn();
        $meaning = $line->part !== null || $isOwn || $isGloss ? null : CountryWords::in($this->measures, $line);
        if ($best === null && $meaning === null) {
            return $this->unknown($line, $matches);
        }
        $ingredient = $this->catalogue->get($meaning->key ?? $best->key ?? '');
        $others = $meaning->others ?? [];
        foreach ($matches as $match) {
            if ($match->key !== $ingredient->key && $match->score > self::AS_LIKELY && count($others) < 3) {
                $others[] = $match->key;
            }
        }
        $others = [...$others, ...$this->choices($line)];
        $others = isset($differs) ? [$differs, ...$others] : $others;
        $others = array_values(array_unique(array_diff($others, [$ingredient->key])));
        $isOpen = $best === null || $line->isGuessed || NameReading::isTied($matches);
        $sure = $meaning !== null || $best === null || $isOpen || $isGloss || isset($differs)
            ? Sureness::Likely
            : $this->names->sureness($line, $best);
        if ($line->isNonsense) {
            return $this->without(
                $line,
                $ingredient,
                LineStatus::Unknown,
                'This amount cannot be one: write it as a number above zero, such as "2 tbsp" or "150 g". The line is left out until then.',
                $others,
            );
        }
        $percent = $line->percent ?? 100.0;
        $isShare = $percent < 100.0 && Potency::of($ingredient, $percent) === null;
        if ($isShare && $line->measured === null) {
            $line = $line->measuring(new WrittenAmount(
                (float) $line->percent,
                (float) $line->percent,
                Units::get('gram', $this->measures),
                isAbout: true,
            ));
        }
        if ($line->measured === null) {
            return $this->without(
                $line,
                $ingredient,
                LineStatus::ToTaste,
                match (true) {
                    $line->sameAs !== null => 'As much as what? Its amount stands nowhere before: counted as none until it is written here.',
                    $line->isSome => 'So much or so little is no amount: counted as none. Write one to see what it does.',
                    default => 'No amount: counted as none. Add one to see what it does.',
                },
                $others,
                $sure,
            );
        }
        $found = $this->amounts->grams($line, $line->measured, $ingredient);

        if ($found === null) {
            return $this->without(
                $line,
                $ingredient,
                LineStatus::Unknown,
                "A bare number says little about {$ingredient->name}: write spoons, cups or grams. The line is left out until then.",
                $others,
            );
        }
        if ($found->grams->value < self::LEAST_GRAMS) {
            return $this->without(
                $line,
                $ingredient,
                LineStatus::Unknown,
                'That is less than any scale shows: check the number and the unit. The line is left out until then.',
                $others,
            );
        }
        if ($found->grams->value > self::MOST_GRAMS) {
            return $this->without(
                $line,
                $ingredient,
                LineStatus::Unknown,
                'More than a tonne is no kitchen amount: check the number and the unit. The line is left out until then.',
                $others,
            );
        }

        if ($this->mark->leavesOpen($line->amountText)) {
            $found = $found->noting(sprintf(
                '%s is taken as %s %s: write it plainly if it is not',
                $line->amountText,
                KitchenNumber::plain($line->measured->middle(), 3),
                Counts::plural($line->measured->unit->name ?? '', $line->measured->middle()),
            ));
        }
        if ($line->isShared) {
            $found = $found->noting('one amount for two things, taken as half of each: write each with its own');
        }
        if ($isShare) {
            $percent = KitchenNumber::plain((float) $line->percent, 1);
            $found = $found->noting("{$percent} % taken as its share of the batch");
        }
        return $this->withStates($line, $ingredient, $found, $others, $sure, $line->percent);
    }

    /** @param list<string> $others */
    private function withStates(
        Item $line,
        Ingredient $ingredient,
        FoundGrams $found,
        array $others,
        Sureness $sure,
        ?float $percent,
    ): ResolvedLine {
        $mixture = $ingredient->composition->mixture;
        $notes = $found->note === null ? [] : [$found->note];
        $strength = $percent === null ? null : Potency::of($ingredient, $percent);
        if ($strength !== null) {
            $mixture = $strength->mixture;
            $notes[] = $strength->note;
        }
        if ($sure === Sureness::Likely) {
            $notes[] = sprintf('taken for %s', mb_strtolower($ingredient->name));
            $elsewhere = $line->part === null ? CountryWords::in($this->measures, $line) : null;
            if ($elsewhere?->key === $ingredient->key) {
                $notes[] = sprintf(
                    'elsewhere the same words mean %s',
                    implode(' or ', array_map(
                        fn(string $key): string => mb_strtolower($this->catalogue->get($key)->name),
                        $elsewhere->others,
                    )),
                );
            }
        }
        $states = new LineStates($ingredient, $mixture, $found->grams, $notes);
        if ($found->isPack && in_array('drained', $line->tags, true)) {
            $states = $states->drained();
        }
        // a weight is of the thing as it is named; a count, and what stands after the comma, is of what was bought
        $isCount = $line->measured?->unit === null;
        $words = mb_strtolower(implode(' ', [$isCount ? $line->name : '', $line->preparation, ...$line->tags]));
        $states = $states->saidIn($words, $isCount, $found->isPack);
        if (in_array('steeped', $line->tags, true)) {
            $states = $states->steeped();
        }

        return new ResolvedLine(
            $line,
            $ingredient,
            $states->grams,
            $found->millilitres,
            $found->isAssumed ? LineStatus::Assumed : LineStatus::Measured,
            $states->notes === [] ? null : implode('; ', $states->notes),
            $states->mixture,
            $others,
            $sure,
        );
    }

    /** @param list<NameMatch> $near */
    private function unknown(Item $line, array $near): ResolvedLine
    {
        $keys = array_map(static fn(NameMatch $match): string => $match->key, array_slice($near, 0, 3));
        $names = array_map(fn(string $key): string => $this->catalogue->get($key)->name, $keys);
        $note = 'No ingredient of this name is known; the line is left out.'
            . ($names === [] ? ' Try a plainer name for it.' : ' Nearest: ' . implode(', ', $names) . '.');

        return $this->without($line, null, LineStatus::Unknown, $note, $keys);
    }

    /** @param list<string> $others */
    private function without(
        Item $line,
        ?Ingredient $ingredient,
        LineStatus $status,
        string $note,
        array $others,
        ?Sureness $sure = null,
    ): ResolvedLine {
        return new ResolvedLine(
            $line,
            $ingredient,
            null,
            null,
            $status,
            $note,
            Mixture::nothing(),
            $others,
            $sure,
        );
    }
}
