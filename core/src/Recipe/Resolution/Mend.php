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
        $text = $line->text();
        $at = mb_stripos($text, $line->written->name);

        return $at === false
            ? $name
            : mb_substr($text, 0, $at) . $name . mb_substr($text, $at + mb_strlen($line->written->name));
    }
}
