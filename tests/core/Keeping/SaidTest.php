<?php

declare(strict_types=1);

namespace Tests\core\Keeping;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Formula;
use Vinculum\CookSession\CookPlan;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Said;
use Vinculum\Planning\SauceTasks;
use Vinculum\Planning\Task;
use Vinculum\Quantity\Measures;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\TargetSize;

/** What the words of a recipe say of raw meat, of standing warm and of steeping. */
final class SaidTest extends TestCase
{
    /** Every animal, in every handling, and cooked in every way. */
    public function test_any_raw_animal_in_any_handling_is_told_and_no_cooked_one(): void
    {
        $said = FactsFile::named('said');
        $seen = 0;
        foreach (['meat', 'fish'] as $kind) {
            foreach ($said[$kind]->list('words') as $animal) {
                foreach (['Marinate the %s overnight.', 'Pour over the %s and chill.', 'Brush the %s with it as it grills.'] as $way) {
                    self::assertTrue(Said::in([sprintf($way, $animal)])->touchesRaw(), sprintf($way, $animal));
                    ++$seen;
                }
                foreach (['Serve with %s.', 'Good on grilled %s, or brush it over roast %1$s to serve.', 'Simmer 10 minutes.'] as $way) {
                    self::assertFalse(Said::in([sprintf($way, $animal)])->touchesRaw(), sprintf($way, $animal));
                    ++$seen;
                }
                foreach (['sauce', 'stock'] as $made) {
                    self::assertFalse(Said::in(["Marinate the tofu in the {$animal} {$made}."])->touchesRaw(), $animal);
                }
            }
        }
        self::assertGreaterThan(400, $seen);
    }

    public function test_contact_may_be_told_over_several_sentences(): void
    {
        self::assertTrue(Said::in(['Put the thighs in a bag.', 'Pour the sauce in and turn to coat.'])->touchesRaw());
        self::assertFalse(Said::in(['Fish out the bay leaf.', 'Toss the salad in it.'])->touchesRaw());
        self::assertFalse(Said::in(['Toss two ribs of celery and the celery ribs in it.'])->touchesRaw());
    }

    public function test_a_marinade_that_is_a_table_sauce_too_is_divided_in_the_plan(): void
    {
        $method = ['Whisk it.', 'Marinate the chicken in it overnight.', 'Serve the rest as a dip.'];
        $formula = Formula::fromTexts(['100 ml soy sauce', '60 ml lime juice'], Catalogue::shipped(), Measures::Metric);
        $sauce = Weighed::formula($formula, null, Measures::Metric, null, $method);
        $plan = CookPlan::of(Scale::of($sauce, TargetSize::factor('2')), $sauce);
        $names = static fn(bool $raw): array => array_map(
            static fn(Task $task): string => $task->name,
            SauceTasks::of('Dip', $plan, $raw)->tasks,
        );
        $told = $names(Said::in($method)->touchesRaw());
        $divide = array_keys(array_filter($told, static fn(string $name): bool => str_starts_with($name, 'Divide')));
        self::assertCount(1, $divide);
        self::assertStringContainsString('Marinate', $told[$divide[0] + 1]);
        self::assertCount(count($told) - 1, $names(false));
    }
}
