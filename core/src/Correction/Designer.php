<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Family\Dose;
use Vinculum\Family\Family;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Drafts a sauce into its windows: locked lines stay, free ones take what amount is wanted, one carries the rest. */
final readonly class Designer
{
    /** How far a batch may grow, as factors, when locked lines leave too little room in it. */
    private const SIZES = [1.0, 1.1, 1.25, 1.5, 2.0];
    private const CLOSE_ENOUGH = 0.05;
    /** Roles of what sets the balance. */
    private const SEASONS = ['acid', 'sweetener', 'salt', 'umami', 'heat', 'base', 'water', 'fat'];

    private Family $family;

    /** @throws \InvalidArgumentException where it is of no family */
    public function __construct(private Sauce $sauce)
    {
        $this->family = $sauce->family ?? throw new \InvalidArgumentException('Choose a family first: it is drafted into its windows.');
    }

    /**
     * The unlocked lines that season are free, up to the doses of the family's cooks; the rest stay as they are. Where
     * none is there, the family's correctors are.
     *
     * @param string|null $base ingredient key; the largest unlocked line, else the style's usual base, when null
     *
     * @throws \InvalidArgumentException when the base is unknown or the locked lines alone fill the batch
     */
    public function draft(float $batchGrams, ?string $base = null): Design
    {
        [$aim, $catalogue, $measures] = [$this->sauce->aim, $this->sauce->catalogue(), $this->sauce->measures()];
        $fixed = Mixture::nothing();
        $free = [];
        $largest = null;
        foreach ($this->sauce->formula->lines as $line) {
            if ($line->ingredient === null) {
                continue;
            }
            if (!self::isFree($line)) {
                $fixed = $fixed->plus($line->mixture());
                continue;
            }
            $free[$line->ingredient->key] = $line->ingredient;
            if ($largest === null || ($line->grams->value ?? 0.0) > ($largest->grams->value ?? 0.0)) {
                $largest = $line;
            }
        }
        $carrier = $base ?? $largest->ingredient->key ?? $this->family->base;
        if (!$catalogue->has($carrier)) {
            throw new \InvalidArgumentException("There is no ingredient \"{$carrier}\" to build on.");
        }
        if ($free === []) {
            foreach ($this->family->correctors as $key) {
                $free[$key] = $catalogue->get($key);
            }
        }

        $doses = Dose::ofIngredients($this->family->key);
        $pastLargest = Facts::of(DoseLimits::class)->pastLargest;

        return DesignSearch::find(
            $fixed,
            Candidate::of($catalogue->get($carrier)),
            array_map(
                static fn(Ingredient $one): Candidate => Candidate::of(
                    $one,
                    isset($doses[$one->kind()])
                        ? $pastLargest * $doses[$one->kind()]->largest / 100.0 * $batchGrams
                        : INF,
                ),
                array_values($free),
            ),
            $aim->target() ?? $this->family->target,
            $batchGrams,
            $this->sauce->spoons(),
        );
    }

    /**
     * Like draft(), where the batch may grow to make room: the smallest size that stands in its windows, else the best.
     *
     * @throws \InvalidArgumentException as draft()
     */
    public function withRoom(float $batchGrams): Design
    {
        $best = null;
        foreach (self::SIZES as $size) {
            $design = $this->draft($size * $batchGrams);
            if ($best === null || $design->distance < $best->distance - self::CLOSE_ENOUGH) {
                $best = $design;
            }
            if ($best->distance < self::CLOSE_ENOUGH) {
                break;
            }
        }

        return $best;
    }

    /**
     * Whether a design may change this line: it is not locked, and it is there for the balance rather than for its
     * smell.
     */
    public static function isFree(ResolvedLine $line): bool
    {
        return !in_array('lock', $line->written->tags, true)
            && $line->ingredient !== null && self::seasons($line->ingredient);
    }

    /** Whether a thing is there for the balance, rather than for its smell. */
    public static function seasons(Ingredient $ingredient): bool
    {
        return array_intersect(self::SEASONS, $ingredient->roles) !== [];
    }
}
