<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Volume;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** How much is wanted, as a factor of the recipe, and what it is to be filled into. */
final readonly class TargetSize
{
    /** What is left free in a container so that it does not overflow (contract: 5 % by default). */
    public const HEAD_SPACE = 0.05;
    /** The share that stays in pan and funnel (common practice). */
    public const USUAL_LOSS = 0.03;

    /**
     * @param list<array{float, int}> $containers millilitres of one, and how many
     * @param string|null $limitedBy ingredient key
     */
    private function __construct(
        public float $factor,
        public array $containers = [],
        public ?string $limitedBy = null,
    ) {}

    /** @throws ScaleFault */
    public static function factor(string $asked): self
    {
        $number = str_replace(',', '.', trim($asked));
        if (
            !is_numeric($number)
            || !is_finite((float) $number)
            || (float) $number < Scale::LEAST
            || (float) $number > Scale::MOST
        ) {
            throw ScaleFault::notAFactor($asked);
        }

        return new self((float) $number);
    }

    /**
     * "6 x 250 ml, 2 x 500 ml", "1.5 l" or "2 kg": of the finished sauce where a yield is known, else of what is mixed.
     *
     * @param float $loss what stays in the pan and on the spoon, as a share
     *
     * @throws ScaleFault
     */
    public static function amount(
        string $asked,
        Formula $formula,
        Measures $measures,
        float $headSpace = self::HEAD_SPACE,
        float $loss = 0.0,
    ): self {
        $finished = FinishedBatch::of($formula)->mixture;
        if ($finished->grams() <= 0.0) {
            throw ScaleFault::nothingIn();
        }
        $containers = Containers::in($asked, $measures, $finished->grams() / Volume::millilitres($finished));
        if ($containers !== []) {
            $millilitres = array_sum(
                array_map(static fn(array $one): float => $one[0] * $one[1] * (1.0 - $headSpace), $containers),
            );

            return self::checked($millilitres / (1.0 - $loss) / Volume::millilitres($finished), $asked, $containers);
        }
        $whole = MeasuredYield::parse($asked, $measures) ?? throw ScaleFault::notAnAmount($asked);
        $factor = $whole->grams !== null
            ? $whole->grams->value / $finished->grams()
            : ($whole->millilitres->value ?? 0.0) / Volume::millilitres($finished);

        return self::checked($factor / (1.0 - $loss), $asked);
    }

    /**
     * For more people, or fewer, than the recipe serves.
     *
     * @throws ScaleFault
     */
    public static function servings(string $serves, int $written): self
    {
        $people = str_replace(',', '.', trim($serves));

        return is_numeric($people) && (float) $people > 0.0
            ? self::factor((string) ((float) $people / $written))
            : throw ScaleFault::notAFactor($serves);
    }

    /** @throws ScaleFault */
    public static function portions(string $serves, string $portion, Formula $formula, Measures $measures): self
    {
        $people = str_replace(',', '.', trim($serves));
        $each = MeasuredYield::parse($portion, $measures);
        $amount = $each->millilitres->value ?? $each->grams->value ?? 0.0;
        if (!is_numeric($people) || (float) $people <= 0.0 || $amount <= 0.0) {
            throw ScaleFault::notAnAmount("{$serves} × {$portion}");
        }

        return self::amount(
            ($amount * (float) $people) . ($each?->millilitres === null ? ' g' : ' ml'),
            $formula,
            $measures,
        );
    }

    /**
     * As much as there is: "gooseberries 340 g", or of several things, "340 g gooseberries, 2 lemons": what runs out
     * first decides.
     *
     * @throws ScaleFault where one of them is not understood or not in the recipe: none is passed over
     */
    public static function have(string $asked, Formula $formula, Catalogue $catalogue, Measures $measures): self
    {
        $resolver = new LineResolver($catalogue, $measures);
        $each = [];
        foreach (preg_split('/\s*(?:;|\n|,(?!\d))\s*/u', trim($asked), -1, PREG_SPLIT_NO_EMPTY) ?: [''] as $part) {
            foreach ($resolver->entries($part) as $line) {
                $each[] = self::ofWhatThereIs($line, $part, $formula);
            }
        }
        usort($each, static fn(self $one, self $other): int => $one->factor <=> $other->factor);

        return $each[0];
    }

    /** @throws ScaleFault */
    private static function ofWhatThereIs(ResolvedLine $line, string $asked, Formula $formula): self
    {
        if ($line->ingredient === null || !$line->countsInTheMixture()) {
            throw ScaleFault::nothingToHave($asked);
        }
        [$needed, $names, $like] = [0.0, [], []];
        foreach ($formula->lines as $one) {
            if ($one->ingredient !== null && $one->countsInTheMixture()) {
                $names[] = mb_strtolower($one->ingredient->name);
                $needed += $one->ingredient->key === $line->ingredient->key ? $one->grams->value ?? 0.0 : 0.0;
                if (self::isMeant($line->ingredient, $one->ingredient)) {
                    $like[$one->ingredient->key] = ($like[$one->ingredient->key] ?? 0.0) + ($one->grams->value ?? 0.0);
                }
            }
        }
        if ($needed <= 0.0 && count($like) === 1) {
            // "vinegar" where the recipe says which
            $needed = reset($like);
        }
        if ($needed <= 0.0) {
            throw ScaleFault::notInTheRecipe($line->ingredient->name, $names);
        }

        $factor = self::checked(($line->grams->value ?? 0.0) / $needed, $asked)->factor;

        return new self($factor, [], array_key_first($like) ?? $line->ingredient->key);
    }

    /** Whether a plain word ("vinegar", "sugar") may mean one that the recipe calls by its full name. */
    private static function isMeant(Ingredient $asked, Ingredient $written): bool
    {
        $words = array_filter(explode(' ', mb_strtolower($asked->name)), static fn(string $word): bool => $word !== '');

        return $asked->key === $written->key
            || ($asked->roles[0] ?? '') === ($written->roles[0] ?? null)
                && array_intersect($words, explode(' ', mb_strtolower($written->name))) !== [];
    }

    /** @param list<array{float, int}> $containers */
    private static function checked(float $factor, string $asked, array $containers = []): self
    {
        return $factor >= Scale::LEAST && $factor <= Scale::MOST && is_finite($factor)
            ? new self($factor, $containers)
            : throw ScaleFault::notAFactor($asked);
    }
}
