<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** What a recipe says at the end of its method that it comes to: "Makes about 4 x 300 ml jars." No step of it. */
final class YieldClaim
{
    private const SAYS = '/^\W*(?:this |it |that |the recipe )?(?:makes|yields|fills|gives you|makes up to)\b.*\d/iu';
    /** "Makes 4 patties; fry them": more is told than how much. */
    private const MORE = '/[;:]|\b(?:then|and|until|before|into)\b/iu';

    /** Whether a sentence says that alone. */
    public static function isWhole(string $sentence): bool
    {
        return preg_match(self::SAYS, $sentence) === 1 && preg_match(self::MORE, $sentence) !== 1;
    }

    /**
     * The first that says it; null where none does.
     *
     * @param array<string> $method
     */
    public static function in(array $method): ?string
    {
        foreach ($method as $line) {
            foreach (preg_split('/(?<=[.!])\s+/u', trim(mb_scrub($line))) ?: [] as $sentence) {
                if (self::isWhole($sentence)) {
                    return rtrim($sentence, '. ');
                }
            }
        }

        return null;
    }
}
