<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Balance\Balance;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Pan;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A recipe at another size: every line in what the cook can measure, the rounding chosen to keep the balance. */
final readonly class Scale
{
    /** No kitchen makes ten thousand times a recipe. */
    public const MOST = 10_000.0;
    /** The smallest factor that is still a batch. */
    public const LEAST = 0.0001;

    /**
     * @param list<ScaledLine> $lines
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param array{evaporate_grams: float, minutes: array{value: float, low: float, high: float}, pan_reads_grams: float}|null $cook
     * @param list<string> $notes
     */
    private function __construct(
        public float $factor,
        public ?string $limitedBy,
        public array $lines,
        public Mixture $mixed,
        public array $fill,
        public ?array $cook,
        public Formula $before,
        public Formula $after,
        public array $notes,
    ) {}

    /** @throws ScaleFault when nothing in it can be scaled */
    public static function of(Sauce $sauce, TargetSize $wanted, ScaleSetting $setting = new ScaleSetting()): self
    {
        [$formula, $recipe] = [$sauce->formula, $sauce->recipe];
        if ($formula->mixed()->grams() <= 0.0) {
            throw ScaleFault::nothingIn();
        }
        $exact = $formula->times($wanted->factor);
        $asked = $setting->holdsBack && $wanted->factor > 1.0
            ? $exact->withLines(
                ...array_map(
                    static fn(ResolvedLine $line): ResolvedLine => $line->times(LineScaling::held($line)),
                    $exact->lines,
                ),
            )
            : $exact;
        $lines = LineScaling::all($sauce, $exact, $asked, $wanted->factor);
        $after = $exact->withLines(
            ...array_map(
                static fn(ScaledLine $scaled, ResolvedLine $line): ResolvedLine => ($scaled->exactGrams ?? 0.0) > 0.0
                    ? $line->times(($scaled->grams ?? 0.0) / $scaled->exactGrams)
                    : $line,
                $lines,
                $exact->lines,
            ),
        );
        $finished = FinishedBatch::of($after);
        $vessel = $recipe->pan === null ? null : Pan::parse($recipe->pan);
        $heat = $sauce->kitchen->hob->heat(Heat::inWords(implode(' ', $recipe->method)), $vessel);
        $fill = self::fill($wanted, Volume::millilitres($finished->mixture), $setting->headSpace);

        return new self(
            $wanted->factor,
            $wanted->limitedBy,
            $lines,
            $after->mixed(),
            $fill,
            self::cook($after, $finished, $vessel, $heat),
            $formula,
            $after,
            [
                ...($vessel?->squareMetres === null ? $finished->notes : []),
                ...self::notes($after->mixed(), $vessel, $sauce, $wanted, $heat),
            ],
        );
    }

    /** @return list<RecipeLine> the recipe's lines as they read at this size */
    public function written(Measures $measures): array
    {
        $texts = array_map(static fn(ScaledLine $line): string => $line->written($measures), $this->lines);
        $isOther = fn(int $line): bool => $texts[$line] !== $this->before->lines[$line]->written->text;

        return $this->before->rewritten(array_filter($texts, $isOther, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> */
    private static function fill(TargetSize $wanted, float $millilitres, float $headSpace): array
    {
        $room = array_sum(
            array_map(static fn(array $one): float => $one[0] * $one[1] * (1.0 - $headSpace), $wanted->containers),
        );
        $share = $room > 0.0 ? min(1.0, $millilitres / $room) : 0.0;
        $left = max(0.0, $millilitres - $room);

        return array_map(
            static fn(array $one): array => [
                'container_ml' => $one[0],
                'count' => $one[1],
                'filled_ml' => $one[0] * (1.0 - $headSpace) * $share,
                'left_over_ml' => $left,
            ],
            $wanted->containers,
        );
    }

    /** @return array{evaporate_grams: float, minutes: array{value: float, low: float, high: float}, pan_reads_grams: float}|null */
    private static function cook(Formula $after, FinishedBatch $finished, ?Pan $pan, Heat $heat): ?array
    {
        if ($pan?->squareMetres === null || !$finished->isCooked) {
            return null;
        }
        $evaporate = max(0.0, $after->mixed()->get(Component::Water) - $finished->mixture->get(Component::Water));

        return [
            'evaporate_grams' => $evaporate,
            'minutes' => $heat->minutes($evaporate, $pan->squareMetres),
            'pan_reads_grams' => $finished->mixture->grams(),
        ];
    }

    /** @return list<string> */
    private static function notes(Mixture $mixed, ?Pan $pan, Sauce $sauce, TargetSize $wanted, Heat $heat): array
    {
        $notes = [];
        $named = $sauce->recipe->pan;
        if ($named !== null && $pan === null) {
            $notes[] = "The pan \"{$named}\" names no width and no volume: write it as \"24 cm\", \"24 x 12 cm\" or \"5 l\".";
        }
        $room = $pan?->boilingMillilitres();
        if ($pan !== null && $room !== null) {
            $needed = Volume::millilitres($mixed);
            if ($needed > $room) {
                $notes[] = sprintf(
                    '%s is more than two thirds of the pan (%s), too full to boil: cook it in %d goes, or scale by at most %s.',
                    KitchenNumber::millilitres($needed),
                    KitchenNumber::millilitres((float) $pan->millilitres),
                    (int) ceil($needed / $room),
                    KitchenNumber::plain($wanted->factor * $room / $needed, 2),
                );
            }
        }
        if ($pan?->squareMetres !== null) {
            $notes[] = sprintf(
                'The minutes are for an open pan and %s: %s',
                $heat->cooks > 0
                    ? sprintf('come from %d weighed %s in it', $heat->cooks, $heat->cooks === 1 ? 'cook' : 'cooks')
                    : 'know nothing yet of this hob',
                $sauce->kitchen->hasScale
                    ? 'go by the weight. It is of the sauce alone, so add that of the empty pan.'
                    : 'look at it before they are over, and stop when it is as thick as you want it.',
            );
        }

        return $notes;
    }

    /** @return array{Balance, Balance} where it stood, and where it stands as measured */
    public function balances(): array
    {
        return [Balance::of($this->before), Balance::of($this->after)];
    }
}
