<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Vinculum\Correction\Correction;

final class ScenesTest extends TestCase
{
    /** Of all scenes a cook follows the first answer in 95 of 100, and one of three in 99. */
    public function test_a_cook_would_follow_the_answers(): void
    {
        [$scenes, $first, $amongThree] = [0, [], []];
        foreach (Scenes::of(__DIR__ . '/data/scenes.txt') as $name => $scene) {
            $objections = array_map(
                static fn(Correction $one): ?string => $scene->objection($one),
                array_slice($scene->advice()->corrections, 0, 3),
            );
            ++$scenes;
            $objection = $objections === [] ? 'no answer' : $objections[0];
            if ($objection !== null) {
                $first[] = "{$name}: {$objection}";
            }
            if (!in_array(null, $objections, true)) {
                $amongThree[] = "{$name}: " . implode('; ', $objections);
            }
        }

        self::assertGreaterThanOrEqual(150, $scenes);
        self::assertLessThanOrEqual(0.05 * $scenes, count($first), implode("\n", $first));
        self::assertLessThanOrEqual(0.01 * $scenes, count($amongThree), implode("\n", $amongThree));
    }
}
