<?php

declare(strict_types=1);

namespace Tests\core\Scaling;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\MeasureTask;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Quantity\Measures;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\TargetSize;

/** A line of tins at another size says what is meant: read again it is that much, however the tins were told. */
final class PackedLinesTest extends TestCase
{
    private const PACKS = [
        '1 x 400g tin', '2 x 400 g tins', '3 × 200ml cartons of', '1 (400 g) tin', '400g tin', '1 jar (200 g)', '2 x 14 oz cans',
        'a 400g tin of', '2 x 250 g packs',
    ];
    /** So near a scale, and half an ounce of a tin, come. */
    private const NEAR = 0.05;

    public function test_what_is_written_at_another_size_is_what_is_measured(): void
    {
        $kitchen = Kitchen::shipped();
        [$asked, $wrong] = [0, []];
        foreach (self::PACKS as $pack) {
            foreach (['chopped tomatoes', 'coconut milk', 'chickpeas', 'black olives'] as $thing) {
                $sauce = $kitchen->weigh($kitchen->read("# x\n\n{$pack} {$thing}\n500 g sugar\n")->in(Measures::Metric));
                foreach (['0.3', '0.5', '0.83', '1.3', '1.7', '2', '2.4', '5'] as $factor) {
                    $line = Scale::of($sauce, TargetSize::factor($factor))->lines[0];
                    $text = $line->written(Measures::Metric);
                    $read = Formula::fromTexts([$text], Catalogue::shipped(), Measures::Metric)->lines[0]->grams->value ?? 0.0;
                    ++$asked;
                    if ($line->exactGrams === null || abs($read / $line->exactGrams - 1.0) > self::NEAR) {
                        $wrong[] = sprintf('%s %s, %s times: %s is %.0f g of %.0f', $pack, $thing, $factor, $text, $read, $line->exactGrams ?? 0.0);
                    }
                }
            }
        }

        self::assertSame([], $wrong);
        self::assertSame(288, $asked);
    }

    /** A tin of 700 g is sold nowhere: at any size a pack is the pack that the recipe told of, or what is weighed out of it. */
    public function test_no_pack_is_written_that_nobody_sells(): void
    {
        $kitchen = Kitchen::shipped();
        $sizes = ['1 x 400g tin' => 400.0, '1 jar (200 g)' => 200.0, 'two 400 g tins of' => 400.0, '2 x 250 g packs' => 250.0];
        foreach ($sizes as $pack => $size) {
            $sauce = $kitchen->weigh($kitchen->read("# x\n\n{$pack} chopped tomatoes\n500 g sugar\n")->in(Measures::Metric));
            for ($factor = 0.25; $factor < 6.0; $factor += 0.05) {
                $text = Scale::of($sauce, TargetSize::factor((string) round($factor, 2)))->lines[0]->written(Measures::Metric);
                $isPack = preg_match('/(\d+) g (?:tin|jar|pack)s?\b/', $text, $said) === 1;
                self::assertTrue(!$isPack || (float) ($said[1] ?? 0.0) === $size, "{$factor} times {$pack}: {$text}");
            }
        }
    }

    /** Of a 400 g tin no fresh thing is weighed out: wherever it is weighed, it is called tinned. */
    public function test_what_is_weighed_out_of_a_tin_is_called_so(): void
    {
        foreach (['chopped tomatoes', 'plum tomatoes, drained', 'chickpeas', 'peaches, drained', 'cherries'] as $thing) {
            foreach (['1 x 400 g tin' => 'tinned ', '2 x 400g tins' => 'tinned ', '1 x 350 g jar' => 'jarred '] as $pack => $packed) {
                $line = Formula::fromTexts(["{$pack} {$thing}"], Catalogue::shipped(), Measures::Metric)->lines[0];
                $isOnce = substr_count(mb_strtolower($line->called()), trim($packed)) === 1;
                self::assertTrue($isOnce, "{$pack} {$thing}: {$line->called()}");
            }
        }
        self::assertSame('chickpeas', Formula::fromTexts(['2 tins chickpeas'], Catalogue::shipped(), Measures::Metric)->lines[0]->called());
    }

    /** What nobody knows is said at the size that is cooked, on the sheet and in the cook. */
    public function test_an_unknown_line_is_said_at_its_size(): void
    {
        $kitchen = Kitchen::shipped();
        $sauce = $kitchen->weigh($kitchen->read("# x\n\n2 tbsp brindlewort paste\n500 g sugar\n")->in(Measures::Metric));
        $plan = CookPlan::of(Scale::of($sauce, TargetSize::factor('2')), $sauce);
        $says = array_map(static fn(MeasureTask $item): string => $item->says($item->measure), $plan->items);

        self::assertContains('4 tbsp brindlewort paste', $says);
    }
}
