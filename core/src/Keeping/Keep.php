<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Treatment;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/**
 * How a sauce must be kept, and for how long: every rule of keeping.ini that applies, the most cautious winning.
 * Never at room temperature.
 */
final readonly class Keep
{
    private const HOW_TO_MEASURE = 'Measure the pH: calibrate the meter in buffers 4.01 and 7.00, let the sauce come to room temperature, stir, blend what is lumpy, rinse the electrode, wait until it rests, and measure a second spoonful. Strips are too coarse near a limit.';
    private const MOST_FREEZER_MONTHS = 6.0;
    /** Two readings of one sauce farther apart than this are no measurement. */
    private const READINGS_APART = 0.1;

    /**
     * @param 'fridge'|'freezer'|'serve-at-once' $storage
     * @param array{low: float, high: float} $days
     * @param float|null $freezerMonths null where freezing spoils it
     * @param list<string> $reasons the rule that decides first, each with source and date
     * @param list<string> $traditions what cooks say, beside the cautious figure
     * @param list<string> $asks what should be measured, and how
     * @param list<Caution> $cautions
     */
    private function __construct(
        public string $storage,
        public array $days,
        public ?float $freezerMonths,
        public array $reasons,
        public array $traditions,
        public array $asks,
        public array $cautions,
    ) {}

    public static function of(Balance $balance): self
    {
        $treatment = $balance->treatment;
        $conditions = Conditions::of($balance);
        $rules = array_values(array_filter(FactsFile::named('keeping'), $conditions->hold(...)));
        usort(
            $rules,
            static fn(Row $one, Row $other): int
                => array_reverse($one->numbers('days')) <=> array_reverse($other->numbers('days')),
        );
        $storage = in_array(
            'serve-at-once',
            array_map(static fn(Row $rule): string => $rule->textOr('storage', 'fridge'), $rules),
            true,
        )
            ? 'serve-at-once'
            : 'fridge';
        $freezers = array_map(
            static fn(Row $rule): ?float => $rule->text('freezer') === 'none' ? null : $rule->number('freezer'),
            array_filter($rules, static fn(Row $rule): bool => $rule->has('freezer')),
        );
        $asks = $treatment->ph() === null
            && array_filter($rules, static fn(Row $rule): bool => $rule->list('asks') === ['ph']) !== []
            ? [self::HOW_TO_MEASURE]
            : [];

        return new self(
            $storage,
            [
                'low' => min(INF, ...array_map(static fn(Row $rule): float => $rule->numbers('days')[0], $rules)),
                'high' => $rules[0]->numbers('days')[1],
            ],
            in_array(null, $freezers, true) ? null : min(self::MOST_FREEZER_MONTHS, ...array_values($freezers)),
            array_map(
                static fn(Row $rule): string => sprintf(
                    '%s %s (%s, %s)',
                    $rule->text('reason'),
                    self::days($rule),
                    $rule->text('source'),
                    $rule->text('date'),
                ),
                $rules,
            ),
            array_values(
                array_filter(
                    array_map(
                        static fn(Row $rule): ?string => $rule->has('tradition') ? $rule->text('tradition') : null,
                        $rules,
                    ),
                ),
            ),
            [...$asks, ...self::doubtsAbout($treatment)],
            Cautions::for($balance),
        );
    }

    private static function days(Row $rule): string
    {
        [$low, $high] = $rule->numbers('days');

        return $high <= 0.0 ? 'Not kept.' : sprintf('%.0f to %.0f days.', $low, $high);
    }

    /** @return list<string> what is wrong with the readings */
    private static function doubtsAbout(Treatment $treatment): array
    {
        return [
            ...($treatment->spread() > self::READINGS_APART ? [
                sprintf(
                    'The pH was measured at %.2f and at %.2f: the higher one counts. Stir well, rinse the electrode, calibrate, and measure again.',
                    (float) $treatment->ph() - $treatment->spread(),
                    (float) $treatment->ph(),
                ),
            ] : []),
            ...(
                $treatment->isMeterStale
                && $treatment->ph() !== null
                    ? [
                        'The meter was out of calibration: calibrate it in two buffers and measure again before anything depends on it.',
                    ]
                    : []
            ),
            ...(count($treatment->phReadings) === 1 ? ['One reading is no reading: measure a second spoonful.'] : []),
        ];
    }
}
