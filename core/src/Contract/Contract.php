<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Balance\DoubtAdvice;
use Vinculum\Balance\Reading;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\Correction;
use Vinculum\Correction\Design;
use Vinculum\Correction\DesignedLine;
use Vinculum\Correction\Lever;
use Vinculum\Correction\OtherWay;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Grade;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Cautions;
use Vinculum\Mixture\Component;
use Vinculum\Mixture\Mixture;
use Vinculum\Mixture\Solids;
use Vinculum\Mixture\Volume;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Reading\Mend;
use Vinculum\Reading\ResolvedLine;
use Vinculum\Style\StyleFamily;
use Vinculum\Taste\Axis;
use Vinculum\Taste\Target;
use Vinculum\Taste\Taste;
use Vinculum\Taste\TasteLoad;

/** The shapes of the public JSON contract, for the command line and for HTTP alike. Masses in grams, volumes in millilitres. */
final class Contract
{
    /** @return array<string, mixed> */
    public static function balance(Balance $balance, ?string $title, ?StyleFamily $style, Measures $measures): array
    {
        $mixture = $balance->mixture;
        $cautions = array_map(static fn(Caution $caution): array => ['code' => $caution->code, 'severity' => $caution->severity, 'text' => $caution->text, 'source' => $caution->source], Cautions::for($balance));

        return [
            'title' => $title,
            'style' => $style?->key,
            'measures' => $measures->value,
            'basis' => $balance->isFinished ? 'finished' : 'mixed',
            'lines' => array_map(static fn(ResolvedLine $line): array => self::line($line, $balance->formula->catalogue), $balance->formula->lines),
            'batch' => self::batch($mixture),
            'body' => ['class' => $balance->body->class, 'from' => $balance->body->from, 'starch_percent_of_water' => self::round($balance->body->starchPercentOfWater)],
            'axes' => self::axes($balance->axes, $style?->target),
            'ratios' => self::ratios($balance),
            'ph' => $balance->ph === null ? null : self::estimate($balance->ph),
            'water_activity' => $balance->waterActivity === null ? null : self::estimate($balance->waterActivity),
            'nose_heat' => self::round($mixture->percent(Component::NoseHeat)),
            'distance' => $style === null ? null : self::round($style->target->distance($balance->taste)),
            'allergens' => $balance->allergens(),
            'diets' => $balance->diets(),
            'cautions' => $cautions,
            'notes' => $balance->notes,
            'doubt' => self::doubt($balance),
            'doubt_advice' => self::doubtAdvice($balance),
            'bands' => array_map(static fn(Reading $reading): array => ['value' => self::round($reading->value), 'low' => self::round($reading->low), 'high' => self::round($reading->high)], $balance->figures),
        ];
    }

    /** @return array<string, mixed> */
    public static function advice(Advice $advice, Balance $balance, Measures $measures = Measures::Us): array
    {
        return [
            'before' => self::axes($balance->axes, $advice->target),
            'distance_before' => self::round($advice->distanceBefore),
            'corrections' => array_map(static fn(Correction $correction): array => self::correction($correction, $advice, $balance), $advice->corrections),
            'notes' => $advice->notes,
            'other_ways' => array_map(static fn(OtherWay $way): array => ['kind' => $way->kind, 'says' => $way->says, 'grams' => self::roundOrNull($way->grams), 'distance_after' => self::roundOrNull($way->distanceAfter)], $advice->otherWays),
            'levers' => self::levers($advice, $balance, $measures),
        ];
    }

    /** @return array<string, mixed> */
    public static function ingredient(Ingredient $ingredient): array
    {
        $components = [];
        foreach ($ingredient->mixture->amounts() as $component => $grams) {
            if (Component::from($component)->isMass() && $grams > 0.0) {
                $components[$component] = self::round($grams);
            }
        }
        $load = TasteLoad::of($ingredient->mixture);

        return [
            'key' => $ingredient->key,
            'name' => $ingredient->name,
            'aliases' => $ingredient->aliases,
            'roles' => $ingredient->roles,
            'components' => $components,
            'sweet_per_100g' => self::round($load->sweet),
            'shu' => self::round($load->heat / 100.0),
            'nose_heat_per_100g' => self::round($ingredient->mixture->get(Component::NoseHeat)),
            'sid_meq_per_100g' => self::round($ingredient->mixture->get(Component::StrongIonDifference)),
            'ph' => $ingredient->ph,
            'density' => $ingredient->density === null ? null : self::round($ingredient->density),
            'forms' => (object) $ingredient->forms,
            'units' => (object) array_map(static fn(Amount $unit): array => ['grams' => $unit->value, 'sd' => self::round($unit->deviation)], $ingredient->units),
            'allergens' => $ingredient->allergens,
            'diets' => $ingredient->diets(),
            'grades' => array_map(static fn(Grade $grade): string => $grade->value, $ingredient->grades),
            'sources' => $ingredient->sources,
        ];
    }

    /**
     * An ingredient as the pantry shows it: what it does, what it is made of at a glance, and what a step of it costs in a litre.
     *
     * @return array<string, mixed>
     */
    public static function pantry(Ingredient $ingredient, Measures $measures): array
    {
        $mixture = $ingredient->mixture;
        $sum = static fn(string ...$components): float => self::round(array_sum(array_map(static fn(string $one): float => $mixture->get(Component::from($one)), $components)));
        $lever = Lever::in(Lever::referenceLitre(), Candidate::of($ingredient));
        $spoons = Spoons::of($measures);

        return [
            'key' => $ingredient->key,
            'name' => $ingredient->name,
            'roles' => $ingredient->roles,
            'own' => $ingredient->isOwn,
            'parts' => [
                'water' => $sum('water'),
                'sugars' => $sum('sucrose', 'glucose', 'fructose', 'maltose', 'lactose', 'galactose', 'sweetener'),
                'acids' => $sum('acetic', 'citric', 'malic', 'tartaric', 'lactic', 'phosphoric', 'oxalic', 'gluconic'),
                'salts' => $sum('salt', 'other_salts'),
                'fat' => $sum('fat'),
                'protein' => $sum('protein', 'glutamate', 'aspartate', 'imp', 'gmp', 'amp'),
                'starch' => $sum('starch', 'fibre'),
                'alcohol' => $sum('ethanol'),
                'other' => $sum('other'),
            ],
            'tastes' => array_combine(array_map(static fn(Axis $axis): string => $axis->value, Axis::cases()), array_map(static fn(Axis $axis): float => self::round(Taste::ofMixture($mixture)->on($axis)), Axis::cases())),
            'nose_heat' => self::round($mixture->get(Component::NoseHeat)),
            'ph' => $ingredient->ph,
            'lever' => $lever === null ? null : ['axis' => $lever->axis->value, 'grams' => self::round($lever->grams), 'measure' => $spoons->words($spoons->nearest($lever->grams, $ingredient->density, $ingredient->eachGrams()), $ingredient->density, $ingredient->eachGrams())],
            'allergens' => $ingredient->allergens,
            'diets' => $ingredient->diets(),
            'grades' => (object) array_map(static fn(Grade $grade): string => $grade->value, $ingredient->grades),
            'sources' => array_map(static fn(string $source): string => FactsFile::named('sources')[$source]->text('title') . (FactsFile::named('sources')[$source]->text('kind') === 'memory' ? ' (from memory)' : ''), $ingredient->sources),
        ];
    }

    /** @return array<string, mixed> */
    public static function style(StyleFamily $style): array
    {
        return [
            'key' => $style->key,
            'name' => $style->name,
            'windows' => array_filter(array_map(static fn(Axis $axis): ?array => self::window($style->target, $axis), array_combine(array_map(static fn(Axis $axis): string => $axis->value, Axis::cases()), Axis::cases()))),
            'references' => $style->references,
            'source' => $style->source,
            'base' => $style->base,
            'correctors' => $style->correctors,
            'body' => $style->body,
            'schools' => $style->schools,
        ];
    }

    /**
     * @param array<string, Reading> $readings by axis
     *
     * @return array<string, array<string, mixed>>
     */
    public static function axes(array $readings, ?Target $target): array
    {
        $axes = [];
        foreach (Axis::cases() as $axis) {
            $reading = $readings[$axis->value];
            $axes[$axis->value] = [
                'value' => self::round($reading->value),
                'low' => self::round($reading->low),
                'high' => self::round($reading->high),
                'unit' => $axis->unit(),
                'steps' => self::round($axis->steps($reading->value)),
                'window' => $target === null ? null : self::window($target, $axis),
                'off_by_steps' => self::roundOrNull($target?->window($axis)?->off($axis, $reading->value)),
                'low_steps' => self::round($axis->steps($reading->low)),
                'high_steps' => self::round($axis->steps($reading->high)),
                'window_steps' => self::windowSteps($target, $axis),
            ];
        }

        return $axes;
    }

    /** @return array<string, mixed> */
    private static function line(ResolvedLine $line, ?Catalogue $catalogue): array
    {
        return [
            'text' => $line->text,
            'ingredient' => $line->ingredient?->key,
            'grams' => $line->grams === null ? null : ['value' => self::round($line->grams->value), 'low' => self::round($line->grams->low()), 'high' => self::round($line->grams->high())],
            'millilitres' => self::roundOrNull($line->millilitres),
            'status' => $line->status->value,
            'note' => $line->note,
            'name' => $line->ingredient?->name,
            'alternatives' => $line->alternatives,
            'tags' => $line->tags,
            'written_name' => $line->writtenName,
            'choices' => $catalogue === null ? [] : array_map(static fn(Mend $mend): array => ['says' => $mend->says, 'text' => $mend->text], Mend::for($line, $catalogue)),
        ];
    }

    /** @return array<string, float|null> */
    private static function batch(Mixture $mixture): array
    {
        return [
            'grams' => self::round($mixture->grams()),
            'millilitres' => self::round(Volume::millilitres($mixture)),
            'density' => self::roundOrNull(Volume::density($mixture)),
            'water_percent' => self::round($mixture->percent(Component::Water)),
            'dissolved_solids_percent' => self::round(Solids::dissolvedPercent($mixture)),
            'fat_percent' => self::round($mixture->percent(Component::Fat)),
            'alcohol_percent' => self::round($mixture->percent(Component::Ethanol)),
        ];
    }

    /** @return array<string, float|null> */
    private static function ratios(Balance $balance): array
    {
        $taste = $balance->taste;

        return [
            'sweet_to_sour' => self::ratio($taste->sweet, $taste->sour),
            'salt_to_sweet' => self::ratio($taste->salt, $taste->sweet),
            'sour_to_fat' => self::ratio($taste->sour, $balance->mixture->percent(Component::Fat)),
            'umami_to_salt' => self::ratio($taste->umami, $taste->salt),
        ];
    }

    private static function ratio(float $top, float $bottom): ?float
    {
        return $bottom > 1e-6 ? self::round($top / $bottom) : null;
    }

    /**
     * Who brings the doubt: for each axis the lines that bring at least a tenth of it, the largest first.
     *
     * @return array<string, list<array{line: int, share: float}>>
     */
    private static function doubt(Balance $balance): array
    {
        return array_map(static function (Reading $reading): array {
            $shares = array_filter($reading->shares, static fn(float $share, int $line): bool => $share >= 0.1 && $line >= 0, ARRAY_FILTER_USE_BOTH);
            arsort($shares);

            return array_map(static fn(int $line, float $share): array => ['line' => $line + 1, 'share' => self::round($share)], array_keys($shares), $shares);
        }, $balance->axes);
    }

    /** @return list<array<string, mixed>> what one step costs of each thing that may be added, the strongest first */
    private static function levers(Advice $advice, Balance $balance, Measures $measures): array
    {
        $levers = [];
        $spoons = Spoons::of($measures);
        foreach ($balance->mixture->grams() > 0.0 ? $advice->candidates : [] as $candidate) {
            $lever = Lever::in($balance->load(), $candidate);
            if ($lever !== null) {
                $ingredient = $candidate->ingredient;
                $levers[] = [
                    'ingredient' => $ingredient->key,
                    'name' => $ingredient->name,
                    'axis' => $lever->axis->value,
                    'grams' => self::round($lever->grams),
                    'measure' => $spoons->words($spoons->nearest($lever->grams, $ingredient->density, $ingredient->eachGrams()), $ingredient->density, $ingredient->eachGrams()),
                    'also' => (object) array_map(self::round(...), array_filter($lever->also, static fn(float $steps): bool => abs($steps) >= 0.1)),
                ];
            }
        }
        usort($levers, static fn(array $a, array $b): int => $a['grams'] <=> $b['grams']);

        return $levers;
    }

    /** @return array<string, mixed> */
    public static function design(Design $design): array
    {
        return [
            'lines' => array_map(static fn(DesignedLine $line): array => ['ingredient' => $line->ingredient->key, 'name' => $line->ingredient->name, 'grams' => self::round($line->grams), 'measure' => $line->measure, 'reason' => $line->reason], $design->lines),
            'distance' => self::round($design->distance),
            'tastes' => array_combine(array_map(static fn(Axis $axis): string => $axis->value, Axis::cases()), array_map(static fn(Axis $axis): float => self::round($design->taste->on($axis)), Axis::cases())),
            'hindrances' => $design->hindrances,
        ];
    }

    private static function doubtAdvice(Balance $balance): ?string
    {
        $advice = DoubtAdvice::for($balance);
        if ($advice === null) {
            return null;
        }
        $line = $balance->formula->lines[$advice->line];
        $name = mb_strtolower($line->ingredient->name ?? $line->text);

        return sprintf(
            '%d %% of the doubt about %s comes from line %d, %s: %s%s.',
            (int) round(100.0 * $advice->share),
            $advice->axis->value,
            $advice->line + 1,
            $name,
            $advice->byWeighing ? 'weigh it' : 'its strength varies, so read its label or taste before the last of it goes in',
            $advice->halves && $advice->byWeighing ? ', and the band is half as wide' : '',
        );
    }

    /** @return array<string, mixed> */
    private static function correction(Correction $correction, Advice $advice, Balance $balance): array
    {
        $added = array_map(static fn(Addition $addition): ResolvedLine => ResolvedLine::ofGrams($addition->ingredient, Amount::within($addition->grams, $addition->ingredient->texture->deviation())), $correction->additions);

        return [
            'additions' => array_map(static fn(Addition $addition): array => [
                'ingredient' => $addition->ingredient->key,
                'name' => $addition->ingredient->name,
                'grams' => self::round($addition->grams),
                'measure' => $addition->measure,
                'first_dose_grams' => self::round($addition->firstDoseGrams),
                'first_dose' => $addition->firstDose,
            ], $correction->additions),
            'after' => self::axes($balance->axesAfter($added), $advice->target),
            'distance_after' => self::round($correction->distanceAfter),
            'added_grams' => self::round($correction->addedGrams),
            'batch_grams' => self::round($correction->mixture->grams()),
            'batch_millilitres' => self::round(Volume::millilitres($correction->mixture)),
            'side_effects' => $correction->sideEffects,
            'allergens_added' => $correction->allergensAdded,
        ];
    }

    /** @return array<string, float> */
    private static function estimate(Reading $reading): array
    {
        return ['estimate' => self::round($reading->value), 'low' => self::round($reading->low), 'high' => self::round($reading->high)];
    }

    /** @return array{float, float}|null */
    private static function window(Target $target, Axis $axis): ?array
    {
        $window = $target->window($axis);

        return $window === null ? null : [self::round($window->low), self::round($window->high)];
    }

    /** @return array{float, float}|null the edges of the window on the step scale */
    private static function windowSteps(?Target $target, Axis $axis): ?array
    {
        $window = $target?->window($axis);

        return $window === null ? null : [self::round($axis->steps($window->low)), self::round($axis->steps($window->high))];
    }

    /** Six significant figures: far finer than any doubt, and free of binary noise. */
    private static function round(float $value): float
    {
        return $value === 0.0 ? 0.0 : round($value, max(0, 5 - (int) floor(log10(abs($value)))));
    }

    private static function roundOrNull(?float $value): ?float
    {
        return $value === null ? null : self::round($value);
    }
}
