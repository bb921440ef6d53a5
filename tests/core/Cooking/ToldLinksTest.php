<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Balance\Formula;
use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\ToldLinks;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** What a cook sets by hand of when things go in wins over the words, and whatever is set, each line goes in once and whole. */
final class ToldLinksTest extends TestCase
{
    private const SEED = 20261202;
    private const LINES = [
        '300 g red onions, sliced', '2 tbsp olive oil', '150 ml cider vinegar', '80 g sugar', '1 tsp salt', '1 tbsp lime juice',
        '20 ml cider vinegar, to finish', 'black pepper', '2 cloves garlic', '1 bay leaf',
    ];
    private const METHOD = [
        'Fry the onions and garlic in the oil for 10 minutes.',
        'Add half the vinegar, the sugar and the bay leaf and simmer for 20 minutes with the lid off.',
        'Stir in the remaining ingredients.',
        'Fish out the bay leaf, then cool.',
        'Season with salt and pepper.',
    ];

    public function test_whatever_is_set_by_hand_counts_and_nothing_goes_in_twice(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $lines = Formula::fromTexts(self::LINES, Catalogue::shipped(), Measures::Metric)->lines;
        $names = ToldLinks::names($lines);
        self::assertSame(count($names), count(array_unique($names)));
        for ($round = 0; $round < 300; ++$round) {
            [$set, $method] = [[], self::METHOD];
            foreach ($names as $line => $name) {
                if ($dice->getInt(0, 2) === 0) {
                    $set[$line] = $dice->getInt(0, count($method) - 1);
                }
            }
            foreach ($method as $step => $text) {
                $here = array_map(static fn(int $line): string => $names[$line], array_keys($set, $step, true));
                $method[$step] = $here === [] ? $text : "{$text} [with " . implode('; ', $here) . ']';
            }
            $steps = MethodReader::steps($method);
            self::assertCount(count(self::METHOD), $steps, implode("\n", $method));
            $links = MethodLinks::of($steps, $lines);
            foreach (array_keys($names) as $line) {
                $shares = array_map(static fn(array $put): float => $put[$line] ?? 0.0, $links->puts);
                self::assertEqualsWithDelta(1.0, array_sum($shares), 0.01, "{$names[$line]}: " . implode("\n", $method));
                if (isset($set[$line])) {
                    self::assertSame([$set[$line]], $links->stepsOf($line), "{$names[$line]}: " . implode("\n", $method));
                }
            }
            self::assertSame([], $links->told->unknown);
        }
    }

    public function test_a_tag_is_no_word_of_its_step_and_says_where_it_differs(): void
    {
        $lines = Formula::fromTexts(self::LINES, Catalogue::shipped(), Measures::Metric)->lines;
        $steps = MethodReader::steps(['Stir in the lime juice. [with boiling water; salt]', 'Simmer 20 minutes. [with lime juice]']);
        $links = MethodLinks::of($steps, $lines);

        self::assertSame(['do', 'Stir in the lime juice.'], [$steps[0]->kind, $steps[0]->text]);
        self::assertSame([1 => 'boiling water'], array_map(current(...), [1 => $links->told->unknown[0]]));
        self::assertSame([5 => 0], $links->elsewhere);
        self::assertSame([
            '"1 tbsp lime juice" goes in at step 2, as you set it; the words of step 1 put it in there.',
            'No line is called "boiling water", which step 1 is set to take.',
        ], $links->notesOnTold($lines));
    }

    /** A line is parted where its sentences are, and a claim of keeping between them is not lost. */
    public function test_a_line_is_parted_into_all_its_sentences(): void
    {
        $method = ['Boil 5 minutes, then simmer for 20. Keeps 3 months in the fridge.', 'Cool. [with salt]', 'Stir.'];
        self::assertSame(
            [['Boil 5 minutes', 'simmer for 20.', 'Keeps 3 months in the fridge.'], ['Cool. [with salt]'], ['Stir.']],
            MethodReader::parted($method),
        );
    }
}
