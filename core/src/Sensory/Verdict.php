<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

/** What a distance from a target comes to in a cook's words. */
final class Verdict
{
    /** Closer than this nobody calls it anything but right, in steps: half the least gain something is added for. */
    private const RIGHT = 0.125;
    /** What moves by less is not told, in steps. */
    private const TASTED = 0.1;
    /** A move or a liking smaller than this nobody notices, in steps. */
    public const NOTICED = 0.25;
    /** The distance up to which each word holds, in steps. */
    private const WORDS = ['a touch' => 1.0, 'a little' => 2.5, 'clearly' => 5.0, 'far' => INF];

    /**
     * "a little too sharp", "needs a touch more salt", "about right"; nothing where there is no target.
     *
     * @param float|null $off steps outside the target, negative below it
     * @param float $tellsApart steps that this cook can tell apart, as far as that is known
     */
    public static function on(Axis $axis, ?float $off, float $tellsApart = 0.0): string
    {
        if ($off === null) {
            return '';
        }
        if (!self::isOff($off, $tellsApart)) {
            return 'about right';
        }
        $word = self::word(abs($off));

        return $off > 0.0
            ? "{$word} " . $axis->excess()
            : "needs {$word} more " . $axis->noun();
    }

    /** Whether it is called anything but right. */
    public static function isOff(?float $off, float $tellsApart = 0.0): bool
    {
        return $off !== null && abs($off) >= max(self::RIGHT, $tellsApart);
    }

    /**
     * What a point on the just-about-right scale says: "a little too sweet", "wants clearly more salt"; nothing at 0.
     *
     * @param float $score from −2, far too little, to 2
     */
    public static function ofScore(Axis $axis, float $score): string
    {
        $degree = match (true) {
            abs($score) < 1.0 => 'a touch',
            abs($score) < 2.0 => 'a little',
            default => 'clearly',
        };

        return match (true) {
            $score > 0.0 => "{$degree} " . $axis->excess(),
            $score < 0.0 => "wants {$degree} more " . $axis->noun(),
            default => '',
        };
    }

    /**
     * How a liking differs from what is usual: "a touch more sharpness", "clearly less heat", "as usual".
     *
     * @param float $shift in steps
     */
    public static function ofLiking(Axis $axis, float $shift): string
    {
        return abs($shift) < self::NOTICED
            ? 'as usual'
            : self::word(abs($shift)) . ($shift > 0.0 ? ' more ' : ' less ') . $axis->noun();
    }

    /**
     * What a move does: "a touch saltier", "clearly less sharp"; nothing where nobody notices it.
     *
     * @param float $steps that an axis moves
     */
    public static function ofMove(Axis $axis, float $steps): string
    {
        return abs($steps) < self::NOTICED
            ? ''
            : self::word(abs($steps)) . ' ' . self::comparative($axis, $steps);
    }

    /** "saltier", "less sharp". */
    public static function comparative(Axis $axis, float $steps): string
    {
        return $axis->comparative($steps > 0.0);
    }

    /** @param float $steps away */
    private static function word(float $steps): string
    {
        foreach (self::WORDS as $word => $most) {
            if ($steps < $most) {
                return $word;
            }
        }

        return array_key_last(self::WORDS);
    }

    /** "1 step", "2.3 steps". */
    public static function away(float $steps): string
    {
        return sprintf('%.1f %s', $steps, abs($steps - 1.0) < 0.05 ? 'step' : 'steps');
    }

    /**
     * What a change comes to: "tastes the same", "1.2 steps different: salt +1.2, heat −0.4".
     *
     * @param array<value-of<Axis>, float> $moves in steps, by axis
     * @param float $apart in steps, of all together
     */
    public static function ofChange(array $moves, float $apart): string
    {
        $told = self::moves($moves);

        return $apart < self::TASTED
            ? 'tastes the same'
            : self::away($apart) . ' different' . ($told === '' ? '' : ": {$told}");
    }

    /**
     * "salt +1.2, heat −0.4": what moves by a tenth of a step or more.
     *
     * @param array<value-of<Axis>, float> $moves in steps, by axis
     */
    public static function moves(array $moves): string
    {
        $told = [];
        foreach ($moves as $axis => $steps) {
            if (abs($steps) >= self::TASTED) {
                $told[] = sprintf('%s %s%.1f', $axis, $steps > 0.0 ? '+' : '−', abs($steps));
            }
        }

        return implode(', ', $told);
    }
}
