<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

use Vinculum\Facts\FactsFile;

/** A wish in words for a target to move: "a little sharper", "much less salty". */
final readonly class TargetShift
{
    private const USUAL_STEPS = 1.5;

    private function __construct(public Axis $axis, public float $steps) {}

    /** Null when the words say no move that is known. */
    public static function fromWords(string $words): ?self
    {
        $words = trim(preg_replace('/\s+/', ' ', mb_strtolower($words)) ?? '');
        $steps = self::USUAL_STEPS;
        foreach (FactsFile::named('moves')['strengths']->fields() as $strength) {
            if (str_starts_with($words, "{$strength} ")) {
                $steps = FactsFile::named('moves')['strengths']->number($strength);
                $words = substr($words, strlen($strength) + 1);
                break;
            }
        }
        $row = FactsFile::named('moves')['words'];
        if (!$row->has($words)) {
            return null;
        }
        foreach ($row->amounts($words) as $axis => $direction) {
            return new self(Axis::from($axis), $direction * $steps);
        }

        return null;
    }

    public function apply(Target $target): Target
    {
        return $target->moved($this->axis, $this->steps);
    }
}
