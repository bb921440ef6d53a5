<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Facts\Words;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * Whether a rule's conditions hold for a sauce. The fields are explained at the head of cautions.ini and keeping.ini.
 */
final readonly class Conditions
{
    /** Where nothing is known of its acid a sauce counts as neutral. */
    private const NEUTRAL = 7.0;

    /**
     * @param list<ResolvedLine> $lines that name an ingredient or should
     * @param list<string> $texts what each of them says: as written, what it was taken for, and what that is made of
     * @param string $together all of that
     */
    private function __construct(
        private Balance $balance,
        private array $lines,
        private array $texts,
        private string $together,
        private Said $said,
    ) {}

    public static function of(Balance $balance): self
    {
        $lines = $balance->formula->ingredientLines();

        $treatment = $balance->treatment;

        $texts = array_map(self::text(...), $lines);

        return new self(
            $balance,
            $lines,
            $texts,
            implode("\n", $texts),
            Said::in($treatment->method, $treatment->said),
        );
    }

    private static function text(ResolvedLine $line): string
    {
        $made = FactsFile::named('compounds')[$line->ingredient?->kind() ?? ''] ?? null;

        return implode('. ', [$line->text(), $line->ingredient->name ?? '', $made?->textOr('of', '') ?? '']);
    }

    /** Whether every condition that the row names holds. */
    public function hold(Row $row): bool
    {
        foreach ($row->fields() as $field) {
            if (!$this->holds($field, $row)) {
                return false;
            }
        }

        return true;
    }

    /** Whether what a field of a row asks for is so; a field that asks for nothing always is. */
    private function holds(string $field, Row $row): bool
    {
        $mixture = $this->balance->mixture;

        return match ($field) {
            'any' => $this->holdsAny($row->list('any')),
            'any_too' => $this->holdsAny($row->list('any_too')),
            'kind' => $this->isOf(
                $row->list('kind'),
                $row->numberOrNull('kind_share_over'),
                $row->has('kind_but') ? $row : null,
            ) || $this->holdsAny($row->list('any_or')),
            'kind_too' => $this->isOf($row->list('kind_too'), null),
            'words' => $row->has('grams_over')
                ? $this->gramsSaid($row) > $row->number('grams_over')
                : $this->saying($row) !== [],
            'unknown' => array_filter(
                $this->lines,
                static fn(ResolvedLine $line): bool => $line->status === LineStatus::Unknown,
            ) !== [],
            'allergens' => $this->balance->allergens() !== [],
            'fat_over' => $mixture->percent(Component::Fat) > $row->number('fat_over'),
            'ethanol_over' => $mixture->percent(Component::Ethanol) > $row->number('ethanol_over'),
            'sugar_over' => $mixture->percentOf(Component::sugars()) > $row->number('sugar_over'),
            'sugar_under' => $mixture->percentOf(Component::sugars()) < $row->number('sugar_under'),
            'heat_over' => $this->balance->taste->heat > $row->number('heat_over'),
            'strength_over' => $this->holdsOne(
                static fn(Mixture $hundredGrams): bool
                    => self::dryStrength($hundredGrams) >= $row->number('strength_over'),
            ),
            'acetic_over' => $this->holdsOne(
                static fn(Mixture $hundredGrams): bool
                    => $hundredGrams->percent(Component::Acetic) > $row->number('acetic_over'),
            ),
            'ferments_under' => $this->balance->treatment->isFermented
                && $this->balance->treatment->ph() === null
                && $mixture->percent(Component::Salt) < $row->number('ferments_under'),
            'ph_high_over' => $this->balance->ph !== null && $this->ph() > $row->number('ph_high_over'),
            'ph_unknown' => $this->balance->ph === null,
            'ph_over' => $this->ph() > $row->number('ph_over'),
            'ph_at_most' => $this->ph() <= $row->number('ph_at_most'),
            'stable' => $this->isStable(),
            'unless_stable' => !$this->isStable(),
            'in_oil' => InOil::isIn($this->balance, $this->lines),
            'infused' => $this->said->isInfused(),
            'touches' => array_filter($row->list('touches'), $this->said->touches(...)) !== [],
            'unless_divided' => !$this->said->isDivided(),
            'said' => $this->said->holds($row, 'said'),
            'left_out' => $this->said->isLeftOut(),
            'unless_slow' => !$this->isSlow(),
            'slow' => $this->isSlow(),
            'unless_pickled' => !$this->isPickled(),
            'unless_kept' => !$this->isStable() && !$this->isSlow() && $this->ph() > Facts::of(
                SharpFacts::class,
            )->surePhAtMost,
            'sharp_beyond_doubt' => $this->isSharpBeyondDoubt() === ($row->text('sharp_beyond_doubt') === 'yes'),
            'ph_low_under' => ($this->balance->ph->low ?? 0.0) < $row->number('ph_low_under'),
            'ph_low_from' => ($this->balance->ph->low ?? 0.0) >= $row->number('ph_low_from'),
            'cooked' => $this->balance->treatment->isCooked === ($row->text('cooked') === 'yes'),
            'unless_measured_ph_at_most' => ($this->balance->treatment->ph() ?? self::NEUTRAL) > $row->number(
                'unless_measured_ph_at_most',
            ),
            default => true,
        };
    }

    /**
     * Whether little can grow in it, whatever its acid: by its water activity, its salt or its alcohol; or because it
     * is one thing as it was bought.
     */
    private function isStable(): bool
    {
        $edges = Facts::of(StableFacts::class);

        return $this->waterActivity() <= $edges->waterActivityAtMost
            || $this->ofWater([Component::Ethanol->value]) >= $edges->ethanolOfWaterFrom
            || $this->ofWater([Component::Salt->value]) >= $edges->saltOfWaterFrom
            || $this->isAsBought($edges->asBought);
    }

    /**
     * Whether what could grow in the cold has too little free water, by its salt, its sugar or its alcohol: it keeps for
     * weeks in the fridge.
     */
    private function isSlow(): bool
    {
        $facts = Facts::of(SlowFacts::class);

        return $this->waterActivity() <= $facts->waterActivityAtMost
            && ($this->ofWater([Component::Salt->value]) >= $facts->saltOfWaterFrom
                || $this->ofWater(Component::sugars()) >= $facts->sugarOfWaterFrom
                || $this->ofWater([Component::Ethanol->value]) >= $facts->ethanolOfWaterFrom);
    }

    /**
     * Per cent of the water phase that some components are.
     *
     * @param list<string> $components
     */
    private function ofWater(array $components): float
    {
        $amounts = $this->balance->mixture->amounts();
        $grams = array_sum(array_map(static fn(string $one): float => $amounts[$one] ?? 0.0, $components));
        $water = $this->balance->mixture->get(Component::Water);

        return $water > 0.0 ? 100.0 * $grams / ($water + $grams) : 0.0;
    }

    /** Whether an estimate of its acid, or a measurement, is enough for weeks. */
    private function isSharpBeyondDoubt(): bool
    {
        $facts = Facts::of(SharpFacts::class);
        if ($this->balance->treatment->ph() !== null || $this->ph() <= $facts->surePhAtMost) {
            return true;
        }

        return !$this->isOf($facts->kinds, $facts->shareUnder) && $this->ph() < $facts->phUnder;
    }

    /**
     * Whether raw plants lie in vinegar, or in a finished ferment: sharp by the upper edge, with so much acetic acid in
     * the water, or so much salt, that moulds are slow too.
     */
    private function isPickled(): bool
    {
        $facts = Facts::of(SharpFacts::class);
        $isSharp = $this->ph() <= $facts->surePhAtMost;
        $treatment = $this->balance->treatment;

        return !InOil::isIn($this->balance, $this->lines)
            && $isSharp
            && ($this->ofWater([Component::Acetic->value]) >= $facts->aceticOfWaterFrom
                || $treatment->isFermented && $treatment->ph() !== null
                    && $this->ofWater([Component::Salt->value]) >= $facts->saltOfWaterFrom);
    }

    /** @param list<string> $kinds */
    private function isAsBought(array $kinds): bool
    {
        if ($this->balance->treatment->isCooked) {
            return false;
        }
        $keys = array_unique(
            array_map(
                static fn(ResolvedLine $line): string => $line->ingredient->key ?? "unknown {$line->text()}",
                $this->lines,
            ),
        );

        return count($keys) === 1
            && $this->isOf($kinds, null)
            && !$this->isOf(Facts::of(StableFacts::class)->notAsBought, null);
    }

    /** The pH that limits are held against: measured, or the upper end of the estimate. */
    private function ph(): float
    {
        return $this->balance->treatment->ph() ?? $this->balance->ph->high ?? self::NEUTRAL;
    }

    /** By its upper end; 1 where it is not known. What holds next to no water is dry. */
    private function waterActivity(): float
    {
        if (
            $this->balance->treatment->waterActivity === null
            && $this->balance->mixture->grams() > 0.0
            && $this->isDry()
        ) {
            return 0.0;
        }

        return $this->balance->waterActivity->high ?? 1.0;
    }

    /** Whether nothing in it is wet: the little water of dry things is bound in them. */
    private function isDry(): bool
    {
        $most = Facts::of(StableFacts::class)->dryAtMost;

        return !$this->holdsOne(
            static fn(Mixture $hundredGrams): bool => $hundredGrams->percent(Component::Water) > $most,
        )
            && array_filter($this->lines, static fn(ResolvedLine $line): bool => $line->ingredient === null) === [];
    }

    /** SHU on dry weight, as pods are rated. */
    private static function dryStrength(Mixture $hundredGrams): float
    {
        $dry = 1.0 - $hundredGrams->percent(Component::Water) / 100.0;

        return $dry > 0.0 ? $hundredGrams->get(Component::CapsaicinoidHeat) / 100.0 / $dry : 0.0;
    }

    /** @param list<string> $keys */
    private function holdsAny(array $keys): bool
    {
        $inIt = array_map(static fn(ResolvedLine $line): string => $line->ingredient?->kind() ?? '', $this->lines);

        return array_intersect($keys, $inIt) !== [];
    }

    /** @param callable(Mixture): bool $is of 100 g of one thing */
    private function holdsOne(callable $is): bool
    {
        foreach ($this->lines as $line) {
            if ($line->ingredient !== null && $is($line->hundredGrams)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether something in it is of one of these kinds; each may be several words, all true of one thing.
     *
     * @param list<string> $kinds
     * @param float|null $share such things are more than so much of the whole, per cent
     * @param Row|null $but lines with words of its field kind_but are not meant
     */
    private function isOf(array $kinds, ?float $share, ?Row $but = null): bool
    {
        $grams = 0.0;
        foreach ($this->lines as $line) {
            if ($but?->isSaidIn($line->text(), 'kind_but') === true) {
                continue;
            }
            foreach ($kinds as $kind) {
                if ($line->ingredient !== null && array_diff(explode(' ', $kind), $line->ingredient->kinds) === []) {
                    $grams += $line->grams->value ?? 0.0;
                    if ($share === null) {
                        return true;
                    }
                    break;
                }
            }
        }

        return $share !== null && $grams > $share / 100.0 * $this->balance->mixture->grams();
    }

    /**
     * @return list<ResolvedLine> the lines that hold the row's words: as written, in what they were taken for, or in
     *     what that is made of
     */
    private function saying(Row $row): array
    {
        $saying = [];
        // most rows speak of nothing that is here: one look at all lines together tells
        foreach ($row->isSaidIn($this->together, 'words') ? $this->lines : [] as $at => $line) {
            if (
                $row->isSaidIn($this->texts[$at], 'words')
                && !($row->has('but') && $row->isSaidIn($line->text(), 'but'))
                && (!$row->has('also') || $row->isSaidIn($this->texts[$at], 'also'))
            ) {
                $saying[] = $line;
            }
        }

        return $saying;
    }

    private function gramsSaid(Row $row): float
    {
        // a line that was not understood may hold any amount
        return array_sum(
            array_map(
                static fn(ResolvedLine $line): float => $line->grams->value
                    ?? ($line->status === LineStatus::Unknown ? INF : 0.0),
                $this->saying($row),
            ),
        );
    }
}
