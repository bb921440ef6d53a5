<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Wish;
use Vinculum\Family\FamilyBook;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

/** What nobody named is a guess: an offer towards it goes two steps, or half of the way from nothing, and says so. */
final class GuessedFamilyTest extends TestCase
{
    /** Steps that the nearest spoon may be past it. */
    private const SPOON = 1.5;

    public function test_towards_a_guessed_family_one_answer_goes_a_little_way(): void
    {
        [$further, $guessed] = [0, 0];
        foreach (Classics::all() as $number => [$family, $title, $balance]) {
            if ($number % 3 !== 0) {
                continue;
            }
            // without what salts it, most are far from their family
            $bland = $balance->formula->withLines(...array_filter(
                $balance->formula->lines,
                static fn(ResolvedLine $line): bool => !in_array('salt', $line->ingredient->roles ?? [], true),
            ));
            if ($bland->lines === [] || count($bland->lines) === count($balance->formula->lines)) {
                continue;
            }
            $low = FamilyBook::get($family)->target->window(Axis::Salt)->low ?? 0.0;
            $adviser = new Adviser(Weighed::formula(Formula::of($bland->lines), $family, Measures::Metric));
            foreach ([true, false] as $isGuessed) {
                $advice = $adviser->answer(new Wish(isFamilyGuessed: $isGuessed));
                foreach ($advice->corrections as $correction) {
                    $after = $correction->after->stepsOn(Axis::Salt);
                    $most = max($advice->before->stepsOn(Axis::Salt) + 2.0 + self::SPOON, Axis::Salt->steps($low));
                    $isLittle = $after <= $most;
                    self::assertLessThanOrEqual($advice->distanceBefore, $correction->distanceAfter);
                    if ($isGuessed) {
                        ++$guessed;
                        self::assertTrue($isLittle, $title);
                    } else {
                        $further += (int) !$isLittle;
                    }
                }
            }
        }
        self::assertGreaterThan(40, $guessed);
        self::assertGreaterThan(20, $further, 'where the family is named, answers go all the way');
    }
}
