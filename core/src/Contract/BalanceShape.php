<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Estimate;
use Vinculum\Balance\Parts;
use Vinculum\Balance\Shares;
use Vinculum\Balance\UncertaintyAdvice;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Cautions;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\Mend;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Style\StyleFamily;

/** The balance of a formula. The shapes of the public JSON contract, for the command line and for HTTP alike: grams, millilitres, mass percent. */
final class BalanceShape
{
    /**
     * @param Target|null $own where this cook likes the family to stand, as far as tastings tell
     *
     * @return array<string, mixed>
     */
    public static function of(Balance $balance, ?string $title, ?StyleFamily $style, Measures $measures, ?Target $own = null): array
    {
        $mixture = $balance->mixture;
        $cautions = array_map(KeepShape::caution(...), Cautions::for($balance));

        return [
            'title' => $title,
            'style' => $style?->key,
            'measures' => $measures->value,
            'basis' => $balance->isFinished ? 'finished' : 'mixed',
            'lines' => array_map(static fn(ResolvedLine $line): array => self::line($line, $balance->formula->catalogue), $balance->formula->lines),
            'batch' => self::batch($balance),
            'body' => ['class' => $balance->body->class, 'from' => $balance->body->from, 'starch_percent_of_water' => Figure::round($balance->body->starchPercentOfWater)],
            'axes' => self::axes($balance->axes, $style?->target, $own),
            'ratios' => self::ratios($balance),
            'ph' => $balance->ph === null ? null : self::estimate($balance->ph),
            'water_activity' => $balance->waterActivity === null ? null : self::estimate($balance->waterActivity),
            'nose_heat' => Figure::round($mixture->percent(Component::NoseHeat)),
            'distance' => $style === null ? null : Figure::round($style->target->distance($balance->taste)),
            'allergens' => $balance->allergens(),
            'diets' => $balance->diets(),
            'cautions' => $cautions,
            'notes' => $balance->notes,
            'mixed' => $balance->isFinished ? self::mixed(Balance::of($balance->formula->uncooked()), $style?->target, $own) : null,
            'shares' => self::shares($balance),
            'parts' => self::parts($balance),
            'doubt' => self::doubt($balance),
            'doubt_advice' => self::doubtAdvice($balance),
            'bands' => array_map(static fn(Estimate $reading): array => ['value' => Figure::round($reading->value), 'low' => Figure::round($reading->low), 'high' => Figure::round($reading->high)], $balance->figures),
        ];
    }

    /** @return array<string, mixed> the same lines before cooking */
    private static function mixed(Balance $mixed, ?Target $style, ?Target $own): array
    {
        return ['grams' => Figure::round($mixed->mixture->grams()), 'millilitres' => Figure::round(Volume::millilitres($mixed->mixture)), 'axes' => self::axes($mixed->axes, $style, $own)];
    }

    /**
     * @param array<string, Estimate> $readings by axis
     *
     * @return array<string, array<string, mixed>>
     */
    public static function axes(array $readings, ?Target $target, ?Target $own = null): array
    {
        $axes = [];
        foreach (Axis::cases() as $axis) {
            $reading = $readings[$axis->value];
            $axes[$axis->value] = [
                'value' => Figure::round($reading->value),
                'low' => Figure::round($reading->low),
                'high' => Figure::round($reading->high),
                'unit' => $axis->unit(),
                'steps' => Figure::round($axis->steps($reading->value)),
                'window' => $target === null ? null : self::window($target, $axis),
                'off_by_steps' => Figure::roundOrNull($target?->window($axis)?->off($axis, $reading->value)),
                'low_steps' => Figure::round($axis->steps($reading->low)),
                'high_steps' => Figure::round($axis->steps($reading->high)),
                'window_steps' => self::windowSteps($target, $axis),
                'own_steps' => self::windowSteps($own, $axis),
                'own_off_by_steps' => Figure::roundOrNull($own?->window($axis)?->off($axis, $reading->value)),
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
            'grams' => $line->grams === null ? null : ['value' => Figure::round($line->grams->value), 'low' => Figure::round($line->grams->low()), 'high' => Figure::round($line->grams->high())],
            'millilitres' => Figure::roundOrNull($line->millilitres),
            'status' => $line->status->value,
            'sure' => $line->sure?->value,
            'note' => $line->note,
            'name' => $line->ingredient?->name,
            'alternatives' => $line->alternatives,
            'tags' => $line->tags,
            'written_name' => $line->writtenName,
            'amount' => self::span($line),
            'choices' => $catalogue === null ? [] : array_map(static fn(Mend $mend): array => ['says' => $mend->says, 'text' => $mend->text], Mend::for($line, $catalogue)),
        ];
    }

    /** @return array{int, int}|null where in the text its amount stands, in UTF-16 units as a browser counts them */
    private static function span(ResolvedLine $line): ?array
    {
        $at = $line->amountText === '' ? false : strpos($line->text, $line->amountText);
        if ($at === false) {
            return null;
        }
        $units = static fn(string $text): int => intdiv(strlen(mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')), 2);
        $start = $units(substr($line->text, 0, $at));

        return [$start, $start + $units($line->amountText)];
    }

    /** @return array<string, list<array{line: int, share: float}>> which line brings how much of each axis, the largest first */
    private static function shares(Balance $balance): array
    {
        return array_map(static fn(array $shares): array => array_map(static fn(int $line, float $share): array => ['line' => $line + 1, 'share' => Figure::round($share)], array_keys($shares), $shares), Shares::of($balance->formula)->byAxis);
    }

    /** @return array<string, mixed>|null the formula as parts by volume */
    private static function parts(Balance $balance): ?array
    {
        $parts = Parts::of($balance->formula);

        return $parts === null ? null : [
            'words' => $parts->words(),
            'whole' => $parts->areWhole,
            'part_ml' => Figure::round($parts->onePart),
            'lines' => array_map(static fn(int $line, float $count): array => ['line' => $line + 1, 'parts' => Figure::round($count)], array_keys($parts->parts), $parts->parts),
        ];
    }

    /** @return array<string, float|null> */
    private static function batch(Balance $balance): array
    {
        $mixture = $balance->mixture;

        return [
            'grams' => Figure::round($mixture->grams()),
            'millilitres' => Figure::round(Volume::millilitres($mixture)),
            'density' => Figure::roundOrNull(Volume::density($mixture)),
            'water_percent' => Figure::round($mixture->percent(Component::Water)),
            'dissolved_solids_percent' => Figure::round($balance->figures['dissolved_solids']->value),
            'fat_percent' => Figure::round($mixture->percent(Component::Fat)),
            'alcohol_percent' => Figure::round($mixture->percent(Component::Ethanol)),
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
        return $bottom > 1e-6 ? Figure::round($top / $bottom) : null;
    }

    /**
     * Who brings the doubt: for each axis the lines that bring at least a tenth of it, the largest first.
     *
     * @return array<string, list<array{line: int, share: float}>>
     */
    private static function doubt(Balance $balance): array
    {
        return array_map(static function (Estimate $reading): array {
            $shares = array_filter($reading->shares, static fn(float $share, int $line): bool => $share >= 0.1 && $line >= 0, ARRAY_FILTER_USE_BOTH);
            arsort($shares);

            return array_map(static fn(int $line, float $share): array => ['line' => $line + 1, 'share' => Figure::round($share)], array_keys($shares), $shares);
        }, $balance->axes);
    }

    private static function doubtAdvice(Balance $balance): ?string
    {
        $advice = UncertaintyAdvice::for($balance);
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

    /** @return array<string, float> */
    private static function estimate(Estimate $reading): array
    {
        return ['estimate' => Figure::round($reading->value), 'low' => Figure::round($reading->low), 'high' => Figure::round($reading->high)];
    }

    /** @return array{float, float}|null */
    public static function window(Target $target, Axis $axis): ?array
    {
        $window = $target->window($axis);

        return $window === null ? null : [Figure::round($window->low), Figure::round($window->high)];
    }

    /** @return array{float, float}|null the edges of the window on the step scale */
    private static function windowSteps(?Target $target, Axis $axis): ?array
    {
        $window = $target?->window($axis);

        return $window === null ? null : [Figure::round($axis->steps($window->low)), Figure::round($axis->steps($window->high))];
    }
}
