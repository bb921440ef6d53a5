<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Palate\Tasting;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

/** A taster's word ("too salty"), and the target it makes of where the sauce stands. */
final readonly class Complaint
{
    /** How far the axes that nobody complained of may drift, in steps. */
    private const HELD_WITHIN = 1.0;
    /** A word without strength moves its axis 2 steps, and is one point on the just-about-right scale. */
    private const STEPS_A_POINT = 2.0;

    /**
     * @param array<value-of<Axis>, array{float, float}> $moves least and most steps by axis
     * @param string|null $absent what is said where nothing in the list brings it
     * @param float|null $atLeast what is brought where there is none, in the axis's unit
     * @param array{float, float}|null $unsalted salt alone, in steps, of a sauce that has hardly any
     */
    private function __construct(
        public string $key,
        private array $moves,
        public string $says,
        public ?string $absent,
        private ?float $atLeast,
        private ?array $unsalted,
        private float $unsaltedUnder,
        private ?float $unsaltedLeast = null,
    ) {}

    /** @return list<string> */
    public static function keys(): array
    {
        return array_keys(FactsFile::named('complaints'));
    }

    /** @throws FactsFault when nobody knows the word */
    public static function named(string $key): self
    {
        $row = FactsFile::named('complaints')[$key] ?? throw FactsFault::unknownKey('complaint', $key);
        $moves = [];
        foreach (Axis::cases() as $axis) {
            if ($row->has($axis->value)) {
                [$least, $most] = $row->numbers($axis->value);
                $moves[$axis->value] = [$least, $most];
            }
        }

        $unsalted = $row->numbers('unsalted');

        return new self(
            $key,
            $moves,
            $row->text('says'),
            $row->has('absent') ? $row->text('absent') : null,
            $row->numberOrNull('at_least'),
            count($unsalted) === 2 ? [$unsalted[0], $unsalted[1]] : null,
            $row->numberOrNull('unsalted_under') ?? 0.0,
            $row->numberOrNull('unsalted_least'),
        );
    }

    /** @return list<string> words that are about a taste, and move an axis */
    public static function ofTaste(): array
    {
        return array_values(array_diff(self::keys(), array_keys(FactsFile::named('remedies'))));
    }

    /** Whether it is about thickness, fat or edge, which no axis holds. */
    public function isOfTexture(): bool
    {
        return $this->moves === [];
    }

    /** Whether it says that there is too little on an axis. */
    public function brings(Axis $axis): bool
    {
        return ($this->moves[$axis->value][0] ?? 0.0) > 0.0;
    }

    /** The axis that there is too much on; null where it is of something else. */
    public function tooMuchOn(): ?Axis
    {
        foreach ($this->moves as $axis => [, $most]) {
            if ($most < 0.0) {
                return Axis::from($axis);
            }
        }

        return null;
    }

    /** @return list<Axis> what it is about */
    public function axes(): array
    {
        return array_map(Axis::from(...), array_keys($this->moves));
    }

    /**
     * The target: the axes that are complained of moved, the others held where they are, whatever a style would want;
     * what is missing is brought at least to where the sauce's family begins.
     */
    public function target(Taste $now, ?Target $family = null): Target
    {
        return self::together([[$this->as($now), 1.0]], $now, $family);
    }

    /** What the word means of this sauce: flat, and hardly salted, is salt that is missing. */
    private function as(Taste $now): self
    {
        return $this->unsalted === null || $now->salt >= $this->unsaltedUnder
            ? $this
            : new self(
                $this->key,
                [Axis::Salt->value => $this->unsalted],
                $this->says,
                $this->absent,
                $this->unsaltedLeast,
                null,
                0.0,
            );
    }

    /**
     * The target that several words make at once, each with its strength: 1 as it is said, ½ for a little, 1½ for far.
     *
     * @param list<array{self, float}> $said
     * @param Target|null $family what it is held against, or surely looks like
     */
    public static function together(array $said, Taste $now, ?Target $family = null): Target
    {
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $steps = $now->stepsOn($axis);
            $moves = self::movesOn($axis, $said);
            if ($moves !== null) {
                $least = self::leastOn($axis, $said, $family);
                $least = $least === null ? null : max($least, $family?->window($axis)->low ?? 0.0);
                $short = $least === null ? 0.0 : max(0.0, $axis->steps($least) - $steps - $moves[0]);
                $windows[$axis->value] = TargetWindow::ofSteps(
                    $axis,
                    $steps + $moves[0] + $short,
                    $steps + $moves[1] + $short,
                );
            } else {
                $windows[$axis->value] = TargetWindow::around($axis, $steps, self::HELD_WITHIN);
            }
        }

        return Target::of($windows);
    }

    /**
     * What a cook brings at least where something is missing: what is tasted, if only slightly, and what the word itself
     * says; null where nothing is said to be.
     *
     * @param list<array{self, float}> $said
     */
    private static function leastOn(Axis $axis, array $said, ?Target $family): ?float
    {
        $least = null;
        foreach ($said as [$complaint]) {
            if ($complaint->brings($axis)) {
                $own = count($complaint->moves) === 1 ? $complaint->atLeast ?? 0.0 : 0.0;
                $most = $family?->window($axis)->high ?? INF;
                // a little heat is tasted long before it is slight
                $slight = $axis === Axis::Heat ? 0.0 : min($axis->slight(), $most);
                $least = max($least ?? 0.0, $own, $slight);
            }
        }

        return $least;
    }

    /**
     * What the words say on the just-about-right scale: −2 far too little to 2 far too much.
     *
     * @param list<array{self, float}> $said
     *
     * @return array<string, float> by axis, for those complained of
     */
    public static function scores(array $said): array
    {
        $scores = [];
        foreach (Axis::cases() as $axis) {
            $moves = self::movesOn($axis, $said);
            if ($moves !== null) {
                $scores[$axis->value] = max(
                    -Tasting::MOST,
                    min(Tasting::MOST, -($moves[0] + $moves[1]) / 2.0 / self::STEPS_A_POINT),
                );
            }
        }

        return $scores;
    }

    /**
     * @param list<array{self, float}> $said
     *
     * @return array{float, float}|null least and most steps to move an axis by, the words added up; null where none is
     *     about it
     */
    private static function movesOn(Axis $axis, array $said): ?array
    {
        $sum = null;
        foreach ($said as [$complaint, $strength]) {
            if (isset($complaint->moves[$axis->value])) {
                [$least, $most] = $complaint->moves[$axis->value];
                $sum = [($sum[0] ?? 0.0) + $strength * $least, ($sum[1] ?? 0.0) + $strength * $most];
            }
        }

        return $sum;
    }
}
