<?php

declare(strict_types=1);

namespace Tests\core\Kitchen;

use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\Hob;
use Vinculum\CookSession\CookSheet;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Wish;
use Vinculum\Drafting\Drafter;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\TargetSize;
use Vinculum\Substitution\SwapReason;
use Vinculum\Substitution\SwapSearch;

/** Who has no scale is never told a weight: over the plain sauce of every family, its draft, sizes, sheet and corrections. */
final class NoScaleTest extends TestCase
{
    private const WORDS = ['too-salty', 'too-sour', 'too-sweet', 'too-hot', 'flat', 'not-sour', 'not-salty', 'too-thick', 'too-thin', 'harsh'];

    public function test_no_answer_asks_for_a_weight(): void
    {
        $kitchen = new Kitchen(Catalogue::shipped(), Hob::unknown(), keepsHeadings: false, hasScale: false);
        [$said, $weights] = [0, []];
        foreach (FamilyBook::keys() as $at => $family) {
            $measures = [Measures::Metric, Measures::Us, Measures::Imperial][$at % 3];
            $empty = $kitchen->weigh($kitchen->readBegun("# A sauce\nStyle: {$family}\n")->in($measures));
            $texts = RecipeLine::texts((new Drafter($empty))->draft(600.0)->written($empty->formula, $measures));
            $sauce = $kitchen->weigh($kitchen->read("# A sauce\nStyle: {$family}\n\n" . implode("\n", $texts) . "\n")->in($measures));
            foreach ([...$texts, ...self::sized($sauce), ...self::corrected($sauce), ...self::swapped($sauce)] as $text) {
                ++$said;
                if (UnweighedAmount::isWeight($text)) {
                    $weights[] = "{$family}: {$text}";
                }
            }
        }

        self::assertSame([], $weights);
        self::assertGreaterThan(8000, $said);
    }

    /** @return list<string> */
    private static function sized(Sauce $sauce): array
    {
        $said = [];
        foreach (['1', '1.7', '0.4'] as $factor) {
            $scale = Scale::of($sauce, TargetSize::factor($factor));
            $sheet = CookSheet::of($sauce, $factor === '1' ? null : $scale, false);
            foreach ($sheet->ready as $item) {
                array_push($said, $item->says, $item->measure);
            }
        }

        return $said;
    }

    /** @return list<string> how much of each other thing, and the lines as they would then stand */
    private static function swapped(Sauce $sauce): array
    {
        $said = [];
        foreach (array_slice($sauce->formula->lines, 0, 3, true) as $line => $of) {
            $swaps = $of->ingredient === null ? [] : (new SwapSearch($sauce, $line, SwapReason::missing()))->substitutes();
            foreach (array_slice($swaps, 0, 3) as $swap) {
                [$edits, $added] = $swap->written($sauce->formula, $sauce->measures(), false);
                array_push($said, $swap->measure->words(), ...array_values($edits), ...$added);
            }
        }

        return $said;
    }

    /** @return list<string> */
    private static function corrected(Sauce $sauce): array
    {
        $said = [];
        foreach (self::WORDS as $word) {
            $advice = (new Adviser($sauce))->answer(new Wish(Complaint::named($word)));
            foreach ([...$advice->corrections, ...$advice->mends] as $correction) {
                foreach ($correction->additions as $one) {
                    array_push($said, $one->measure->words(), $one->firstDose);
                }
            }
        }

        return $said;
    }
}
