<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Volume;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Quantity\Measures;

/** What a recipe comes to by its method alone, beside what it says it comes to: fifty recipes. */
final class ToldYieldsTest extends TestCase
{
    /** So near is near enough for jars to be counted. */
    private const NEAR = 0.25;

    public function test_the_finished_amount_is_about_what_recipes_say(): void
    {
        $ratios = [];
        $text = (string) preg_replace('/^;.*\n/m', '', (string) file_get_contents(__DIR__ . '/data/yields.txt'));
        foreach (explode("\n=====\n", trim($text)) as $one) {
            [$recipe, $told] = explode("\n= ", $one);
            $measures = preg_match('/ (?:cups|lb) /', $recipe) === 1 ? Measures::Us : Measures::Metric;
            $kitchen = Kitchen::shipped();
            $found = $kitchen->weigh($kitchen->read($recipe)->in($measures))->balance()->mixture;
            $yield = MeasuredYield::parse(trim($told), $measures);
            self::assertNotNull($yield, $recipe);
            $ratios[] = $yield->grams !== null
                ? $found->grams() / $yield->grams->value
                : Volume::millilitres($found) / (float) $yield->millilitres?->value;
        }
        sort($ratios);
        $near = array_filter($ratios, static fn(float $ratio): bool => abs($ratio - 1.0) <= self::NEAR);

        self::assertCount(50, $ratios);
        self::assertGreaterThanOrEqual(40, count($near), 'four of five');
        self::assertEqualsWithDelta(1.1, $ratios[25], 0.12, 'no more than a tenth too much at the median');
    }
}
