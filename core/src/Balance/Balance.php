<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Body;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\WaterActivity;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Suitability;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Resolution\Sureness;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/** Where a formula stands: what it is made of, how it tastes, and how sure that is. */
final readonly class Balance
{
    private const MOST_NAMED = 3;
    /** g of water and fat in 100 g (common practice). */
    private const DRY_UNDER = 15.0;
    private const LEAST_WATER_ACTIVITY_HALF_BAND = 0.005;

    /**
     * @param Mixture $mixture mixed, or finished where a yield is known
     * @param array<value-of<Axis>, Estimate> $axes
     * @param list<string> $notes
     */
    private function __construct(
        public Formula $formula,
        public Treatment $treatment,
        public Mixture $mixture,
        public bool $isFinished,
        public Taste $taste,
        public array $axes,
        public ?Estimate $ph,
        public ?Estimate $waterActivity,
        public Body $body,
        public array $notes,
        public BatchFigures $figures,
    ) {}

    public static function of(Formula $formula, Treatment $treatment = new Treatment()): self
    {
        $finished = FinishedBatch::of($formula);
        $mixture = $finished->mixture;
        $doubt = DoubtPropagation::about($formula, $mixture, $finished->yield, $formula->doses);
        $axes = self::readAxes($doubt);
        $acidity = AcidityEstimate::of($formula, $mixture, $doubt);

        return new self(
            $formula,
            $treatment,
            $mixture,
            $finished->isCooked,
            Taste::ofMixture($mixture),
            $axes,
            $treatment->measuredPh() ?? $acidity->reading,
            $treatment->measuredWaterActivity() ?? self::waterActivity($mixture, $doubt),
            Body::of($mixture, self::isEmulsified($formula)),
            [
                ...$finished->notes,
                ...self::notesOnLines($formula, $mixture),
                ...array_filter([$treatment->ph() === null ? $acidity->note : null]),
                ...self::notesOnDoubtful($formula),
                ...self::notesOnPacks($formula),
            ],
            BatchFigures::of($doubt, self::pungencyAwake($formula, $mixture), $treatment->measuredSolids()),
        );
    }

    /** @return array<value-of<Axis>, Estimate> the axes alone, where nothing else is asked: as of() has them */
    public static function axesOf(Formula $formula): array
    {
        $finished = FinishedBatch::of($formula);

        return self::readAxes(DoubtPropagation::about($formula, $finished->mixture, $finished->yield, $formula->doses));
    }

    /** Whether it is strewn and not poured: a rub has no thickness, and no water goes into it. */
    public function isDry(): bool
    {
        return $this->mixture->percent(Component::Water) + $this->mixture->percent(Component::Fat) < self::DRY_UNDER;
    }

    /** The same lines before cooking; null where nothing is cooked. */
    public function asMixed(): ?self
    {
        return $this->isFinished ? self::of($this->formula->uncooked()) : null;
    }

    public function load(): TasteLoad
    {
        return TasteLoad::of($this->mixture);
    }

    /**
     * The axes after adding something to the batch as it stands, with the doubt of both.
     *
     * @param list<ResolvedLine> $added
     *
     * @return array<value-of<Axis>, Estimate>
     */
    public function axesAfter(array $added): array
    {
        $mixture = $this->mixture;
        foreach ($added as $line) {
            $mixture = $mixture->plus($line->mixture());
        }

        return $this->axesAs($mixture, $added);
    }

    /**
     * Where it stands as another mixture of the same things.
     *
     * @param list<ResolvedLine> $added
     *
     * @return array<value-of<Axis>, Estimate> by axis
     */
    public function axesAs(Mixture $mixture, array $added = []): array
    {
        return self::readAxes(
            DoubtPropagation::about(
                $this->formula,
                $mixture,
                $this->isFinished ? $this->formula->yield : null,
                [...$this->formula->doses, ...$added],
            ),
        );
    }

    /**
     * Figures of it with their 90 % intervals.
     *
     * @template Name of string
     *
     * @param callable(Mixture): array<Name, float> $figures by name
     *
     * @return array<Name, Estimate> by name
     */
    public function estimate(callable $figures): array
    {
        return DoubtPropagation::about(
            $this->formula,
            $this->mixture,
            $this->isFinished ? $this->formula->yield : null,
            $this->formula->doses,
        )->on($figures);
    }

    /** @return list<string> allergens of every ingredient named, in the order of the regulation */
    public function allergens(): array
    {
        return self::allergensIn($this->formula);
    }

    /** @return list<string> diets that every ingredient named fits; none is claimed while a line is unknown */
    public function diets(): array
    {
        return self::dietsOf($this->formula);
    }

    /** @return list<string> as diets(), without weighing anything */
    public static function dietsOf(Formula $formula): array
    {
        $diets = Suitability::allDiets();
        $lines = $formula->ingredientLines();
        if (self::doubtful($formula) !== []) {
            return [];
        }
        foreach ($lines as $line) {
            $diets = array_intersect($diets, $line->ingredient?->suitability->diets() ?? []);
        }

        return $lines === [] ? [] : array_values($diets);
    }

    /**
     * Lines of which it is not sure what they are: not understood, or taken for something near.
     *
     * @return list<ResolvedLine>
     */
    private static function doubtful(Formula $formula): array
    {
        return array_values(
            array_filter(
                $formula->ingredientLines(),
                static fn(ResolvedLine $line): bool => $line->ingredient === null || $line->sure === Sureness::Likely,
            ),
        );
    }

    /** @return list<string> what depends on the pack, and on whose line */
    private static function notesOnPacks(Formula $formula): array
    {
        $depends = [];
        foreach (self::ingredientsOf($formula) as $ingredient) {
            if ($ingredient->suitability->often !== []) {
                $depends[mb_strtolower($ingredient->name)] = Words::listed($ingredient->suitability->often);
            }
        }

        return array_map(
            static fn(string $name, string $often): string
                => "Packs of {$name} often hold {$often}: read yours. Until then it counts as holding them.",
            array_keys($depends),
            $depends,
        );
    }

    /** @return list<string> that allergens and diets are incomplete, and for which lines */
    private static function notesOnDoubtful(Formula $formula): array
    {
        $doubtful = self::doubtful($formula);
        if ($doubtful === []) {
            return [];
        }
        $named = implode(
            ', ',
            array_map(
                static fn(ResolvedLine $line): string => '"' . mb_strimwidth(
                    trim($line->text()),
                    0,
                    40,
                    '…',
                ) . '"' . ($line->ingredient === null ? '' : ', taken for ' . mb_strtolower($line->ingredient->name)),
                array_slice($doubtful, 0, self::MOST_NAMED),
            ),
        );

        return [
            sprintf(
                'Allergens are incomplete and no diet is claimed while it is not sure what %s%s is.',
                $named,
                count($doubtful) > self::MOST_NAMED ? ' and ' . (count($doubtful) - self::MOST_NAMED) . ' more' : '',
            ),
        ];
    }

    /** Whether something in it holds oil and water together. */
    public static function isEmulsified(Formula $formula): bool
    {
        return array_intersect(FactsFile::named('body')['emulsion']->list('by'), self::allergensIn($formula)) !== [];
    }

    public function alcoholPercent(): float
    {
        return $this->mixture->percent(Component::Ethanol);
    }

    /**
     * The share of the bite that is there to be tasted: that of dry mustard and its like is made by an enzyme which
     * needs water.
     */
    private static function pungencyAwake(Formula $formula, Mixture $mixture): float
    {
        if ($mixture->percent(Component::Water) >= FactsFile::named('pungency')['wet']->number('from')) {
            return 1.0;
        }
        [$all, $asleep] = [0.0, 0.0];
        foreach ($formula->ingredientLines() as $line) {
            $pungency = $line->mixture()->get(Component::Pungency);
            $all += $pungency;
            $asleep += $line->ingredient?->isPungentWhenWet() === true ? $pungency : 0.0;
        }

        return $all > 0.0 ? 1.0 - $asleep / $all : 1.0;
    }

    /** @return array<value-of<Axis>, Estimate> */
    private static function readAxes(DoubtPropagation $doubt): array
    {
        return $doubt->on(static fn(Mixture $trial): array => Taste::ofMixture($trial)->byAxis(), [Axis::Heat->value]);
    }

    private static function waterActivity(Mixture $mixture, DoubtPropagation $doubt): ?Estimate
    {
        if (WaterActivity::of($mixture) === null) {
            return null;
        }
        $depends = [...array_keys(Component::every('norrish')), Component::Salt->value, Component::Water->value];
        ['aw' => $reading] = $doubt->on(
            static fn(Mixture $trial): array => ['aw' => WaterActivity::of($trial) ?? 1.0],
            [],
            array_values(array_intersect($depends, array_keys($mixture->amounts()))),
        );
        $half = max(self::LEAST_WATER_ACTIVITY_HALF_BAND, $reading->high - $reading->value);

        return new Estimate(
            $reading->value,
            max(0.0, $reading->value - $half),
            min(1.0, $reading->value + $half),
            $reading->shares,
        );
    }

    /** @return list<Ingredient> */
    private static function ingredientsOf(Formula $formula): array
    {
        $ingredients = array_map(
            static fn(ResolvedLine $line): ?Ingredient => $line->ingredient,
            $formula->ingredientLines(),
        );

        return array_values(array_filter($ingredients));
    }

    /** @return list<string> as allergens(), without weighing anything */
    public static function allergensIn(Formula $formula): array
    {
        $found = array_merge(
            [],
            ...array_map(
                static fn(Ingredient $ingredient): array => $ingredient->suitability->allergens,
                self::ingredientsOf($formula),
            ),
            ...array_map(
                static fn(ResolvedLine $line): array => AllergenWords::in($line->text()),
                self::doubtful($formula),
            ),
        );

        return array_values(array_intersect(array_keys(FactsFile::named('allergens')), $found));
    }

    /** @return list<string> */
    private static function notesOnLines(Formula $formula, Mixture $mixture): array
    {
        [$notes, $numbers] = [[], $formula->numbers()];
        foreach ($formula->lines as $at => $line) {
            if ($line->unread !== [] && $line->ingredient !== null) {
                $notes[] = sprintf(
                    'Line %d, "%s": nothing was made of "%s". Write it plainly, or in a line of its own.',
                    $numbers[$at],
                    mb_strimwidth($line->written->text, 0, 60, '…'),
                    implode('", "', $line->unread),
                );
            }
            if ($line->status === LineStatus::Unknown) {
                $notes[] = sprintf(
                    'Line %d, "%s", is left out: %s',
                    $numbers[$at],
                    mb_strimwidth($line->written->text, 0, 60, '…'),
                    $line->note ?? '',
                );
            } elseif ($line->status === LineStatus::ToTaste) {
                $notes[] = sprintf(
                    'Line %d, "%s", has no amount and counts as none.',
                    $numbers[$at],
                    mb_strimwidth($line->written->text, 0, 60, '…'),
                );
            }
        }
        if (count($notes) > 20) {
            $notes = [
                ...array_slice($notes, 0, 20),
                sprintf('%d more lines are left out or have no amount.', count($notes) - 20),
            ];
        }
        if ($mixture->grams() <= 0.0) {
            $notes[] = 'Nothing is counted yet: add an ingredient with an amount.';
        }

        return $notes;
    }
}
