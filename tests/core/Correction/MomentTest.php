<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Treatment;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\LateFacts;
use Vinculum\Correction\Wish;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Report\AdviceReport;

/** A correction of what is cooked says what goes into the pot now and what off the heat. */
final class MomentTest extends TestCase
{
    /** Common practice, over every sharp thing and herb of the catalogue: what is sharp or fragrant goes in last, what dissolves at once. */
    public function test_what_boils_away_goes_in_at_the_end(): void
    {
        $cooked = new Treatment(isCooked: true);
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $moment = LateFacts::moment($ingredient, $cooked);
            if (in_array($ingredient->roles[0] ?? '', ['acid', 'herb'], true)) {
                self::assertSame('at-the-end', $moment, $ingredient->key);
            }
            if (in_array($ingredient->roles[0] ?? '', ['sweetener', 'salt', 'heat', 'thickener'], true)) {
                self::assertSame('now', $moment, $ingredient->key);
            }
            self::assertNull(LateFacts::moment($ingredient, new Treatment()), 'what is not cooked has no other moment');
        }
        self::assertSame('at-the-end', LateFacts::moment(Catalogue::shipped()->get('water'), $cooked));
    }

    public function test_the_answer_says_so(): void
    {
        $kitchen = Kitchen::shipped();
        foreach ([
            "Method:\nSimmer uncovered for 20 minutes.\n" => ['now', 'at-the-end'],
            '' => [null],
        ] as $method => $moments) {
            $sauce = $kitchen->weigh($kitchen->read("# Ketchup\nStyle: ketchup\n\n1 kg tomatoes\n150 g sugar\n{$method}"));
            $advice = (new Adviser($sauce))->answer(new Wish());
            $said = [];
            foreach (AdviceReport::of($advice, $sauce)->corrections as $correction) {
                $said = [...$said, ...array_column($correction->additions, 'when')];
            }
            self::assertEqualsCanonicalizing($moments, array_values(array_unique($said)), $method);
        }
    }
}
