<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/**
 * What a sauce is held against: its family's windows, where this cook likes the family to stand, how finely this tongue
 * tells steps apart, and what is asked for just now. Every distance, every "about right" and every word about a window
 * comes from here.
 */
final readonly class Aim
{
    /**
     * @param Target|null $family where the references of its family stand
     * @param Target|null $own what the cook wants instead, as said or as tastings tell
     * @param array<string, float> $tellsApart steps that this tongue tells apart, by axis, as far as that is known
     * @param Target|null $asked what a taster's word asks for, whatever it is held against otherwise
     */
    private function __construct(
        public ?Target $family,
        public ?Target $own = null,
        private array $tellsApart = [],
        public ?Target $asked = null,
    ) {}

    /** Of a sauce that nobody has named a family for. */
    public static function none(): self
    {
        return new self(null);
    }

    /** At a target of the cook's own, whatever the family. */
    public static function at(Target $target): self
    {
        return new self(null, $target);
    }

    /**
     * At a family as this cook likes it, axes that do not count left out.
     *
     * @param array<string, float> $tellsApart steps by axis
     * @param list<string> $ignored axes by name
     */
    public static function of(?Target $family, ?Target $own = null, array $tellsApart = [], array $ignored = []): self
    {
        foreach (array_map(Axis::from(...), $ignored) as $axis) {
            [$family, $own] = [$family?->without($axis), $own?->without($axis)];
        }

        return new self($family, $own, $tellsApart);
    }

    /** The same, where the cook says what is wanted instead; where nothing is said, as it is. */
    public function wanting(?Target $own): self
    {
        return $own === null ? $this : new self($this->family, $own, $this->tellsApart);
    }

    /**
     * The same, where the cook has put some axes of this very sauce elsewhere.
     *
     * @param array<string, float> $places in steps, by axis
     */
    public function placing(array $places): self
    {
        $own = $this->own ?? $this->family ?? Target::of([]);
        foreach ($places as $key => $steps) {
            $axis = Axis::from($key);
            $own = $own->having($axis, TargetWindow::around($axis, $steps, Target::PLACED_WITHIN));
        }

        return $places === [] ? $this : new self($this->family, $own, $this->tellsApart, $this->asked);
    }

    /** The same, where a word at the pan asks for something now. */
    public function asking(?Target $asked): self
    {
        return new self($this->family, $this->own, $this->tellsApart, $asked);
    }

    /** What corrections go for: what is asked, else the cook's own, else the family's; null where there is none. */
    public function target(): ?Target
    {
        return $this->asked ?? $this->standard();
    }

    /** The windows that figures are told beside: what is asked, else the family's, else the cook's own. */
    public function shown(): ?Target
    {
        return $this->asked ?? $this->family ?? $this->own;
    }

    /** Where this cook likes it, where that is shown beside the family's windows. */
    public function liked(): ?Target
    {
        return $this->asked === null && $this->family !== null ? $this->own : null;
    }

    /** "a little too sharp", "about right"; nothing where the axis has no window. */
    public function verdict(Axis $axis, float $value): string
    {
        return Verdict::on($axis, $this->off($axis, $value), $this->tellsApart[$axis->value] ?? 0.0);
    }

    /** Whether it is called anything but right. */
    public function isOff(Axis $axis, float $value): bool
    {
        return Verdict::isOff($this->off($axis, $value), $this->tellsApart[$axis->value] ?? 0.0);
    }

    /** √Σ off² from the family's windows, in steps; null without a family. */
    public function fromFamily(Taste $taste): ?float
    {
        return $this->family?->distance($taste);
    }

    /**
     * "balanced for its family", "balanced as you like it, 1.3 steps off its family", "2.3 steps off"; nothing where
     * there is nothing to be held against. Balanced is where no axis is called off, so the bars and this agree.
     */
    public function onTheWhole(Taste $taste): string
    {
        [$family, $own] = [$this->family, $this->own];
        if ($family === null || $own === null) {
            $target = $this->standard();

            return match (true) {
                $target === null => '',
                !$this->isBalanced($target, $taste) => Verdict::away($target->distance($taste)) . ' off',
                default => $family === null ? 'balanced as you like it' : 'balanced for its family',
            };
        }
        [$isForFamily, $isForCook] = [$this->isBalanced($family, $taste), $this->isBalanced($own, $taste)];
        [$ofFamily, $ofCook] = [
            Verdict::away($family->distance($taste)) . ' off its family',
            Verdict::away($own->distance($taste)) . ' off what you like',
        ];

        return match (true) {
            $isForCook && $isForFamily => 'balanced, for its family and as you like it',
            $isForCook => "balanced as you like it, {$ofFamily}",
            $isForFamily => "{$ofCook}, balanced for its family",
            default => "{$ofCook}, {$ofFamily}",
        };
    }

    /** "needs a touch more salt, a little too sharp", "balanced"; as on the whole where its family would say otherwise. */
    public function inShort(Taste $taste): string
    {
        $off = array_filter(
            Axis::each(fn(Axis $axis): string => $this->isOff($axis, $taste->on($axis))
                ? $this->verdict($axis, $taste->on($axis))
                : ''),
        );

        return match (true) {
            $off !== [] => implode(', ', $off),
            $this->standard() === null => '',
            default => $this->family === null || $this->isBalanced($this->family, $taste)
                ? 'balanced'
                : $this->onTheWhole($taste),
        };
    }

    /** Where an addition leaves it: "then it is in balance", "then 1.2 steps from what you asked for". */
    public function afterwards(Taste $taste): string
    {
        $target = $this->target();
        if ($target === null) {
            return '';
        }
        $isThere = $this->isBalanced($target, $taste);
        $away = Verdict::away($target->distance($taste));

        return match (true) {
            $this->asked !== null => $isThere ? 'then it is as you asked' : "then {$away} from what you asked for",
            default => $isThere ? 'then it is in balance' : "then {$away} off",
        };
    }

    /** What verdicts are against: what was asked alone is that only where nothing else is known. */
    private function standard(): ?Target
    {
        return $this->own ?? $this->family ?? $this->asked;
    }

    private function off(Axis $axis, float $value): ?float
    {
        return $this->standard()?->window($axis)?->off($axis, $value);
    }

    private function isBalanced(Target $target, Taste $taste): bool
    {
        foreach (Axis::cases() as $axis) {
            $off = $target->window($axis)?->off($axis, $taste->on($axis));
            if (Verdict::isOff($off, $this->tellsApart[$axis->value] ?? 0.0)) {
                return false;
            }
        }

        return true;
    }
}
