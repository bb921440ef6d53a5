<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Facts\FactsFile;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** What the tongue says at the pan, as a target and as scores. */
final readonly class Tongue
{
    /** @param list<array{Complaint, float}> $words each with how strongly it is meant */
    private function __construct(private array $words) {}

    /**
     * @param list<array{complaint: string, strength: string}> $said
     *
     * @throws \Vinculum\Facts\FactsFault when nobody knows a word
     */
    public static function saying(array $said): self
    {
        $strengths = FactsFile::named('tasting')['strengths'];

        return new self(
            array_map(
                static fn(array $one): array => [
                    Complaint::named($one['complaint']),
                    $strengths->number($one['strength']),
                ],
                $said,
            ),
        );
    }

    /** @return list<string> how strongly a word can be meant */
    public static function strengths(): array
    {
        return array_values(array_diff(FactsFile::named('tasting')['strengths']->fields(), ['source']));
    }

    /** The way back from a dose too many: half-way between before and after. */
    public static function wayBack(Taste $before, Taste $after): Target
    {
        return Target::between($before, $after, FactsFile::named('tasting')['way-back']->number('within'));
    }

    /**
     * At the pan the tongue is the judge: what it does not complain of is held where it is. Null where it says nothing.
     */
    public function target(Taste $now): ?Target
    {
        return $this->words === [] ? null : Complaint::together($this->words, $now);
    }

    /** @return array<string, float> on the just-about-right scale, by axis */
    public function scores(): array
    {
        return Complaint::scores($this->words);
    }
}
