<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Family\Family;
use Vinculum\Kitchen\AnsweredTaste;
use Vinculum\Palate\Palate;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;

/** What is learned of a cook's taste for a family, in steps. */
final readonly class PalateReport extends Report
{
    /**
     * @param Named<array{
     *     prior: float,
     *     ideal: float,
     *     deviation: float,
     *     shift: float,
     *     tastings: int,
     *     window_steps: array{float, float}|null,
     *     says: string,
     * }> $axes by axis
     * @param string|null $answers how often the first answer to a taste was taken, in words
     */
    private function __construct(
        public string $style,
        public string $name,
        public ?string $says,
        public int $tastings,
        public Named $axes,
        public ?string $answers,
    ) {}

    /** @param list<AnsweredTaste> $answers */
    public static function of(Family $style, Palate $palate, array $answers): self
    {
        $axes = [];
        foreach ($palate->ideals as $key => $preferred) {
            $axis = Axis::from($key);
            $axes[$key] = [
                'prior' => $preferred->prior,
                'ideal' => $preferred->mean,
                'deviation' => $preferred->deviation,
                'shift' => $preferred->shift(),
                'tastings' => $preferred->tastings,
                'window_steps' => $style->target->window($axis)?->inSteps($axis),
                'says' => Verdict::ofLiking($axis, $preferred->shift()),
            ];
        }

        return new self(
            $style->key,
            $style->name,
            $palate->words(),
            $palate->tastings,
            new Named($axes),
            AnsweredTaste::tally($answers),
        );
    }
}
