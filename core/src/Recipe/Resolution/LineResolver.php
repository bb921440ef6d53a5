<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Units;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\DecimalMark;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\Line;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\WrittenAmount;
use Vinculum\Recipe\RecipeLine;

/** Turns a line of text into an ingredient and grams with doubt. */
final readonly class LineResolver
{
    private const MOST_GRAMS = 1e6;
    /** Less than a microgram is a slip of the pen. */
    private const LEAST_GRAMS = 1e-6;
    private const LONGEST_LINE = 400;
    /** One "part" where nobody says how large it is: only the ratio matters. */
    public const PART_MILLILITRES = 100.0;

    private LineGrammar $grammar;
    private Measures $measures;
    private NameReading $names;
    private ItemNaming $naming;
    private AmountReading $amounts;

    /**
     * @param float $partMillilitres the vessel that a "part" is
     * @param DecimalMark $mark of the page that the lines stand on
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
        $this->naming = new ItemNaming($catalogue, $this->names, $measures);
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
     * The ingredients that a line of a recipe names, in order: nearly always one.
     *
     * @param list<ResolvedLine> $before the lines before it, for "the same amount of"
     *
     * @return non-empty-list<ResolvedLine>
     */
    public function entriesOf(RecipeLine $source, array $before): array
    {
        $memory = LineMemory::of($this->catalogue);
        $text = $source->text;
        $said = "{$this->measures->value} {$this->partMillilitres} {$this->mark->name} " . implode(' ', [
            $source->id,
            $source->isApart ? 'apart' : '',
            ...$source->said ?? [],
        ]) . "\n" . implode(
            ' ',
            array_map(static fn(string $of, float $size): string => "{$of}={$size}", array_keys($this->vessels), $this->vessels),
        ) . "\n{$text}";
        $known = $memory->recall($said);
        if ($known !== null) {
            return $known;
        }
        $line = $this->grammar->read($text);
        $isLikeAnother = array_filter($line->items, static fn(Item $item): bool => $item->sameAs !== null) !== [];
        $entries = array_map(
            static fn(ResolvedLine $entry): ResolvedLine => $entry->from($source),
            $source->isApart ? [$this->understood($text, $line, $before)[0]] : $this->understood($text, $line, $before),
        );
        if (!$isLikeAnother) {
            $memory->keep($said, $entries);
        }

        return $entries;
    }

    /** @return non-empty-list<ResolvedLine> of a text by itself */
    public function entries(string $text): array
    {
        return $this->entriesOf(RecipeLine::of(1, $text), []);
    }

    /**
     * @param list<ResolvedLine> $before
     *
     * @return non-empty-list<ResolvedLine>
     */
    private function understood(string $text, Line $line, array $before): array
    {
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
                => $entry->asPart($number + 1)->leaving($line->unread),
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
            fn(Item $item): ResolvedLine => $this->item($item)->choosing($this->naming->choices($item)),
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
        $key = $item->sameAs->of === '' ? null : $this->names->keyOf($item->sameAs->of);
        foreach (array_reverse($before) as $line) {
            $isIt = $item->sameAs->of === '' || ($key !== null && $line->ingredient?->key === $key);
            if ($isIt && $line->written->measured !== null) {
                return $item->measuring($item->sameAs->applied($line->written->measured));
            }
        }

        return $item;
    }

    /** The ingredient of an item and its grams: what was assumed is said by each rule that assumed it. */
    private function item(Item $item): ResolvedLine
    {
        if ($item->measured?->unit === null && Equipment::isOne($item)) {
            return self::left($item, null, LineStatus::Unknown, 'A tool of the kitchen: nothing of it goes in.');
        }
        $naming = $this->asItsShare($this->naming->of($item));
        $ingredient = $naming->ingredient;
        if ($ingredient === null) {
            return $this->unknown($naming);
        }
        if ($naming->item->isNonsense || $naming->item->isRate || $naming->item->measured === null) {
            return self::withoutAmount($naming);
        }
        $found = $this->amounts->grams($naming->item, $naming->item->measured, $ingredient);
        $odd = match (true) {
            $found === null => "A bare number says little about {$ingredient->name}: write spoons, cups or grams.",
            $found->grams->value < self::LEAST_GRAMS => 'That is less than any scale shows: check the number and the unit.',
            $found->grams->value > self::MOST_GRAMS => 'More than a tonne is no kitchen amount: check the number and the unit.',
            default => null,
        };

        return $found === null || $odd !== null
            ? self::left($naming->item, $naming, LineStatus::Unknown, "{$odd} The line is left out until then.")
            : $this->withStates($naming, $this->withAssumptions($naming->item, $found));
    }

    /** A percentage that no such thing can have as its strength is its share of the batch: so many grams of a hundred. */
    private function asItsShare(Naming $naming): Naming
    {
        $percent = $naming->item->percent;
        if (!$naming->saysAShare() || $percent === null || $naming->item->measured !== null) {
            return $naming;
        }
        $grams = new WrittenAmount($percent, $percent, Units::get('gram', $this->measures), isAbout: true);

        return $naming->measuring($grams);
    }

    private static function withoutAmount(Naming $naming): ResolvedLine
    {
        $item = $naming->item;
        [$status, $note] = match (true) {
            $item->isNonsense => [
                LineStatus::Unknown,
                'This amount cannot be one: write it as a number above zero, such as "2 tbsp" or "150 g". The line is left out until then.',
            ],
            $item->isRate => [
                LineStatus::Unknown,
                'An amount for each of so many says nothing of the whole: write how much goes in altogether. The line is left out until then.',
            ],
            $item->sameAs !== null => [
                LineStatus::ToTaste,
                'As much as what? Its amount stands nowhere before: counted as none until it is written here.',
            ],
            $item->isSome => [LineStatus::ToTaste, 'So much or so little is no amount: counted as none. Write one to see what it does.'],
            default => [LineStatus::ToTaste, 'No amount: counted as none. Add one to see what it does.'],
        };

        return self::left($item, $naming, $status, $note);
    }

    /** What had to be assumed of an amount that can be read in two ways. */
    private function withAssumptions(Item $item, FoundGrams $found): FoundGrams
    {
        if ($this->mark->leavesOpen($item->amountText)) {
            $middle = $item->measured?->middle() ?? 0.0;
            $found = $found->noting(sprintf(
                '%s is taken as %s %s: write it plainly if it is not',
                $item->amountText,
                KitchenNumber::plain($middle, 3),
                Counts::plural($item->measured->unit->name ?? '', $middle),
            ));
        }

        return $item->isShared
            ? $found->noting('one amount for two things, taken as half of each: write each with its own')
            : $found;
    }

    private function withStates(Naming $naming, FoundGrams $found): ResolvedLine
    {
        $line = $naming->item;
        $ingredient = $naming->ingredient;
        assert($ingredient !== null);
        $strength = $line->percent === null ? null : Potency::of($ingredient, $line->percent);
        $notes = array_values(array_filter([
            $found->note,
            $naming->saysAShare() ? "{$line->percent} % taken as its share of the batch" : null,
            $strength?->note,
            ...($naming->sure === Sureness::Likely ? $this->doubts($naming) : []),
        ]));
        $states = new LineStates(
            $ingredient,
            $strength->mixture ?? $ingredient->composition->mixture,
            $found->grams,
            $notes,
        );
        if ($found->isPack) {
            $states = in_array('drained', $line->tags, true)
                ? $states->drained()
                : $states->drainedAsUsual($line->ownWords());
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
            $found->isAssumed || $naming->saysAShare() ? LineStatus::Assumed : LineStatus::Measured,
            $states->notes === [] ? null : implode('; ', $states->notes),
            $states->mixture,
            $naming->others,
            $naming->sure,
        );
    }

    /** @return list<string> what it was taken for, and what the words mean elsewhere */
    private function doubts(Naming $naming): array
    {
        $doubts = [sprintf('taken for %s', mb_strtolower((string) $naming->ingredient?->name))];
        $elsewhere = $naming->item->part === null ? CountryWords::in($this->measures, $naming->item) : null;
        if ($elsewhere?->key === $naming->ingredient?->key) {
            $doubts[] = 'elsewhere the same words mean ' . implode(' or ', array_map(
                fn(string $key): string => mb_strtolower($this->catalogue->get($key)->name),
                $elsewhere->others ?? [],
            ));
        }

        return $doubts;
    }

    private function unknown(Naming $naming): ResolvedLine
    {
        $names = array_map(fn(string $key): string => $this->catalogue->get($key)->name, $naming->others);
        $note = 'No ingredient of this name is known; the line is left out.'
            . ($names === [] ? ' Try a plainer name for it.' : ' Nearest: ' . implode(', ', $names) . '.');

        return self::left($naming->item, $naming, LineStatus::Unknown, $note);
    }

    /** A line of which nothing is counted. */
    private static function left(Item $item, ?Naming $naming, LineStatus $status, string $note): ResolvedLine
    {
        return new ResolvedLine(
            $item,
            $naming?->ingredient,
            null,
            null,
            $status,
            $note,
            Mixture::nothing(),
            $naming->others ?? [],
            $status === LineStatus::ToTaste ? $naming?->sure : null,
        );
    }
}
