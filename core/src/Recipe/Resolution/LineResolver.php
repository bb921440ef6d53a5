<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Solids;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameMatch;
use Vinculum\Ingredient\NameSearch;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\ParsedLine;
use Vinculum\Recipe\Parser\WrittenAmount;

/** Turns a line of text into an ingredient and grams with doubt. */
final readonly class LineResolver
{
    private const WEIGHED = 0.01;
    private const ABOUT = 0.10;
    private const PACKED = 0.18;
    private const MOST_GRAMS = 1e6;
    /** Less than a microgram is a slip of the pen. */
    private const LEAST_GRAMS = 1e-6;
    private const LONGEST_LINE = 400;
    /** A name that fits another ingredient this well may mean that one. */
    private const AS_LIKELY = 0.96;
    /** Loosely filled pieces of something whose bulk density nobody stated, g/ml. */
    private const LOOSE_DENSITY = 0.6;
    private const LOOSE_SPREAD = 0.30;
    /** One "part" where nobody says how large it is: only the ratio matters. */
    public const PART_MILLILITRES = 100.0;

    /** The share of its solubles that a thing steeped and taken out leaves behind (handbook default). */
    private const STEEPED_SHARE = 0.5;

    private LineGrammar $grammar;

    /** @param float $partMillilitres the vessel that a "part" is */
    public function __construct(private Catalogue $catalogue, Measures $measures, private float $partMillilitres = self::PART_MILLILITRES)
    {
        $this->grammar = new LineGrammar($measures);
    }

    public function resolve(string $text): ResolvedLine
    {
        $line = $this->grammar->read($text);
        $matches = $this->match($line);
        $best = $this->understood($line, $matches);
        [$without, $percent] = self::withoutPercent($text);
        if ($percent !== null && !str_contains($best !== null && $best->isExact ? $best->alias : '', '%')) {
            $line = $this->grammar->read($without)->of($text);
            $matches = $this->match($line);
            $best = $this->understood($line, $matches);
        } else {
            $percent = null;
        }
        if ($best === null) {
            return $this->unknown($line, $matches);
        }
        $ingredient = $this->catalogue->get($best->key);
        $others = [];
        foreach ($matches as $match) {
            if ($match->key !== $best->key && $match->score > self::AS_LIKELY && count($others) < 3) {
                $others[] = $match->key;
            }
        }
        foreach ($line->alternatives as $name) {
            $other = $this->catalogue->names()->find($name, 1)[0] ?? null;
            if ($other !== null && $other->score >= NameSearch::ACCEPTED) {
                $others[] = $other->key;
            }
        }
        $others = array_values(array_unique(array_diff($others, [$ingredient->key])));
        if ($line->isNonsense) {
            return $this->without($line, $ingredient, LineStatus::Unknown, 'This amount cannot be one: write it as a number above zero, such as "2 tbsp" or "150 g". The line is left out until then.', $others);
        }
        if ($line->measured === null) {
            return $this->without($line, $ingredient, LineStatus::ToTaste, 'No amount: counted as none. Add one to see what it does.', $others);
        }
        $found = $this->grams($line, $line->measured, $ingredient);

        if ($found === null) {
            return $this->without($line, $ingredient, LineStatus::Unknown, "A bare number says little about {$ingredient->name}: write spoons, cups or grams. The line is left out until then.", $others);
        }
        if ($found->grams->value < self::LEAST_GRAMS) {
            return $this->without($line, $ingredient, LineStatus::Unknown, 'That is less than any scale shows: check the number and the unit. The line is left out until then.', $others);
        }
        if ($found->grams->value > self::MOST_GRAMS) {
            return $this->without($line, $ingredient, LineStatus::Unknown, 'More than a tonne is no kitchen amount: check the number and the unit. The line is left out until then.', $others);
        }

        return $this->withStates($line, $ingredient, $found, $others, $this->sureness($line, $best), $percent);
    }

    /**
     * The best match that leaves no telling word of the name unsaid: "almond milk" is no milk. What only says which kind of a thing
     * it is may stay unsaid: the "peppers" of a pod, the "leaves" of a herb.
     *
     * @param list<NameMatch> $matches
     */
    private function understood(ParsedLine $line, array $matches): ?NameMatch
    {
        if (Words::areIn($line->name, FactsFile::named('words')['others']->list('words'))) {
            return null;
        }
        foreach ($matches as $match) {
            if ($match->score < NameSearch::ACCEPTED) {
                break;
            }
            $passable = $this->passable($match->key);
            $missed = array_diff($match->missed, $passable);
            if ($match->beyond !== []) {
                continue;
            }
            if ($missed === [] || $this->areBrands($missed, $line)) {
                return $match;
            }
        }

        return null;
    }

    /** @return list<string> words that only say which kind of a thing this is */
    private function passable(string $key): array
    {
        $ingredient = $this->catalogue->get($key);
        $passable = [];
        foreach (FactsFile::named('words')['kinds']->fields() as $kind) {
            if (($kind === 'pod' && $ingredient->heatIsOfPods) || in_array($kind, [...$ingredient->kinds, ...$ingredient->roles], true)) {
                $passable = [...$passable, ...FactsFile::named('words')['kinds']->list($kind)];
            }
        }

        return $passable;
    }

    /**
     * Words that are written large within a line, that name nothing in any kitchen, and stand before a name that is ours: a brand.
     *
     * @param array<string> $words
     */
    private function areBrands(array $words, ParsedLine $line): bool
    {
        $written = preg_split('/\s+/u', trim($line->name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isAtStart = $line->amountText === '';
        foreach ($words as $word) {
            $places = array_keys(array_filter($written, static fn(string $one): bool => NameSearch::words($one) === [$word]));
            $at = $places[0] ?? null;
            $isLarge = $at !== null && preg_match('/^\p{Lu}\p{Ll}/u', $written[$at]) === 1;
            $after = $at === null ? [] : array_slice($written, $at + 1);
            $restIsSmall = $after !== [] && array_filter($after, static fn(string $one): bool => preg_match('/^\p{Ll}/u', $one) !== 1 && !self::isLargeToo($one)) === [] && preg_match('/^\p{Ll}/u', end($after)) === 1;
            if (!$isLarge || !$restIsSmall || ($at === 0 && $isAtStart) || $this->catalogue->names()->knows($word) || in_array($word, FactsFile::named('words')['tellers']->list('words'), true)) {
                return false;
            }
        }

        return true;
    }

    private static function isLargeToo(string $word): bool
    {
        return preg_match('/^\p{Lu}/u', $word) === 1;
    }

    /** Whether the name was ours to the word, and means this before anything else. */
    private function sureness(ParsedLine $line, NameMatch $match): Sureness
    {
        [$asked, $alias, $nothing] = [NameSearch::words($line->name), NameSearch::words($match->alias), FactsFile::named('words')['says-nothing']->list('words')];
        $isSame = array_diff($asked, $alias, $nothing) === [] && array_diff($alias, $asked, $nothing) === [] && $match->missed === [];

        return $match->isUsual && ($match->isExact || $isSame) ? Sureness::Certain : Sureness::Likely;
    }

    /**
     * A percentage says how strong a thing is, and is no part of what it is called.
     *
     * @return array{string, float|null} the line without it
     */
    private static function withoutPercent(string $text): array
    {
        $text = mb_substr(mb_scrub($text), 0, self::LONGEST_LINE);
        if (preg_match('/(?<![\d.,])(\d{1,3}(?:[.,]\d+)?)\s?(?:%|per ?cent\b)(?:\s*(?:acidity|acid|abv|vol|alcohol|fat|cocoa(?: solids)?|proof)\b)?/iu', $text, $found) !== 1) {
            return [$text, null];
        }

        return [trim((string) preg_replace('/\s*[(,]?\s*' . preg_quote($found[0], '/') . '\s*\)?\s*/u', ' ', $text, 1)), (float) str_replace(',', '.', $found[1])];
    }

    /** @return list<NameMatch> */
    private function match(ParsedLine $line): array
    {
        $names = $this->catalogue->names();
        $plain = $line->name;
        if ($line->part !== null) {
            $matches = $names->find("{$plain} {$line->part}");
            if (($matches[0]->score ?? 0.0) >= 0.9) {
                return $matches;
            }
        }
        $matches = $names->find($plain);
        $best = $matches[0]->score ?? 0.0;
        foreach ($this->otherReadings($line) as $reading) {
            $found = $names->find($reading);
            $score = $found[0]->score ?? 0.0;
            // a name that is ours to the word, with more said than the bare one, is the more particular thing
            if ($score > $best + 0.02 || ($score > 0.95 && self::tellsMore($reading, $line->name))) {
                $best = $score;
                $matches = $found;
            }
        }

        return $this->unlessPouredInstead($line, $this->unlessVegetable($line, $matches));
    }

    /**
     * Peppers that are counted or weighed are vegetables; pepper by the spoon, the pinch and the turn of a mill is ground.
     *
     * @param list<NameMatch> $matches
     *
     * @return list<NameMatch>
     */
    private function unlessVegetable(ParsedLine $line, array $matches): array
    {
        $best = $matches[0] ?? null;
        $other = $best === null ? null : (FactsFile::named('words')['counted']->textOr($best->key, '') ?: null);
        if ($best === null || $other === null || !$this->catalogue->has($other) || array_filter(NameSearch::words($line->name), static fn(string $word): bool => !NameSearch::isDescriptor($word)) !== ['pepper']) {
            return $matches;
        }
        $measured = $line->measured;
        $isCounted = $measured !== null && $measured->unit === null && in_array($measured->counted, [null, 'whole'], true);
        $isSpooned = $measured?->unit?->millilitres !== null || $measured?->unit?->isVague() === true;

        return $isCounted || !$isSpooned && preg_match('/\bpeppers\b/iu', $line->name) === 1 ? [$best->takenFor($other, false), ...$matches] : $matches;
    }

    /**
     * The name may go on after a comma ("vinegar, white"), lean on its alternative ("red or white wine vinegar"),
     * start with a counting noun ("star anise"), or hide in brackets.
     *
     * @return list<string>
     */
    private function otherReadings(ParsedLine $line): array
    {
        $readings = [];
        if ($line->alternatives !== []) {
            $words = explode(' ', $line->alternatives[0]);
            for ($from = 1; $from < count($words); ++$from) {
                $readings[] = $line->name . ' ' . implode(' ', array_slice($words, $from));
            }
        }
        if ($line->measured?->counted !== null && $line->measured->counted !== 'whole') {
            $readings[] = $line->measured->counted . ' ' . $line->name;
            $readings[] = $line->name . ' ' . $line->measured->counted;
        }
        foreach (['tin' => 'tinned', 'jar' => 'jarred'] as $pack => $packed) {
            if (in_array($pack, [$line->measured?->pack, $line->measured?->counted], true)) {
                $readings[] = "{$packed} {$line->name}";
            }
        }
        if ($line->preparation !== '') {
            $first = preg_split('/\s*[,;]\s*/', $line->preparation)[0] ?? '';
            $readings[] = "{$first} {$line->name}";
            if (array_filter(NameSearch::words($line->name), static fn(string $word): bool => !NameSearch::isDescriptor($word)) === []) {
                $readings[] = $line->preparation;
            }
        }
        if (preg_match('/^(.+?)\s+(?:and|&)\s+(.+)$/iu', $line->name, $found) === 1) {
            $second = $this->catalogue->names()->find($found[2], 1)[0] ?? null;
            $readings = $second !== null && $second->score >= NameSearch::ACCEPTED && $second->missed === [] ? [...$readings, $found[1]] : $readings;
        }

        return $readings;
    }

    /**
     * Spoons of a lemon are spoons of its juice.
     *
     * @param list<NameMatch> $matches
     *
     * @return list<NameMatch>
     */
    private function unlessPouredInstead(ParsedLine $line, array $matches): array
    {
        $best = $matches[0] ?? null;
        if ($best !== null && $line->measured?->unit?->millilitres !== null) {
            $poured = $this->catalogue->get($best->key)->pouredAs;
            if ($poured !== null) {
                return [$best->takenFor($poured, true), ...$matches];
            }
        }

        return $matches;
    }

    private static function tellsMore(string $reading, string $name): bool
    {
        $more = array_diff(NameSearch::words($reading), NameSearch::words($name));

        return array_filter($more, static fn(string $word): bool => !NameSearch::isDescriptor($word)) !== [];
    }

    private function grams(ParsedLine $line, WrittenAmount $measured, Ingredient $ingredient): ?FoundGrams
    {
        $first = $this->amountOf($measured, $line, $ingredient);
        if ($line->second === null) {
            return $first;
        }
        $second = $this->amountOf($line->second, $line, $ingredient);
        if ($first === null || $second === null) {
            return $first ?? $second;
        }
        $isSecondWeight = $line->second->unit?->grams !== null;
        $isFirstWeight = $measured->unit?->grams !== null;
        [$kept, $other] = $isSecondWeight && !$isFirstWeight ? [$second, $first] : [$first, $second];
        if (!$isFirstWeight && !$isSecondWeight && $measured->unit === null) {
            [$kept, $other] = [$second, $first];
        }
        $difference = $other->grams->value > 0.0 ? $kept->grams->value / $other->grams->value - 1.0 : 0.0;
        $tolerance = 2.0 * hypot($kept->relativeDoubt(), $other->relativeDoubt());
        $note = abs($difference) > max(0.15, $tolerance)
            ? sprintf('The two amounts differ by %d %%: %s taken', (int) round(100.0 * abs($difference)), KitchenNumber::grams($kept->grams->value))
            : $kept->note;

        return new FoundGrams($kept->grams, $kept->millilitres ?? $other->millilitres, $kept->isAssumed, $note, $kept->isPack);
    }

    private function amountOf(WrittenAmount $measured, ParsedLine $line, Ingredient $ingredient): ?FoundGrams
    {
        $spread = $measured->isRange() ? ($measured->high - $measured->low) / sqrt(12.0) / $measured->middle() : 0.0;
        $spread = hypot($spread, $measured->isAbout && $measured->unit !== null && !$measured->unit->isVague() ? self::ABOUT : 0.0);
        $rangeNote = $measured->isRange() ? sprintf('%s to %s taken as %s', KitchenNumber::mixed($measured->low), KitchenNumber::mixed($measured->high), KitchenNumber::mixed($measured->middle())) : null;
        $unit = $measured->unit;
        if ($unit === null) {
            return $this->counted($measured, $line, $ingredient);
        }
        if ($unit->grams !== null) {
            $grams = Amount::within($measured->middle() * $unit->grams, hypot(self::WEIGHED, $spread))->doubtedBy($unit->spread);
            $note = $unit->isVague() ? sprintf('1 %s taken as %s', $unit->name, KitchenNumber::grams($unit->grams)) : $rangeNote;

            return new FoundGrams($grams, null, $unit->isVague() || $measured->isRange(), $note, $measured->pack !== null);
        }
        $millilitres = $measured->middle() * (float) $unit->millilitres * $measured->fill;
        [$density, $doubt, $isGuess] = $this->densityFor($line, $ingredient);
        $grams = Amount::within($millilitres * $density, hypot($doubt, $spread))->doubtedBy($unit->spread);
        $note = match (true) {
            $unit->isVague() => sprintf('1 %s taken as %s', $unit->name, KitchenNumber::millilitres((float) $unit->millilitres)),
            $isGuess => sprintf('%s taken as %s g a millilitre: weigh it to be sure', $ingredient->name, KitchenNumber::plain($density, 2)),
            $measured->fill !== 1.0 => sprintf('Taken as %s level', KitchenNumber::mixed($measured->middle() * $measured->fill)),
            default => $rangeNote,
        };

        return new FoundGrams($grams, $millilitres, $unit->isVague() || $measured->isRange(), $note, $measured->pack !== null);
    }

    /** @return array{float, float, bool} g/ml, its relative doubt, and whether it is a guess */
    private function densityFor(ParsedLine $line, Ingredient $ingredient): array
    {
        $words = mb_strtolower("{$line->text} {$line->preparation}");
        foreach ($ingredient->forms as $form => $density) {
            if (str_contains($words, $form)) {
                return [$density, max(self::PACKED, $ingredient->texture->deviation()), false];
            }
        }
        if ($ingredient->density !== null) {
            return [$ingredient->density, $ingredient->texture->deviation(), false];
        }

        return [self::LOOSE_DENSITY, self::LOOSE_SPREAD, true];
    }

    private function counted(WrittenAmount $measured, ParsedLine $line, Ingredient $ingredient): ?FoundGrams
    {
        $counted = $measured->counted ?? 'whole';
        if ($counted === 'part') {
            $density = $ingredient->density ?? self::LOOSE_DENSITY;
            $millilitres = $measured->middle() * $this->partMillilitres;

            return new FoundGrams(Amount::within($millilitres * $density, $ingredient->texture->deviation()), $millilitres, true, sprintf('1 part taken as %s', KitchenNumber::millilitres($this->partMillilitres)), false);
        }
        $one = $this->weightOfOne($counted, $measured->size, $line, $ingredient);
        if ($one === null) {
            return null;
        }
        [$name, $each] = $one;
        $count = $measured->middle();
        $rangeDeviation = ($measured->high - $measured->low) / sqrt(12.0) * $each->value;
        $grams = Amount::of($count * $each->value, hypot($count * $each->deviation, $rangeDeviation));
        $isTool = in_array($counted, ['handful', 'knob'], true);
        $note = sprintf('1 %s taken as %s', $name, KitchenNumber::grams($each->value));
        if ($measured->isRange()) {
            $note .= sprintf('; %s to %s taken as %s', KitchenNumber::mixed($measured->low), KitchenNumber::mixed($measured->high), KitchenNumber::mixed($count));
        }

        return new FoundGrams($grams, null, true, $note, !$isTool && Counts::isPack($counted));
    }

    /** @return array{string, Amount}|null what was counted and the grams of one */
    private function weightOfOne(string $counted, ?string $size, ParsedLine $line, Ingredient $ingredient): ?array
    {
        $units = $ingredient->units;
        if ($counted === 'whole' && isset($units['fruit'])) {
            return [$line->part === null ? 'fruit' : "{$line->part} of one fruit", self::sized($units['fruit'], $size)];
        }
        if ($counted === 'whole') {
            foreach (NameSearch::words($line->name) as $word) {
                $noun = Counts::named($word);
                if ($noun !== null && $noun !== 'whole' && isset($units[$noun])) {
                    return [$noun, self::sized($units[$noun], $size)];
                }
            }
        }
        if ($size !== null && isset($units[$size]) && in_array($counted, ['whole', 'clove', 'pod'], true)) {
            return ["{$size} {$ingredient->name}", $units[$size]];
        }
        if (isset($units[$counted])) {
            return [$counted === 'whole' ? mb_strtolower($ingredient->name) : $counted, self::sized($units[$counted], $size)];
        }
        if ($counted === 'piece' && isset($units['whole'])) {
            return ['piece', self::sized($units['whole'], $size)];
        }
        if ($counted === 'whole') {
            return null;
        }
        $row = Counts::row($counted);
        $usual = (in_array('herb', $ingredient->roles, true) ? $row->numberOrNull('herb_grams') : null) ?? $row->numberOrNull('grams');

        return $usual === null ? null : [$counted, Amount::within($usual, $row->numberOrNull('spread') ?? self::LOOSE_SPREAD)];
    }

    private static function sized(Amount $amount, ?string $size): Amount
    {
        $facts = Facts::of(SizeFacts::class);

        return match ($size) {
            'small' => $amount->times($facts->small),
            'large' => $amount->times($facts->large),
            default => $amount,
        };
    }

    /** @param list<string> $others */
    private function withStates(ParsedLine $line, Ingredient $ingredient, FoundGrams $found, array $others, Sureness $sure, ?float $percent): ResolvedLine
    {
        $grams = $found->grams;
        $mixture = $ingredient->mixture;
        $notes = $found->note === null ? [] : [$found->note];
        $strength = $percent === null ? null : Potency::of($ingredient, $percent);
        if ($strength !== null) {
            $mixture = $strength->mixture;
            $notes[] = $strength->note;
        }
        if ($sure === Sureness::Likely) {
            $notes[] = sprintf('taken for %s', mb_strtolower($ingredient->name));
        }
        if ($found->isPack && in_array('drained', $line->tags, true) && $ingredient->drainedShare !== null) {
            $grams = $grams->times($ingredient->drainedShare)->doubtedBy(self::ABOUT);
            $notes[] = sprintf('drained, %d %% of the pack', (int) round(100.0 * $ingredient->drainedShare));
        }
        // a weight is of the thing as it is named; a count, and what stands after the comma, is of what was bought
        $isCount = $line->measured?->unit === null;
        $words = mb_strtolower(implode(' ', [$isCount ? $line->name : '', $line->preparation, ...$line->tags]));
        foreach (trim($words) === '' ? [] : FactsFile::named('states') as $state) {
            if (!Words::areIn($words, $state->list('words'))) {
                continue;
            }
            $lost = $state->numberOrNull('water_lost');
            if ($lost !== null && array_intersect($state->list('roles'), $ingredient->roles) !== [] && $mixture->percent(Component::Water) > 60.0 && $found->isPack === false) {
                $mixture = $mixture->with(Component::Water, $mixture->get(Component::Water) - 100.0 * $lost)->times(1.0 / (1.0 - $lost));
                $grams = $grams->times(1.0 - $lost)->doubtedBy($state->number('spread'));
                $notes[] = sprintf('%s: taken to lose %d %% of its weight', $state->key, (int) round(100.0 * $lost));
            }
            $heat = $state->numberOrNull('heat');
            if ($heat !== null && $ingredient->heatIsOfPods) {
                $mixture = $mixture->with(Component::CapsaicinoidHeat, $mixture->get(Component::CapsaicinoidHeat) * $heat);
                $notes[] = sprintf('%s: %d %% of its heat counted', $state->key, (int) round(100.0 * $heat));
            }
        }
        if (in_array('steeped', $line->tags, true)) {
            $mixture = Solids::dissolvedOf($mixture)->times(self::STEEPED_SHARE);
            $notes[] = sprintf('steeped and taken out: %d %% of what dissolves is counted', (int) round(100.0 * self::STEEPED_SHARE));
        }
        if (str_contains($line->preparation, 'zest and juice') || preg_match('/\bjuice (?:and|&) zest\b|\bzest (?:and|&) juice\b/iu', $line->text) === 1) {
            $notes[] = 'the juice is counted; give the zest a line of its own';
        }

        return new ResolvedLine($line->text, $ingredient, $grams, $found->millilitres, $found->isAssumed ? LineStatus::Assumed : LineStatus::Measured, $notes === [] ? null : implode('; ', $notes), $mixture, $others, $line->tags, $line->name, $line->measured, $line->amountText, $sure);
    }

    /** @param list<NameMatch> $near */
    private function unknown(ParsedLine $line, array $near): ResolvedLine
    {
        $keys = array_map(static fn(NameMatch $match): string => $match->key, array_slice($near, 0, 3));
        $names = array_map(fn(string $key): string => $this->catalogue->get($key)->name, $keys);
        $note = 'No ingredient of this name is known; the line is left out.' . ($names === [] ? ' Try a plainer name for it.' : ' Nearest: ' . implode(', ', $names) . '.');

        return $this->without($line, null, LineStatus::Unknown, $note, $keys);
    }

    /** @param list<string> $others */
    private function without(ParsedLine $line, ?Ingredient $ingredient, LineStatus $status, string $note, array $others): ResolvedLine
    {
        return new ResolvedLine($line->text, $ingredient, null, null, $status, $note, Mixture::nothing(), $others, $line->tags, $line->name, $line->measured, $line->amountText);
    }
}
