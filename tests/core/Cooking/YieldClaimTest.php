<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\YieldClaim;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Quantity\Measures;

/** What a recipe says that it comes to, and what its sentences mean by "everything" and by commas. */
final class YieldClaimTest extends TestCase
{
    /** @return iterable<array{string, bool}> */
    public static function sentences(): iterable
    {
        yield ['Makes about 4 x 300 ml jars.', true];
        yield ['This makes 500 ml', true];
        yield ['Yields 2 cups.', true];
        yield ['Fills three or 4 jars.', true];
        yield ['Makes a paste.', false];
        yield ['Make a slurry of 1 tbsp cornflour.', false];
        yield ['Makes 4 parcels; fry them.', false];
        yield ['The salt makes 2 cups of juice run, then drain.', false];
    }

    #[DataProvider('sentences')]
    public function test_a_sentence_that_says_how_much_it_makes_is_no_step(string $sentence, bool $isClaim): void
    {
        self::assertSame($isClaim, YieldClaim::isWhole($sentence));
        self::assertCount($isClaim ? 1 : 2, MethodReader::steps(['Simmer for 20 minutes.', $sentence]));
    }

    public function test_it_is_what_the_finished_sauce_comes_to(): void
    {
        $kitchen = Kitchen::shipped();
        $sauce = $kitchen->weigh($kitchen->read(
            "# Relish\n\n1 kg tomatoes\n300 g sugar\n300 ml cider vinegar\n\nMethod:\nSimmer for 40 minutes. Makes about 4 x 250 ml jars.\n",
        ));
        self::assertTrue($sauce->balance()->isFinished);
        self::assertEqualsWithDelta(1000.0, $sauce->formula->yield?->millilitres?->value, 1.0);
    }

    /** Said in passing above the list it counts as well; jars without a size are asked for theirs. */
    public function test_it_may_be_said_in_passing_and_jars_of_no_size_are_counted(): void
    {
        foreach ([
            ['My neighbour swears by this on grilled fish. Makes 2 bottles.', 'Makes 2 bottles', 2],
            ['A good one for autumn! This makes about 750 ml.', 'This makes about 750 ml', null],
            ['We love it. It fills a small jar, and it never lasts.', null, 1],
            ["It's sharp, it's sticky, and it makes 5 jars.", 'it makes 5 jars', 5],
            ['It makes two people happy.', null, null],
        ] as [$blurb, $said, $jars]) {
            $kitchen = Kitchen::shipped();
            $recipe = $kitchen->read("Hot sauce\n\n{$blurb}\n\nIngredients\n500 g tomatoes\n100 ml vinegar\n3 chillies\n\nMethod\nSimmer for 20 minutes.\n");
            $told = (string) $recipe->saidYield();
            if ($said !== null) {
                self::assertSame($said, rtrim($told, '. '), $blurb);
            }
            self::assertSame($jars, MeasuredYield::jarsOfUnknownSize($told, Measures::Metric), $blurb);
        }
        foreach (['3 jars' => 3, 'about four small bottles' => 4, 'a jar' => 1, '2 jars of 300 ml' => null, '6 x 250 ml' => null, '500 g' => null] as $text => $count) {
            self::assertSame($count, MeasuredYield::jarsOfUnknownSize((string) $text, Measures::Metric), (string) $text);
        }
    }

    /** Every two names of which a third is made: a comma between keeps them two. */
    public function test_a_comma_keeps_two_things_two(): void
    {
        foreach ([['garlic', 'salt'], ['garlic', 'vinegar'], ['chilli', 'oil'], ['celery', 'salt'], ['onion', 'powder sugar']] as [$one, $other]) {
            $kitchen = Kitchen::shipped();
            $recipe = $kitchen->read("# x\n\n20 g {$one}\n10 g {$other}\n500 g tomatoes\n\nMethod:\nBlend the tomatoes.\nAdd the {$one}, {$other} and nothing else.\n");
            $links = MethodLinks::of(MethodReader::steps($recipe->method), $kitchen->formula($recipe)->lines);
            self::assertSame([], $links->unnamed, "{$one}, {$other}");
            self::assertSame([0, 1], array_keys($links->puts[1] ?? []), "{$one}, {$other}");
        }
    }

    public function test_everything_leaves_what_is_called_the_rest_afterwards(): void
    {
        $kitchen = Kitchen::shipped();
        $recipe = $kitchen->read("# x\n\n100 ml olive oil\n60 g almonds\n2 tbsp sherry vinegar\n\nMethod:\nToast the almonds in 1 tbsp of the oil.\nBlend everything with the vinegar.\nPour in the remaining oil.\n");
        $links = MethodLinks::of(MethodReader::steps($recipe->method), $kitchen->formula($recipe)->lines);
        self::assertArrayNotHasKey(0, $links->puts[1]);
        self::assertGreaterThan(0.8, $links->puts[2][0] ?? 0.0);
    }
}
