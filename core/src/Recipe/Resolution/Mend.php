<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\KitchenNumber;

/** A way to say a doubtful line more surely: the line as it would then read. */
final readonly class Mend
{
    private const MOST = 4;

    /** @param string $says what is offered, in a few words */
    private function __construct(public string $says, public string $text) {}

    /**
     * @return list<self> other ingredients it may mean, likeliest first, then its weight where an amount was assumed
     */
    public static function for(ResolvedLine $line, Catalogue $catalogue): array
    {
        $mends = Plausibility::isAskedAbout($line) ? [new self('so much is meant', Plausibility::meant($line))] : [];
        $mends = [...$mends, ...self::spoons($line)];
        foreach ($line->alternatives as $key) {
            if ($catalogue->has($key) && $line->written->name !== '') {
                $name = $catalogue->get($key)->name;
                $mends[] = new self($name, self::renamed($line, mb_strtolower($name)));
            }
        }
        if ($line->status === LineStatus::Assumed && $line->grams !== null && $line->ingredient !== null) {
            $weight = KitchenNumber::grams($line->grams->value);
            $mends[] = new self(
                "weighed, about {$weight}",
                trim(
                    "{$weight} "
                        . ($line->written->name === '' ? mb_strtolower($line->ingredient->name) : $line->written->name),
                ),
            );
        }

        return array_slice($mends, 0, self::MOST);
    }

    private static function renamed(ResolvedLine $line, string $name): string
    {
        $span = $line->written->nameSpan;

        return $span === null
            ? $name
            : substr($line->text(), 0, $span[0]) . $name . substr($line->text(), $span[1]);
    }

    /**
     * A spoon that is not said to be large or small: the two that it may be.
     *
     * @return list<self>
     */
    private static function spoons(ResolvedLine $line): array
    {
        $span = $line->written->lineSpan;
        $measured = $line->written->measured;
        if ($measured?->unit?->name !== 'spoon' || $span === null) {
            return [];
        }

        return array_map(static fn(string $spoon): self => new self(
            "a {$spoon}",
            substr($line->text(), 0, $span[0])
                . KitchenNumber::mixed($measured->middle()) . ' ' . ($spoon === 'tablespoon' ? 'tbsp' : 'tsp')
                . ' ' . ltrim(substr($line->text(), $span[1])),
        ), ['tablespoon', 'teaspoon']);
    }
}
