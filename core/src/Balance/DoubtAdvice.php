<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Sensory\Axis;

/** The one line that is worth weighing, or whose label is worth reading, to be surer of an axis. */
final readonly class DoubtAdvice
{
    /** Bands narrower than this, relative to the value, are sure enough to leave alone. */
    private const SURE_ENOUGH = 0.12;
    /** Without this share of the variance the band comes down to a half. */
    private const HALVES = 0.75;
    private const MOST_OF_IT = 0.5;

    private function __construct(
        public Axis $axis,
        public int $line,
        public float $share,
        public bool $byWeighing,
        public bool $halves,
    ) {}

    /** Where most doubt comes from one line, on the axis of the widest band; null where nothing stands out. */
    public static function for(Balance $balance): ?self
    {
        $best = null;
        $widest = self::SURE_ENOUGH;
        foreach (Axis::cases() as $axis) {
            $reading = $balance->axes[$axis->value];
            $shares = array_filter($reading->shares, static fn(int $line): bool => $line >= 0, ARRAY_FILTER_USE_KEY);
            if ($shares === [] || $reading->value < $axis->threshold()) {
                continue;
            }
            $width = ($reading->high - $reading->low) / 2.0 / $reading->value;
            $share = max($shares);
            $line = (int) array_search($share, $shares, true);
            if ($width > $widest && $share >= self::MOST_OF_IT) {
                $ofAmount = $reading->amountShares[$line] ?? 0.0;
                $best = new self($axis, $line, $share, $ofAmount > $share / 2.0, $share >= self::HALVES);
                $widest = $width;
            }
        }

        return $best;
    }

    /** "60 % of the doubt about sour comes from line 2, lime juice: weigh it, and the band is half as wide." */
    public function words(Formula $formula): string
    {
        $line = $formula->lines[$this->line];

        return sprintf(
            '%d %% of the doubt about %s comes from line %d, %s: %s%s.',
            (int) round(100.0 * $this->share),
            $this->axis->value,
            $formula->numbers()[$this->line],
            mb_strtolower($line->ingredient->name ?? $line->text()),
            $this->byWeighing
                ? 'weigh it'
                : 'its strength varies, so read its label or taste before the last of it goes in',
            $this->halves && $this->byWeighing ? ', and the band is half as wide' : '',
        );
    }
}
