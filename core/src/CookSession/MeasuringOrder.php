<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Ingredient\Texture;

/**
 * The order in which a cook measures, to wash up least: by stage; what is weighed or poured before what is spooned;
 * then from the big spoon to the small, all that share one together; wet before dry; the largest first (common
 * practice).
 */
final class MeasuringOrder
{
    private const SPOONS = ['tbsp' => 'tablespoon', 'tsp' => 'teaspoon'];

    /**
     * @param list<MeasureTask> $items
     * @param bool $isAtOnce all of it before the first stage
     *
     * @return list<MeasureTask>
     */
    public static function inOrder(array $items, bool $isAtOnce = false): array
    {
        usort(
            $items,
            static fn(MeasureTask $a, MeasureTask $b): int => [
                $isAtOnce ? 0 : $a->stage,
                self::rank($a),
                self::isDry($a),
                -$a->grams,
                $a->line,
            ] <=> [$isAtOnce ? 0 : $b->stage, self::rank($b), self::isDry($b), -$b->grams, $b->line],
        );

        return $items;
    }

    /** The spoon that a measure needs: "tablespoon"; null where it needs none. */
    public static function spoon(string $measure): ?string
    {
        foreach (self::SPOONS as $short => $spoon) {
            if (preg_match("/\\b{$short}\\b/u", $measure) === 1) {
                return $spoon;
            }
        }

        return null;
    }

    private static function rank(MeasureTask $item): int
    {
        $rank = array_search(self::spoon($item->measure), array_values(self::SPOONS), true);

        return $rank === false ? 0 : 1 + $rank;
    }

    private static function isDry(MeasureTask $item): int
    {
        return $item->texture === Texture::Liquid ? 0 : 1;
    }
}
