<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\CookingLosses;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\NameWords;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** What a method roasts before it goes in, and the water that this takes: "Roast the peppers for 40 minutes". */
final readonly class RoastedLines
{
    /** @param array<string, true> $named words of the things that are roasted */
    private function __construct(private array $named) {}

    /** @param array<string> $method as written */
    public static function of(array $method): self
    {
        $named = [];
        foreach ($method as $line) {
            foreach (preg_split('/(?<=[.;!])\s+|,?\s+then\s+/u', mb_scrub($line)) ?: [] as $sentence) {
                $at = MethodWords::verbPlace($sentence, 'dries');
                // what is roasted stands behind the word, up to where or how long
                $object = $at === null ? '' : (string) preg_replace(
                    '/\b(?:in|on|under|over|at|for|until|till|with)\b.*$/ius',
                    '',
                    substr($sentence, $at),
                );
                $named += array_fill_keys(NameWords::of($object), true);
            }
        }

        return new self($named);
    }

    /**
     * The water that the named among these lines lose; none for what says itself that it is roasted.
     *
     * @param array<ResolvedLine> $lines
     */
    public function losses(array $lines): CookingLosses
    {
        [$water, $doubt] = [0.0, 0.0];
        foreach ($lines as $line) {
            $lost = isset($this->named[self::head($line)]) ? $line->waterLostRoasting() : null;
            $water += $lost->value ?? 0.0;
            $doubt = hypot($doubt, $lost->deviation ?? 0.0);
        }
        $of = static fn(float $grams): Mixture => Mixture::of([Component::Water->value => $grams]);

        return $water > 0.0 ? CookingLosses::of($of($water), $of($doubt)) : CookingLosses::none();
    }

    /** The word that names a line's thing: the last that tells something. */
    private static function head(ResolvedLine $line): string
    {
        $words = array_filter(
            NameWords::of($line->written->name),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        );

        return $words === [] ? '' : end($words);
    }
}
