<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Facts\FactsFile;

/** The bite in the nose, of mustard, horseradish and wasabi: apart from heat, and gone with boiling. */
final readonly class PungencyReport extends Report
{
    /**
     * @param float $value mg of allyl isothiocyanate equivalent in 100 g, its band beside it
     * @param string $says "a hint", "clear", "fierce"
     * @param float $share of its bar that it fills, on a logarithmic scale; 0 where none is noticed
     */
    private function __construct(
        public float $value,
        public float $low,
        public float $high,
        public string $says,
        public float $share,
    ) {}

    public static function of(Balance $balance): self
    {
        $found = $balance->figures->noseHeat;
        $words = FactsFile::named('pungency')['words'];
        $says = '';
        foreach (array_map(null, $words->list('names'), $words->numbers('from')) as [$name, $from]) {
            $says = $found->value >= $from ? (string) $name : $says;
        }

        $bar = FactsFile::named('pungency')['bar'];
        $share = log(max($found->value, $bar->number('from')) / $bar->number('from'))
            / log($bar->number('to') / $bar->number('from'));

        return new self($found->value, $found->low, $found->high, $says, min(1.0, $share));
    }
}
