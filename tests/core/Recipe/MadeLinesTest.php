<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Line;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\Role;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\NameReading;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Resolution\Sureness;

/** Lines by the ten thousand, whose truth is known because they were made from it: MadeLines. */
final class MadeLinesTest extends TestCase
{
    private const SEED = 20261201;
    private const SEVERAL = 11_000;
    private const CHOICES = 2_000;
    private const RIGHT_WANTED = 0.95;
    /** One amount of one thing, read in two ways of writing it. */
    private const AS_MUCH = 0.12;

    private static LineResolver $resolver;

    public static function setUpBeforeClass(): void
    {
        self::$resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
    }

    public function test_of_what_a_line_names_nothing_is_lost_and_nothing_weighed_wrong_in_silence(): void
    {
        $made = new MadeLines(self::SEED);
        [$count, $right, $lost, $wrong] = [0, 0, [], []];
        foreach ([$made->ofOne(), $made->ofSeveral(self::SEVERAL), $made->ofChoices(self::CHOICES)] as $lines) {
            foreach ($lines as [$text, $truth]) {
                ++$count;
                $entries = self::$resolver->entries($text);
                [$isThere, $isMeasured] = self::compared($truth, $entries);
                $right += $isThere && $isMeasured && count($entries) === count($truth) ? 1 : 0;
                if (self::isSilent($entries)) {
                    $lost = $isThere ? $lost : [...$lost, $text];
                    $wrong = $isMeasured ? $wrong : [...$wrong, $text];
                }
            }
        }

        self::assertGreaterThan(20_000, $count);
        self::assertSame([], $lost, 'something that a line names was passed over in silence');
        self::assertSame([], $wrong, 'an amount was read as another in silence');
        self::assertGreaterThanOrEqual(self::RIGHT_WANTED, $right / $count);
    }

    /**
     * A thing of a line is written alone on a sheet, on the bench and in what is scaled: read again it is the same thing, and
     * as much of it.
     */
    public function test_a_thing_of_a_line_reads_alone_as_it_did_in_its_line(): void
    {
        $ways = [
            '2 limes: zest of 1, juice of both', '3 oranges, juice of all, zest of 1', '2 lemons, one zested, both juiced', 'zest and juice of 2 lemons',
            '2 cups of water (plus ½ cup for the slurry)', '300 ml cider vinegar, plus 2 tbsp for the end', '75 g light brown sugar and half that of dark',
            'a cup of vinegar and two of sugar', '2 tbsp honey, 1 of mustard', '3 cloves garlic + 1 more at the end', '350 g sugar, 50 g of it brown',
            '1 tsp each of ground cloves, mace and ginger', '2 tbsp butter and oil', '200 g sugar and three times as much water', '1 lemon, zested, plus 2 tbsp juice',
        ];
        $lines = [...$ways, ...array_map(static fn(array $one): string => $one[0], iterator_to_array((new MadeLines(self::SEED))->ofSeveral(4000), false))];
        [$asked, $other] = [0, []];
        foreach ($lines as $line) {
            foreach (self::$resolver->entries($line) as $entry) {
                if ($entry->ingredient === null || $entry->grams === null || $entry->sure !== Sureness::Certain) {
                    continue;
                }
                ++$asked;
                $alone = self::$resolver->entries($entry->written->text);
                $isSame = count($alone) === 1 && $alone[0]->ingredient?->key === $entry->ingredient->key
                    && abs(($alone[0]->grams->value ?? 0.0) - $entry->grams->value) <= 0.005 * $entry->grams->value + 0.01;
                if (!$isSame) {
                    $other[] = "{$line} → {$entry->written->text}";
                }
            }
        }
        self::assertGreaterThan(4000, $asked);
        self::assertSame([], $other);
    }

    /** Words shuffled, cut, doubled, unknown ones put in: whatever a line says has a role, or is shown as unread. */
    public function test_whatever_is_written_every_word_has_a_role_or_is_shown(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $grammar = new LineGrammar(Measures::Us, new NameReading(Catalogue::shipped()));
        $odd = ['zorp', 'without', 'peanuts', 'instead of', '2', '½', '(', ')', ',', ';', 'or', 'no', 'wheat flour', '…', '🥜', '%', 'each', '50 %', '–'];
        $count = 0;
        foreach ((new MadeLines(self::SEED))->ofSeveral(4000) as [$text]) {
            $words = explode(' ', $text);
            $at = $dice->getInt(0, count($words) - 1);
            $words = match ($dice->getInt(0, 3)) {
                0 => $dice->shuffleArray($words),
                1 => array_slice($words, 0, $at + 1),
                2 => [...array_slice($words, 0, $at), $words[$at], ...array_slice($words, $at)],
                default => [...array_slice($words, 0, $at), $odd[$at % count($odd)], ...array_slice($words, $at)],
            };
            $line = implode(' ', $words);
            self::assertEveryWordIsTold($grammar->read($line), self::$resolver->entries($line), $line);
            ++$count;
        }
        self::assertSame(4000, $count);
    }

    /** A food, an allergen or a "without" that nothing is made of takes the certainty from its line. */
    public function test_what_is_not_read_is_never_certain(): void
    {
        foreach (['100 g sugar', '2 tbsp soy sauce', '1 onion', '3 cloves garlic', '1 cup cream'] as $line) {
            foreach (['zorped', 'rolled in peanuts', 'without wheat', 'instead of fish sauce', 'brushed with egg', 'no gluten'] as $more) {
                $entry = self::$resolver->entries("{$line}, {$more}")[0];
                self::assertSame(Sureness::Likely, $entry->sure, "{$line}, {$more}");
                self::assertNotSame([], $entry->unread, "{$line}, {$more}");
                $notes = implode(' ', Balance::of(Formula::of([$entry]))->notes);
                self::assertStringContainsString("nothing was made of \"{$entry->unread[0]}", $notes);
            }
        }
    }

    /** A food put anywhere into a line is read, or has the role of a choice, a purpose or a note, or its line is doubtful. */
    public function test_a_food_put_anywhere_is_not_passed_over(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $grammar = new LineGrammar(Measures::Us, new NameReading(Catalogue::shipped()));
        $joins = [
            'with', 'in', 'and', 'on', 'plus', 'of', 'from', '-', ',', '/', 'like', 'for', 'to', '', 'mixed with', 'stuffed with', '&', '+', ';', 'or', 'without', 'as',
        ];
        $foods = ['peanuts' => 'peanut', 'fish sauce' => 'fish-sauce', 'milk' => 'milk', 'celery' => 'celery', '2 tbsp peanut butter' => 'peanut-butter'];
        [$count, $passedOver] = [0, []];
        foreach ((new MadeLines(self::SEED))->ofOne() as $number => [$text]) {
            if ($number % 3 !== 0) {
                continue;
            }
            [$words, $food] = [explode(' ', $text), array_keys($foods)[$dice->getInt(0, 4)]];
            array_splice($words, $dice->getInt(0, count($words)), 0, [trim($joins[$dice->getInt(0, 21)] . " {$food}")]);
            [$line, $entries] = [implode(' ', $words), self::$resolver->entries(implode(' ', $words))];
            ++$count;
            $keys = array_map(static fn(ResolvedLine $one): ?string => $one->ingredient?->key, $entries);
            if (!in_array($foods[$food], $keys, true) && self::isSilent($entries) && !self::isBeside($food, $grammar->read($line))) {
                $passedOver[] = $line;
            }
        }
        self::assertGreaterThan(3000, $count);
        // what makes another name of it ("goat's milk milk") is all that is left
        self::assertLessThan(0.005, count($passedOver) / $count, implode("\n", $passedOver));
    }

    /** Whether a food stands in a line as a choice, a purpose or a note. */
    private static function isBeside(string $food, Line $line): bool
    {
        foreach ($line->tokens as $number => $token) {
            $isIt = in_array($token->lower, explode(' ', $food), true);
            if ($isIt && in_array($line->roles[$number] ?? null, [Role::Alternative, Role::Purpose, Role::Note], true)) {
                return true;
            }
        }

        return false;
    }

    /** @param non-empty-list<ResolvedLine> $entries */
    private static function assertEveryWordIsTold(Line $line, array $entries, string $text): void
    {
        $said = 0;
        foreach ($line->tokens as $number => $token) {
            $said += $token->says() && !isset($line->roles[$number]) ? 1 : 0;
        }
        self::assertSame($said === 0, $line->unread === [], $text);
        // what no token holds is a space
        $rest = $text;
        foreach (array_reverse($line->tokens) as $token) {
            $rest = substr_replace($rest, '', $token->offset, $token->end - $token->offset);
        }
        self::assertSame('', trim($rest), $text);
        foreach ($entries as $entry) {
            self::assertFalse($line->unread !== [] && $entry->unread !== [] && $entry->sure === Sureness::Certain, $text);
        }
        $allergens = AllergenWords::in(implode('; ', $line->unread));
        self::assertTrue($allergens === [] || $entries[0]->sure !== Sureness::Certain, $text);
    }

    /**
     * @param list<array{string, string, string|null}> $truth
     * @param non-empty-list<ResolvedLine> $entries
     *
     * @return array{bool, bool} whether all of it is there, and as much of it
     */
    private static function compared(array $truth, array $entries): array
    {
        $keys = array_map(static fn(ResolvedLine $line): ?string => $line->ingredient?->key, $entries);
        [$isThere, $isMeasured] = [true, true];
        foreach ($truth as [$key, $name, $amount]) {
            $alone = self::$resolver->entries(trim("{$amount} {$name}"));
            if (count($alone) !== 1 || $alone[0]->ingredient?->key !== $key) {
                // what is not understood even alone is another test's (EveryNameTest)
                continue;
            }
            $at = array_search($key, $keys, true);
            $isThere = $isThere && $at !== false;
            $isMeasured = $isMeasured
                && ($at === false || self::isAsMuch($alone[0]->grams?->value, $entries[$at]->grams?->value));
        }

        return [$isThere, $isMeasured];
    }

    private static function isAsMuch(?float $wanted, ?float $found): bool
    {
        return $wanted === null || $found === null
            ? $wanted === $found
            : abs($found / $wanted - 1.0) < self::AS_MUCH;
    }

    /** @param non-empty-list<ResolvedLine> $entries */
    private static function isSilent(array $entries): bool
    {
        return array_filter(
            $entries,
            static fn(ResolvedLine $line): bool => $line->ingredient === null || $line->sure === Sureness::Likely
                || $line->unread !== [] || $line->status === LineStatus::Unknown,
        ) === [];
    }
}
