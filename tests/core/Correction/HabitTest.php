<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\core\Weighed;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Correction;
use Vinculum\Correction\Habit;
use Vinculum\Correction\Wish;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\AnsweredTaste;
use Vinculum\Quantity\Measures;

/** What a cook took before comes first, once it is plain; nothing is offered that was not, and nothing is lost. */
final class HabitTest extends TestCase
{
    private const SEED = 20261204;

    public function test_a_way_goes_first_once_it_was_taken_twice_oftener(): void
    {
        $advice = self::advice();
        [$first, $second] = array_map(self::keys(...), array_slice($advice->corrections, 0, 2));
        $took = AnsweredTaste::of(['too-sour'], [$first, $second], $second);
        $other = AnsweredTaste::of(['too-sour'], [$first, $second], $first);
        self::assertNotNull($took);
        self::assertNotNull($other);
        $now = static fn(AnsweredTaste ...$answers): array => self::keys(
            Habit::of(array_values($answers), ['too-sour'])->ordering($advice)->corrections[0],
        );

        self::assertSame($first, $now($took));
        self::assertSame($second, $now($took, $took));
        self::assertSame($first, $now($took, $took, $other));
        $flipped = Habit::of([$took, $took], ['too-sour'])->ordering($advice);
        self::assertStringContainsString('stands first because you took it 2 times', implode(' ', $flipped->notes));
        self::assertSame($first, self::keys(Habit::of([$took, $took], ['too-salty'])->ordering($advice)->corrections[0]));
    }

    /** Whatever was answered, the same ways are offered, and only those that a cook sees change places. */
    public function test_nothing_is_added_and_nothing_lost(): void
    {
        $advice = self::advice();
        $ways = array_map(self::keys(...), array_slice($advice->corrections, 0, 3));
        $dice = new Randomizer(new Mt19937(self::SEED));
        for ($round = 0; $round < 300; ++$round) {
            $answers = [];
            for ($count = $dice->getInt(0, 12); $count > 0; --$count) {
                $answers[] = AnsweredTaste::of(['too-sour'], $ways, $dice->getInt(0, 3) === 3 ? null : $ways[$dice->getInt(0, 2)]);
            }
            $now = Habit::of(array_values(array_filter($answers)), ['too-sour'])->ordering($advice);
            self::assertEqualsCanonicalizing($ways, array_map(self::keys(...), array_slice($now->corrections, 0, 3)));
            self::assertSame(array_slice($advice->corrections, 3), array_slice($now->corrections, 3));
            $hasMoved = $now->corrections[0] !== $advice->corrections[0];
            self::assertCount(count($advice->notes) + ($hasMoved ? 1 : 0), $now->notes);
        }
    }

    public function test_what_was_taken_is_counted(): void
    {
        $answer = static fn(?array $taken): ?AnsweredTaste => AnsweredTaste::of(['flat'], [['salt'], ['soy-sauce']], $taken);
        self::assertNull($answer(['honey']), 'something else was added');
        self::assertNull(AnsweredTaste::of(['flat'], [], ['salt']));
        self::assertNull(AnsweredTaste::tally([]));
        self::assertSame(
            'Of 4 answers to a taste the first was taken 2 times, another once, none of them once.',
            AnsweredTaste::tally(array_values(array_filter(
                [$answer(['salt']), $answer(['salt']), $answer(['soy-sauce']), $answer(null)],
            ))),
        );
    }

    private static function advice(): Advice
    {
        $formula = Formula::fromTexts(
            ['400 ml water', '80 ml lime juice', '60 g sugar', '60 ml fish sauce', '1 clove garlic'],
            Catalogue::shipped(),
            Measures::Metric,
        );
        $advice = (new Adviser(Weighed::formula($formula, 'fish-sauce-dip')))
            ->answer(new Wish(Complaint::named('too-sour')));
        self::assertGreaterThanOrEqual(3, count(array_filter(
            $advice->corrections,
            static fn(Correction $one): bool => $one->additions !== [],
        )));

        return $advice;
    }

    /** @return list<string> */
    private static function keys(Correction $correction): array
    {
        return array_map(static fn(Addition $one): string => $one->ingredient->key, $correction->additions);
    }
}
